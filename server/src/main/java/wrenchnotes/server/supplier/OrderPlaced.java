package wrenchnotes.server.supplier;

import java.util.List;

/**
 * An order as it goes to a supplier: docs/formats.md.
 *
 * @param order the shop's number of it; the same order may be sent again, and is one order all the same
 * @param customer the shop's number at the supplier; may be empty
 */
record OrderPlaced(String format, long order, String customer, List<PlacedLine> lines) {

    static final String FORMAT = "wrench-notes/order/1";

    /** @param number the supplier's of the part; may be empty: then the name says what it is @param eachMinor what the shop expects to pay */
    record PlacedLine(long line, String number, String name, int count, long eachMinor) {}
}
