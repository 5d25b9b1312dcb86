package wrenchnotes.server.team;

import java.time.Clock;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.CannotStart;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Secret;
import wrenchnotes.server.ground.SignedIn;

/**
 * What only whoever started the program can do: become the first lead, and put a lead back who lost the password. Both are proven by what
 * is printed where the program runs.
 */
@Component
class FirstVisit {

    /** Set by whoever cannot read what is printed, as in a container. */
    private static final String CODE = "wrenchnotes.first-code";

    private static final String RESET = "reset-lead";

    private final PersonStore people;
    private final SignInStore signIns;
    private final Journal journal;
    private final PasswordEncoder encoder;
    private final TransactionTemplate writing;
    private final Environment environment;
    private final Clock clock;
    private final String code;

    FirstVisit(
            PersonStore people,
            SignInStore signIns,
            Journal journal,
            PasswordEncoder encoder,
            PlatformTransactionManager transactions,
            Environment environment,
            Clock clock) {
        this.people = people;
        this.signIns = signIns;
        this.journal = journal;
        this.encoder = encoder;
        this.writing = new TransactionTemplate(transactions);
        this.environment = environment;
        this.clock = clock;
        this.code = Optional.ofNullable(environment.getProperty(CODE)).orElseGet(() -> Secret.legible(2));
    }

    /** @throws Invalid if that is not what was printed at the start */
    void mustBe(String said) {
        if (!Secret.same(bare(said), bare(code))) {
            throw new Invalid(
                    "code",
                    "This is not the code that the program printed when it was started: look where it runs, in its window or its log");
        }
    }

    private static String bare(String code) {
        return code.toUpperCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]", "");
    }

    /** Printed, not logged: what is logged is kept. */
    @EventListener(ApplicationReadyEvent.class)
    void say() {
        if (people.isEmpty()) {
            System.out.println("Nobody works here yet. Open http://localhost:"
                    + environment.getProperty("local.server.port") + " and give this code: " + code);
        }
        String name = environment.getProperty(RESET, "");
        if (!name.isBlank()) {
            System.out.println(
                    name + " leads this shop, with this password until another one is chosen: " + reset(name));
        }
    }

    private String reset(String name) {
        String password = Secret.legible(4);
        String hash = encoder.encode(password);
        writing.executeWithoutResult(status -> {
            SignedIn lead = byName(name);
            Set<Role> roles = EnumSet.of(Role.LEAD);
            roles.addAll(lead.roles());
            people.does(lead.id(), roles);
            people.password(lead.id(), hash);
            people.left(lead.id(), null);
            signIns.end(signIns.of(lead.id()), clock.instant());
            told(lead, lead.name() + " is made a lead where the program runs", lead, people.person(lead.id()));
        });
        return password;
    }

    /**
     * The first of the shop, who leads it.
     *
     * @throws Refused if somebody works here already
     */
    SignedIn firstLead(String name, String hash) {
        return writing.execute(status -> {
            if (!people.isEmpty()) {
                throw Refused.because("This shop has people already. Sign in, or ask its lead to add you.");
            }
            SignedIn first = people.add(clock.instant(), name, hash, Set.of(Role.LEAD));
            told(first, first.name() + " opens the shop and leads it", null, first);
            return first;
        });
    }

    private void told(SignedIn lead, String words, Object before, Object after) {
        By by = new By(lead.id(), lead.name(), new Moment(journal.last() + 1, clock.instant()));
        journal.write(by, Journal.Entry.ofShop("person", lead.id(), words, before, after));
    }

    private SignedIn byName(String name) {
        return Stream.concat(people.all().stream(), people.gone().stream())
                .filter(one -> one.name().equalsIgnoreCase(name.strip()))
                .findFirst()
                .orElseThrow(() -> new CannotStart("Nobody in this shop is called " + name
                        + ": give --reset-lead the name as it stands under Team."));
    }
}
