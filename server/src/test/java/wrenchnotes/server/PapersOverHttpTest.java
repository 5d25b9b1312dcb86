package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.decoder.Decoder;
import com.lowagie.text.pdf.PRStream;
import com.lowagie.text.pdf.PdfName;
import com.lowagie.text.pdf.PdfReader;
import com.lowagie.text.pdf.PdfStream;
import com.lowagie.text.pdf.parser.PdfTextExtractor;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Slip and tag, read back. */
class PapersOverHttpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client client;
    private SmallShop shop;

    @BeforeAll
    static void aLead() {
        client = SHOP.client().asFirstLead();
    }

    @BeforeEach
    void aShop() {
        shop = new SmallShop(client);
    }

    /** The squares on the paper are read back and decoded by the reader's half of the library: the tag, as a scanner would type it. */
    @Test
    void slipAndTagComeOutOfThePrinterAndTheCodeIsTheTag() throws Exception {
        Map<String, Object> coming = shop.coming();
        coming.put(
                "arrival",
                body(
                        "complaint", "sings no more",
                        "symptoms", List.of(Map.of("name", "dead", "present", true)),
                        "marks", List.of("DENTS"),
                        "places", Map.of("DENTS", "front left"),
                        "belongings", List.of("remote")));
        long job = SmallShop.taken(client.post("/api/jobs", coming));
        String tag = shop.sheet(job).body().get("job").get("unit").get("tag").asString();

        String where = client.post("/api/jobs/" + job + "/papers", Map.of("paper", "TAG"))
                .body()
                .get("where")
                .asString();
        Path printed = SHOP.data().resolve(where);
        assertThat(printed.getFileName().toString()).startsWith(tag);
        assertThat(decoded(Files.readAllBytes(printed))).isEqualTo(tag);

        client.post("/api/jobs/" + job + "/papers", Map.of("paper", "SLIP"));
        PdfReader slip =
                new PdfReader(Files.readAllBytes(SHOP.data().resolve("printed/" + tag + "-" + job + "-slip.pdf")));
        assertThat(new PdfTextExtractor(slip).getTextFromPage(1).replaceAll("\\s+", " "))
                .contains(tag, "Harbour choir", "dead", "sings no more", "dents (front left)", "remote");
    }

    private static String decoded(byte[] pdf) throws Exception {
        String squares = drawing(new PdfReader(pdf));
        Matcher square = Pattern.compile("(\\d+) (\\d+) 1 1 re").matcher(squares);
        int size = 0;
        List<int[]> dark = new java.util.ArrayList<>();
        while (square.find()) {
            int[] at = {Integer.parseInt(square.group(1)), Integer.parseInt(square.group(2))};
            dark.add(at);
            size = Math.max(size, Math.max(at[0], at[1]) + 1);
        }
        int[] low = {size, size};
        for (int[] at : dark) {
            low[0] = Math.min(low[0], at[0]);
            low[1] = Math.min(low[1], at[1]);
        }
        int modules = size - low[0];
        BitMatrix code = new BitMatrix(modules);
        for (int[] at : dark) {
            code.set(at[0] - low[0], modules - 1 - (at[1] - low[1]));
        }
        return new Decoder().decode(code).getText();
    }

    private static String drawing(PdfReader reader) throws IOException {
        for (int n = 0; n < reader.getXrefSize(); n++) {
            if (reader.getPdfObject(n) instanceof PdfStream stream
                    && PdfName.FORM.equals(stream.get(PdfName.SUBTYPE))) {
                return new String(PdfReader.getStreamBytes((PRStream) stream), StandardCharsets.ISO_8859_1);
            }
        }
        throw new IllegalStateException("The tag has a drawing on it");
    }
}
