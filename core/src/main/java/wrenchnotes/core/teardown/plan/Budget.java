package wrenchnotes.core.teardown.plan;

/** How much may still be looked at before a good answer with a bound is better than waiting for the best one. */
final class Budget {

    private long left;

    Budget(long left) {
        this.left = left;
    }

    /** Takes one; false when none is left. */
    boolean take() {
        return left-- > 0;
    }
}
