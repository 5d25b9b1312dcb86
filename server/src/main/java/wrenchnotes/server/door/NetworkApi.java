package wrenchnotes.server.door;

import java.io.IOException;
import java.security.GeneralSecurityException;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Pen;

/** Opening the shop to its network, and the root that each device trusts once. */
@RestController
@RequestMapping("/api/network")
@May(value = Act.TRUST, toRead = true)
class NetworkApi {

    private static final MediaType ROOT = MediaType.parseMediaType("application/x-x509-ca-cert");

    private final Network network;
    private final Journal journal;

    NetworkApi(Network network, Journal journal) {
        this.network = network;
        this.journal = journal;
    }

    /**
     * @param addresses at which devices in the network reach it, most useful first; empty unless it is open
     * @param fingerprint of the shop's own root; left out if it has none
     * @param trouble why it is not open, though it was said to be
     */
    public record NetworkNow(
            boolean open, List<String> addresses, Optional<String> fingerprint, Optional<String> trouble) {}

    @GetMapping
    NetworkNow now() throws IOException, GeneralSecurityException {
        boolean open = network.isOpen();
        List<String> addresses = open
                ? network.names().stream()
                        .map(name -> "https://" + (name.contains(":") ? "[" + name + "]" : name) + ":" + network.port())
                        .toList()
                : List.of();
        Optional<String> fingerprint =
                network.authority().hasRoot() ? Optional.of(network.authority().fingerprint()) : Optional.empty();
        return new NetworkNow(open, addresses, fingerprint, network.trouble());
    }

    @PostMapping
    NetworkNow open(Pen pen) throws IOException, GeneralSecurityException {
        network.open();
        pen.once(
                "open",
                by -> journal.write(
                        by, Journal.Entry.ofShop("network", 1, "The shop is open to its network", null, null)));
        return now();
    }

    @DeleteMapping
    NetworkNow close(Pen pen) throws IOException, GeneralSecurityException {
        network.close();
        pen.once(
                "close",
                by -> journal.write(
                        by, Journal.Entry.ofShop("network", 1, "The shop is open to this machine only", null, null)));
        return now();
    }

    /** Before anybody is signed in: a device that does not trust the shop yet comes for it. */
    @GetMapping("/root.crt")
    @May(Act.ASK)
    ResponseEntity<byte[]> root() throws IOException {
        if (!network.authority().hasRoot()) {
            throw new NotFound("This shop has no authority of its own");
        }
        return ResponseEntity.ok()
                .contentType(ROOT)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("wrench-notes-root.crt")
                                .build()
                                .toString())
                .body(network.authority().root());
    }
}
