package wrenchnotes.core.check;

import wrenchnotes.core.unit.Spoken;

/** What keeps a shock from whoever touches a unit: published, IEC 61140, classes I and II (from memory). */
public enum Protection implements Spoken {
    EARTHED,
    DOUBLE_INSULATED
}
