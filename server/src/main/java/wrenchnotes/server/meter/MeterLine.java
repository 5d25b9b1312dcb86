package wrenchnotes.server.meter;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import wrenchnotes.server.ground.DeviceTrouble;

/** A conversation with a meter that ends at its deadline, however the meter drags it out. */
final class MeterLine implements AutoCloseable {

    private static final int LONGEST = 200;

    private final Socket socket;
    private final InputStream in;
    private final long deadline;

    private MeterLine(Socket socket, long deadline) throws IOException {
        this.socket = socket;
        this.in = new BufferedInputStream(socket.getInputStream());
        this.deadline = deadline;
    }

    static MeterLine to(MeterClient.MeterAt meter, Duration patience) throws IOException {
        long deadline = System.nanoTime() + patience.toNanos();
        InetSocketAddress address = new InetSocketAddress(meter.host(), meter.port());
        if (address.isUnresolved()) {
            throw new UnknownHostException(meter.host());
        }
        Socket socket = new Socket();
        try {
            socket.setTcpNoDelay(true);
            socket.connect(address, left(deadline));
            return new MeterLine(socket, deadline);
        } catch (IOException e) {
            socket.close();
            throw e;
        }
    }

    /** @throws SocketTimeoutException when there is none */
    private static int left(long deadline) throws SocketTimeoutException {
        long millis = (deadline - System.nanoTime()) / 1_000_000;
        if (millis <= 0) {
            throw new SocketTimeoutException("out of patience");
        }
        return (int) millis;
    }

    void say(String command) throws IOException {
        socket.getOutputStream().write((command + "\n").getBytes(StandardCharsets.UTF_8));
    }

    /**
     * One question, one line for an answer. A meter that has said more by then is not asked any further: one answer might be taken for
     * another.
     */
    String ask(String query) throws IOException {
        if (in.available() > 0) {
            throw tooMuch();
        }
        say(query);
        StringBuilder answer = new StringBuilder();
        for (int read = next(); read != '\n'; read = next()) {
            answer.append((char) read);
            if (answer.length() > LONGEST) {
                throw tooMuch();
            }
        }
        if (in.available() > 0) {
            throw tooMuch();
        }
        return answer.toString().strip();
    }

    private int next() throws IOException {
        socket.setSoTimeout(left(deadline));
        int read = in.read();
        if (read < 0) {
            throw new EOFException("hung up");
        }
        return read;
    }

    private static DeviceTrouble tooMuch() {
        return new DeviceTrouble(
                "The meter sends more than it is asked for, so no answer of it can be trusted. Switch off what it"
                        + " sends by itself, then take the reading again.");
    }

    @Override
    public void close() throws IOException {
        socket.close();
    }
}
