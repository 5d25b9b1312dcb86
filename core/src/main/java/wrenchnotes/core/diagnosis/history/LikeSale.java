package wrenchnotes.core.diagnosis.history;

/**
 * A sale, seen from a unit that stands here now.
 *
 * @param level the narrowest thing that the two have in common
 * @param worked whether it was sold as working
 */
public record LikeSale(Where.Level level, boolean worked, long minor) {}
