package wrenchnotes.core.unit;

/** A value that cannot be: names the field it came in and says what would be allowed. */
public final class Invalid extends IllegalArgumentException {

    private final String field;

    public Invalid(String field, String message) {
        super(message);
        this.field = field;
    }

    public String field() {
        return field;
    }
}
