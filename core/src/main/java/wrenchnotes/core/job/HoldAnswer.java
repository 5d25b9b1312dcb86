package wrenchnotes.core.job;

import wrenchnotes.core.unit.Spoken;

/** What is answered when a wait is over: it is hard, it is not yet, it never will be. */
public enum HoldAnswer implements Spoken {
    YES,
    NOT_YET,
    NO
}
