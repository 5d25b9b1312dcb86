package wrenchnotes.core.checkin;

import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * A way to reach an owner, as it was said: the first of several is tried first.
 *
 * @param kind told by what it looks like
 * @param said up to 120 characters
 */
public record ContactWay(WayKind kind, String said) {

    public enum WayKind implements Spoken {
        PHONE,
        MAIL,
        /** An address, a name elsewhere, "next door at the bakery". */
        ELSE
    }

    private static final int MOST = 6;
    private static final Pattern MAIL = Pattern.compile("\\S+@\\S+\\.\\S+");
    private static final Pattern PHONE = Pattern.compile("\\+?[\\d\\s()/.-]{5,30}( .{1,40})?");

    /** @param contact one way a line, or with semicolons between */
    public static List<ContactWay> of(String contact) {
        return Arrays.stream(contact.split("[\\n;]"))
                .map(String::strip)
                .filter(one -> !one.isEmpty())
                .map(one -> new ContactWay(kind(one), one))
                .toList();
    }

    /**
     * As it is kept: a line a way.
     *
     * @throws Invalid if there are too many, or if one is too long
     */
    public static String kept(String contact) {
        List<ContactWay> ways = of(contact == null ? "" : contact);
        if (ways.size() > MOST) {
            throw new Invalid("ownerContact", ways.size() + " ways; at most " + MOST + " are kept");
        }
        ways.forEach(way -> Checked.text("ownerContact", way.said(), 120));
        return ways.stream().map(ContactWay::said).collect(Collectors.joining("\n"));
    }

    private static WayKind kind(String said) {
        return MAIL.matcher(said).find() ? WayKind.MAIL : PHONE.matcher(said).matches() ? WayKind.PHONE : WayKind.ELSE;
    }
}
