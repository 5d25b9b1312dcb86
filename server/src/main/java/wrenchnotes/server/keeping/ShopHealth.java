package wrenchnotes.server.keeping;

import java.util.List;
import java.util.Optional;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;
import wrenchnotes.server.ground.Build;
import wrenchnotes.server.ground.Troubles;

/** {@code /actuator/health}: up while the shop can be read; what is wrong with it, and how old its last backup is. */
@Component("keeping")
class ShopHealth implements HealthIndicator {

    private final Troubles troubles;
    private final Backups backups;
    private final Build build;

    ShopHealth(Troubles troubles, Backups backups, Build build) {
        this.troubles = troubles;
        this.backups = backups;
        this.build = build;
    }

    @Override
    public Health health() {
        List<String> wrong = troubles.all();
        Health.Builder health = troubles.ofWriting().isPresent() ? Health.outOfService() : Health.up();
        if (!wrong.isEmpty()) {
            health.withDetail("wrong", wrong);
        }
        Optional<Long> hours = backups.age().map(age -> age.toHours());
        return health.withDetail("program", build.words())
                .withDetail("lastBackup", hours.map(age -> age + " hours ago").orElse("none yet"))
                .build();
    }
}
