/** Where a job stands: computed from its facts at every moment, never typed. */
package wrenchnotes.core.job;
