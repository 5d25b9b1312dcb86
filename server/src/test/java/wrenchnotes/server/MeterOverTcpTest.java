package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.OutputStream;
import java.io.PrintStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import wrenchnotes.server.meter.MeterStandIn;

/** The stand-in as any program would speak to it, and the client against meters on a bad day. */
@Tag("shop")
class MeterOverTcpTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty()
            .set("wrenchnotes.meter.stand-in.on=true")
            .set("wrenchnotes.meter.stand-in.port=0")
            .set("wrenchnotes.meter.stand-in.delay=0ms")
            .set("wrenchnotes.meter.patience=900ms");

    private static final Map<String, Object> WELL =
            Client.body("noisePercent", 0.05, "digits", 4, "overloadAbove", 1e9, "delayMillis", 0, "talkative", false);

    private static Client client;
    private static int port;

    @BeforeAll
    static void aBench() {
        client = SHOP.client().asFirstLead();
        port = SHOP.bean(MeterStandIn.class).port().orElseThrow();
    }

    @AfterEach
    void theStandInAgain() {
        point(port);
        client.put("/api/meter/stand-in", 0, WELL);
    }

    private static Client.Answer point(int at) {
        return client.put("/api/meter", 0, Client.body("host", "localhost", "port", at));
    }

    private static Client.Answer read(String function, String at) {
        return client.post("/api/meter/readings", Client.body("function", function, "at", at));
    }

    /** SCPI-1999 and IEEE 488.2 (published; from memory): four fields of *IDN?, NR3 numbers, an error queue that empties, -113. */
    @Test
    void theStandInSpeaksAsMetersDo() throws IOException {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            PrintStream out = new PrintStream(socket.getOutputStream(), true, StandardCharsets.US_ASCII);
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
            out.print("*IDN?\n");
            assertThat(in.readLine().split(",")).hasSize(4);
            out.print("SIM:POIN \"rails/15 V\"\nMEAS:VOLT:DC?\nmeasure:voltage:dc?\n:MEAS:VOLT? AUTO\n");
            for (int n = 0; n < 3; n++) {
                String answer = in.readLine();
                assertThat(answer).matches("[+-]\\d\\.\\d{8}E[+-]\\d{2}");
                assertThat(Double.parseDouble(answer)).isCloseTo(11.8, within(0.1));
            }
            out.print("MEAS:VOLT:AC?\nMEAS:RES?\nMEAS:CURR:DC?\nMEAS:CAP?\n");
            assertThat(Double.parseDouble(in.readLine())).isCloseTo(0.9, within(0.01));
            assertThat(in.readLine()).isEqualTo("+0.00000000E+00");
            assertThat(in.readLine()).isEqualTo("+0.00000000E+00");
            assertThat(in.readLine()).isEqualTo("+0.00000000E+00");
            out.print("MAKE:TEA\nSIM:NOIS much\nSIM:DIG 99\nSYST:ERR?\nSYSTem:ERRor:NEXT?\nSYST:ERR?\nSYST:ERR?\n");
            assertThat(in.readLine()).startsWith("-113,");
            assertThat(in.readLine()).startsWith("-104,");
            assertThat(in.readLine()).startsWith("-222,");
            assertThat(in.readLine()).isEqualTo("0,\"No error\"");
            out.print("SIM:POIN \"nowhere\"\nMEAS:RES?\n");
            assertThat(in.readLine()).as("an open circuit").startsWith("+9.9");
        }
    }

    /** A thousand lines of noise, and it still answers in its turn. */
    @Test
    void nothingThatIsSaidBreaksTheStandIn() throws IOException {
        Random random = new Random(5);
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            OutputStream out = socket.getOutputStream();
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
            String letters = "MEASVOLTDC:?*IDN SYSERR\t\"0123456789.eE+-;,xü\u0000";
            for (int n = 0; n < 1000; n++) {
                StringBuilder line = new StringBuilder();
                for (int at = random.nextInt(30); at > 0; at--) {
                    line.append(letters.charAt(random.nextInt(letters.length())));
                }
                String said = line.toString();
                if (!said.contains("?")) {
                    out.write((said + "\n").getBytes(StandardCharsets.UTF_8));
                }
            }
            out.write("*CLS\n*IDN?\nSYST:ERR?\n".getBytes(StandardCharsets.UTF_8));
            assertThat(in.readLine()).startsWith("Wrench Notes,");
            assertThat(in.readLine()).isEqualTo("0,\"No error\"");
        }
    }

    @Test
    void noiseResolutionAndOverloadCanBeSet() {
        client.put("/api/meter/stand-in", 0, body(WELL, "noisePercent", 5, "digits", 3));
        Set<Double> values = new HashSet<>();
        for (int n = 0; n < 30; n++) {
            values.add(read("VOLTS_DC", "rails/15 V").body().get("value").asDouble());
        }
        assertThat(values).hasSizeGreaterThan(5).allSatisfy(volts -> {
            assertThat(volts).isBetween(8.0, 16.0);
            // Noise takes one in a few hundred below ten volts, where three digits are finer.
            double steps = volts < 10 ? 100 : 10;
            assertThat(volts).as("three digits").isCloseTo(Math.rint(volts * steps) / steps, within(1e-9));
        });
        client.put("/api/meter/stand-in", 0, body(WELL, "overloadAbove", 10));
        assertThat(read("VOLTS_DC", "rails/15 V").detail()).contains("shows overload");
        assertThat(read("VOLTS_DC", "rails/5 V").status()).isEqualTo(200);
        assertThat(client.put("/api/meter/stand-in", 0, body(WELL, "digits", 0)).status())
                .isEqualTo(400);
    }

    private static Map<String, Object> body(Map<String, Object> before, Object... changes) {
        Map<String, Object> after = Client.body(changes);
        before.forEach(after::putIfAbsent);
        return after;
    }

    @Test
    void aReadingComesInWordsAndInTheUnit() {
        Client.Answer read = read("FARADS", "bleed/farads");
        assertThat(read.body().get("words").asString()).matches("2[23]\\d\\.?\\d* µF");
        assertThat(read.body().get("value").asDouble()).isCloseTo(231e-6, within(3e-6));
        assertThat(read.body().get("meter").asString()).contains("stand-in");
    }

    @Test
    void aDeadMeterIsSaidToBeDead() throws IOException {
        int closed;
        try (ServerSocket nobody = new ServerSocket(0)) {
            closed = nobody.getLocalPort();
        }
        point(closed);
        Client.Answer answer = read("VOLTS_DC", "rails/5 V");
        assertThat(answer.status()).isEqualTo(502);
        assertThat(answer.detail())
                .isEqualTo("No meter answers at localhost:" + closed
                        + ". Is it on, in the network, and is the address right?");
        client.put("/api/meter", 0, Client.body("host", "no.such.meter.invalid", "port", 5025));
        assertThat(read("VOLTS_DC", "x").detail()).startsWith("Nobody in the network is called no.such.meter.invalid");
    }

    @Test
    void aSlowMeterIsNotWaitedFor() {
        client.put("/api/meter/stand-in", 0, body(WELL, "delayMillis", 20_000));
        for (int n = 0; n < 10; n++) {
            assertThat(read("VOLTS_DC", "rails/5 V").detail()).contains("did not answer within");
        }
        client.put("/api/meter/stand-in", 0, WELL);
        assertThat(read("VOLTS_DC", "rails/5 V").status())
                .as("those that still wait are in nobody's way")
                .isEqualTo(200);
    }

    /** What a meter of ill will does, and what is said of it. */
    @Test
    void aMeterThatTalksOrMumblesIsNotBelieved() throws IOException {
        client.put("/api/meter/stand-in", 0, body(WELL, "talkative", true));
        assertThat(read("VOLTS_DC", "rails/5 V").detail()).contains("sends more than it is asked for");
        List<String> endless = new ArrayList<>(List.of("Meter,1,2,3\n", "9".repeat(100_000)));
        assertThat(readFrom(endless)).contains("sends more than it is asked for");
        assertThat(readFrom(List.of("Meter,1,2,3\n", "volts are fine\n", "0,\"No error\"\n")))
                .contains("something else than a reading")
                .doesNotContain("volts");
        assertThat(readFrom(List.of("220 mail.example ready\n", "+1.0E+0\n", "0,\"No error\"\n")))
                .as("what another machine says is not handed on")
                .contains("is no meter")
                .doesNotContain("220", "mail");
        assertThat(readFrom(List.of("Meter,1,2,3\n", "+1.0E+0\n", "-222,\"Data out of range\"\n")))
                .contains("it says -222");
        assertThat(readFrom(List.of("Meter,1,2,3\n", "+1.0E+0"))).contains("did not answer within");
        assertThat(readFrom(List.of())).contains("hung up");
        assertThat(readFrom(List.of("Meter,1,2,3\r\n", " +1.250E+0 \r\n", "+0,\"No error\"\r\n")))
                .as("a decent meter with the other end of line")
                .isEqualTo("1.25 V");
    }

    /** A meter that answers each line with the next of these, whatever is asked; without any it hangs up at once. */
    private static String readFrom(List<String> answers) throws IOException {
        try (ServerSocket meter = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            Thread talking = new Thread(() -> {
                try (Socket caller = meter.accept()) {
                    BufferedReader in = new BufferedReader(
                            new InputStreamReader(caller.getInputStream(), StandardCharsets.US_ASCII));
                    OutputStream out = caller.getOutputStream();
                    for (String answer : answers) {
                        in.readLine();
                        out.write(answer.getBytes(StandardCharsets.US_ASCII));
                    }
                    if (!answers.isEmpty()) {
                        in.readLine();
                    }
                } catch (IOException e) {
                    // The client hung up on it.
                }
            });
            talking.start();
            client.put("/api/meter", 0, Client.body("host", "127.0.0.1", "port", meter.getLocalPort()));
            Client.Answer answer = read("VOLTS_DC", "");
            return answer.status() == 200 ? answer.body().get("words").asString() : answer.detail();
        }
    }

    @Test
    void onlyALeadSaysWhereTheMeterIs() {
        client.post(
                "/api/people",
                Client.body("name", "bencher", "password", "bench me often", "roles", java.util.List.of("BENCH")));
        Client bencher = SHOP.client().signedIn("bencher", "bench me often");
        assertThat(bencher.put("/api/meter", 0, Client.body("host", "x", "port", 1))
                        .detail())
                .contains("lead may");
        assertThat(client.put("/api/meter", 0, Client.body("host", "x", "port", 0))
                        .field())
                .isEqualTo("port");
        assertThat(bencher.get("/api/meter").body().get("standIn").get("digits").asInt())
                .isEqualTo(4);
    }
}
