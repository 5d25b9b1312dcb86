/** What every room speaks of: tags, kinds of device, and how a wrong value or a refused act is said. */
package wrenchnotes.core.unit;
