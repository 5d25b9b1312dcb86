package wrenchnotes.server.keeping;

import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Troubles;

/** How safe the shop's data is. */
@RestController
@RequestMapping("/api/keeping")
@May(Act.BACK_UP)
class KeepingApi {

    private final Backups backups;
    private final Upkeep upkeep;
    private final Troubles troubles;

    KeepingApi(Backups backups, Upkeep upkeep, Troubles troubles) {
        this.backups = backups;
        this.upkeep = upkeep;
        this.troubles = troubles;
    }

    /** @param wrong what is wrong with what lies under the shop now, a sentence each */
    public record Wrong(List<String> wrong) {}

    /** What every screen says until it is over. */
    @GetMapping("/wrong")
    Wrong wrong() {
        return new Wrong(troubles.all());
    }

    /**
     * @param folder where backups go
     * @param besideTheShop whether that is the shop's own disk
     * @param nightly when one is made by itself, such as {@code 02:30}; empty if none is
     * @param made newest first
     * @param going the one that is being made
     * @param failed why the last one came to nothing
     */
    public record BackupsNow(
            String folder,
            boolean besideTheShop,
            Optional<String> nightly,
            List<Backups.BackupMade> made,
            Optional<Backups.Going> going,
            Optional<String> failed) {}

    @GetMapping("/backups")
    BackupsNow backups() {
        return new BackupsNow(
                backups.folder().toAbsolutePath().normalize().toString(),
                backups.besideTheShop(),
                upkeep.nightly().map(LocalTime::toString),
                backups.made(),
                backups.going(),
                backups.failed());
    }

    /** Begins one; how far it is stands in the answer to GET. */
    @PostMapping("/backups")
    @ResponseStatus(HttpStatus.ACCEPTED)
    BackupsNow begin() {
        backups.begin();
        return backups();
    }
}
