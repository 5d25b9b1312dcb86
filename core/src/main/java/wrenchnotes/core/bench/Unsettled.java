package wrenchnotes.core.bench;

import wrenchnotes.core.teardown.Thing;

/** Something that keeps a unit from being closed. */
public record Unsettled(Thing thing, Account account, int count) {

    /** "2 × plate screws, in the tray: put back, replace, or leave out and say why." */
    public String sentence() {
        String many = thing.hasCount() || count > 1 ? count + " × " : "";
        String what = many + thing.label() + ", " + account.words();
        return switch (account) {
            case TRAY -> what + ": put back, replace, or leave out and say why.";
            case OUT_FOR_NOW -> what + ": put it right, or close it for now only.";
            default -> what + ": replace from a drawer, or leave out and say why.";
        };
    }
}
