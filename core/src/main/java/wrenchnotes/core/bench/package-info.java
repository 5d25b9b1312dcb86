/**
 * Work on an opened unit: the ledger in which everything taken off is accounted for until it is back, the way in and
 * out through the steps, and the gate before closing.
 */
package wrenchnotes.core.bench;
