package wrenchnotes.server.team;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Session;
import wrenchnotes.server.ground.SignedIn;
import wrenchnotes.server.ground.Snapshot;

/** Who works here. A lead adds people. */
@RestController
@RequestMapping("/api/people")
public class TeamApi {

    private final PersonStore people;
    private final PasswordEncoder passwords;
    private final Journal journal;
    private final Snapshot snapshot;

    TeamApi(PersonStore people, PasswordEncoder passwords, Journal journal, Snapshot snapshot) {
        this.people = people;
        this.passwords = passwords;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    public record NewPerson(
            @NotBlank @Size(max = 60) String name,
            @NotBlank @Size(min = 4, max = 72) String password,
            @NotNull Role role) {}

    @GetMapping
    List<SignedIn> people() {
        return snapshot.read(people::all);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    SignedIn add(@Valid @RequestBody NewPerson person, Pen pen) {
        if (Session.current().role() != Role.LEAD) {
            throw Refused.because("Only a lead adds people. Ask the shop's lead.");
        }
        String hash = passwords.encode(person.password());
        return pen.once(
                person.name() + person.role(),
                by -> {
                    SignedIn added = people.add(by.at(), person.name().strip(), hash, person.role());
                    journal.write(by, Journal.Entry.ofShop("person", added.id(), added.name() + " joins", null, added));
                    return added;
                },
                SignedIn::id,
                people::person);
    }
}
