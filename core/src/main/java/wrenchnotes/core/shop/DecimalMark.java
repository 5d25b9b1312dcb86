package wrenchnotes.core.shop;

import wrenchnotes.core.unit.Spoken;

/** How the shop writes numbers. Both are read, whichever it is. */
public enum DecimalMark implements Spoken {
    POINT,
    COMMA;

    @Override
    public String words() {
        return this == POINT ? "1,234.50" : "1.234,50";
    }
}
