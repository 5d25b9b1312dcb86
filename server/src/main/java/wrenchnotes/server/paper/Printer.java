package wrenchnotes.server.paper;

/** Where papers come out. */
public interface Printer {

    /**
     * @param name of the paper, fit for a file: "WN-0042-slip"
     * @param pdf the paper
     * @return where it came out, in words
     */
    String print(String name, byte[] pdf);
}
