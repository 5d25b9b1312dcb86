package wrenchnotes.server.supplier;

import java.io.IOException;
import java.util.List;

/** A way to speak to a supplier. Whatever is asked may be asked again. */
interface SupplierLine {

    /** @throws IOException in words for the shop, if it was not taken */
    void place(OrderPlaced order) throws IOException;

    /** @param heard the number of the last answer that was read @return the later ones, the oldest first */
    List<SupplierAnswer> answers(long order, long heard) throws IOException;
}
