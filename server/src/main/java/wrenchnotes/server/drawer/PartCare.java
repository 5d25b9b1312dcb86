package wrenchnotes.server.drawer;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/**
 * How a part is kept and bought.
 *
 * @param place where in the drawer: "left"; may be empty
 * @param supplierNumber what its supplier calls it; may be empty
 * @param pack how many come together, 1 and up
 * @param minimum somebody's own word on when to order more
 * @param gone no longer made
 * @param temporary for a test only: it must not leave the shop
 * @param photo by its hash
 */
public record PartCare(
        @Size(max = 60) String place,
        @Size(max = 60) String supplierNumber,
        @Min(1) @Max(100_000) int pack,
        Optional<@Min(0) @Max(9_999) Integer> minimum,
        boolean gone,
        boolean temporary,
        Optional<String> photo) {

    static final PartCare NONE = new PartCare("", "", 1, Optional.empty(), false, false, Optional.empty());

    public PartCare {
        place = Checked.optionalText("place", place, 60);
        supplierNumber = Checked.optionalText("supplierNumber", supplierNumber, 60);
        minimum = minimum == null ? Optional.empty() : minimum;
        photo = photo == null ? Optional.empty() : photo;
    }
}
