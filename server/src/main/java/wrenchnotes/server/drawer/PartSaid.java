package wrenchnotes.server.drawer;

import java.util.Optional;
import wrenchnotes.core.drawer.kind.PartSpec;
import wrenchnotes.core.drawer.kind.ReadPart;

/** What people say of a part. @param spec empty: it is read off the words */
record PartSaid(String drawer, String name, String what, long eachMinor, Optional<PartSpec> spec, PartCare care) {

    Optional<PartSpec> known() {
        return spec.or(() -> ReadPart.of(name, what));
    }
}
