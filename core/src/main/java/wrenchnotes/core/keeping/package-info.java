/** How the shop's data is kept safe: which backups stay. */
package wrenchnotes.core.keeping;
