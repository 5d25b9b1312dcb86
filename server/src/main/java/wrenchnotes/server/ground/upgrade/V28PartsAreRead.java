package wrenchnotes.server.ground.upgrade;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.flywaydb.core.api.MigrationVersion;
import org.flywaydb.core.api.migration.Context;
import org.flywaydb.core.api.migration.JavaMigration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import wrenchnotes.core.drawer.kind.PartField;
import wrenchnotes.core.drawer.kind.PartSpec;
import wrenchnotes.core.drawer.kind.ReadPart;
import wrenchnotes.server.ground.Stored;

/** The labels of the drawers are read once: what could not be read has no kind, and is one list to go through. */
public final class V28PartsAreRead implements JavaMigration {

    /** As the form was when this was written: the drawers' own may have gone on since. */
    private record FirstForm(int form, Map<PartField, Double> figures, Map<PartField, String> words) {

        static FirstForm of(PartSpec spec) {
            return new FirstForm(1, spec.figures(), spec.words());
        }
    }

    private record Label(long id, String name, String what) {}

    @Override
    public MigrationVersion getVersion() {
        return MigrationVersion.fromVersion("28");
    }

    @Override
    public String getDescription() {
        return "parts are read";
    }

    /** Raised by whoever edits it: never, once it has landed. */
    @Override
    public Integer getChecksum() {
        return 28;
    }

    @Override
    public boolean canExecuteInTransaction() {
        return true;
    }

    @Override
    public void migrate(Context context) {
        JdbcClient jdbc = JdbcClient.create(new SingleConnectionDataSource(context.getConnection(), true));
        List<Label> labels = jdbc.sql("SELECT id, name, what FROM part")
                .query((row, n) -> new Label(row.getLong("id"), row.getString("name"), row.getString("what")))
                .list();
        for (Label label : labels) {
            Optional<PartSpec> read = ReadPart.of(label.name(), label.what());
            read.ifPresent(spec -> jdbc.sql("UPDATE part SET kind = :kind, fields = :fields WHERE id = :id")
                    .param("kind", spec.kind().name())
                    .param("fields", Stored.text(FirstForm.of(spec)))
                    .param("id", label.id())
                    .update());
        }
    }
}
