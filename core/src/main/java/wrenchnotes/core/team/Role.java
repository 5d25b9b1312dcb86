package wrenchnotes.core.team;

/** What somebody does in the shop. */
public enum Role {
    COUNTER,
    BENCH,
    LEAD
}
