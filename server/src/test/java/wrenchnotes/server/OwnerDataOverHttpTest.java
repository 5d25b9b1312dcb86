package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What is kept of an owner can be had, and their name taken out: of rooms, finder, papers and every later backup. */
@Tag("shop")
class OwnerDataOverHttpTest {

    private static final String NAME = "Quellwater Ottoline";

    @TempDir
    Path data;

    @Test
    void anOwnersNameIsTakenOutAndTheirUnitsHistoryStays() throws Exception {
        try (RunningShop shop = RunningShop.emptyIn(data)) {
            Client lead = shop.client().asFirstLead();
            SmallShop small = new SmallShop(lead);
            Map<String, Object> coming = small.coming();
            coming.put("ownerName", NAME);
            coming.put("ownerContact", "+31 6 5550 1234\nottoline@quellwater.example");
            coming.put("arrival", body("complaint", NAME + " says it hums", "symptoms", List.of()));
            long job = SmallShop.taken(lead.post("/api/jobs", coming));
            small.finding(job, "slack", "CLEANED", null);
            long owner = small.sheet(job)
                    .body()
                    .get("job")
                    .get("brought")
                    .get("owner")
                    .get("id")
                    .asLong();
            assertThat(papers()).anyMatch(paper -> paper.contains("-" + job + "-slip"));

            JsonNode kept = lead.get("/api/owners/" + owner + "/data").body();
            assertThat(kept.get("name").asString()).isEqualTo(NAME);
            assertThat(kept.toString()).contains("5550 1234", "slack", "says it hums");
            backUp(lead);
            assertThat(inBackups()).as("the one before has it").isTrue();
            String older = lead.get("/api/keeping/backups")
                    .body()
                    .get("made")
                    .get(0)
                    .get("until")
                    .asString();
            assertThat(older).matches("\\d{4}-\\d{2}-01");
            try (Stream<Path> all = Files.walk(data.resolve("backups"))) {
                for (Path file : all.filter(Files::isRegularFile).toList()) {
                    Files.delete(file);
                }
            }

            JsonNode gone = lead.delete("/api/owners/" + owner).body();
            assertThat(gone.get("called").asString()).isEqualTo("Owner " + owner);
            assertThat(gone.get("papers").asInt()).isGreaterThanOrEqualTo(2);
            assertThat(papers()).noneMatch(paper -> paper.contains("-" + job + "-"));
            String sheet = small.sheet(job).body().toString();
            assertThat(sheet).doesNotContain("Quellwater", "5550").contains("slack", "Owner " + owner);
            assertThat(lead.get("/api/find?q=Quellwater").body().toString()).doesNotContain("WN-");
            backUp(lead);
            assertThat(inBackups()).as("no later backup has it").isFalse();
        }
    }

    private List<String> papers() throws IOException {
        try (Stream<Path> papers = Files.list(data.resolve("printed"))) {
            return papers.map(one -> one.getFileName().toString()).toList();
        }
    }

    private static void backUp(Client lead) throws InterruptedException {
        int before = lead.get("/api/keeping/backups").body().get("made").size();
        lead.post("/api/keeping/backups", "");
        for (int n = 0;
                n < 300 && lead.get("/api/keeping/backups").body().get("made").size() == before;
                n++) {
            Thread.sleep(50);
        }
    }

    /** Whether any byte of any backup says it. */
    private boolean inBackups() throws IOException {
        try (Stream<Path> all = Files.walk(data.resolve("backups"))) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                String bytes = new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1);
                if (bytes.toLowerCase(java.util.Locale.ROOT).contains("quellwater")) {
                    return true;
                }
            }
            return false;
        }
    }
}
