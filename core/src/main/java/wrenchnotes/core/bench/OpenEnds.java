package wrenchnotes.core.bench;

import java.util.List;

/**
 * What no account of the ledger holds and yet keeps a unit from being closed.
 *
 * @param temporary what was made so for a test and must be put right: "magnet holds the disc", "rubber band for the belt"
 * @param fragments tallies of broken pieces
 */
public record OpenEnds(List<String> temporary, List<Fragments> fragments) {

    public static final OpenEnds NONE = new OpenEnds(List.of(), List.of());

    public OpenEnds {
        temporary = List.copyOf(temporary);
        fragments = List.copyOf(fragments);
    }
}
