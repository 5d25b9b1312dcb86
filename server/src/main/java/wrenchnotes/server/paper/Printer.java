package wrenchnotes.server.paper;

/** Where papers come out. */
public interface Printer {

    /**
     * @param name of the paper, fit for a file: "WN-0042-slip"
     * @param pdf the paper
     * @return where it came out, in words
     */
    String print(String name, byte[] pdf);

    /**
     * Throws away what came out under names that begin so, as far as it still has it.
     *
     * @return how many
     */
    int throwAway(String beginning);
}
