/** Tests on arrival, before closing and after closing. Not tested is a verdict of its own and never passes for passed. */
package wrenchnotes.core.check;
