package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.quoted;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import tools.jackson.databind.JsonNode;

/**
 * Two people at once, at random: one changes models, revisions, components and notes, the other has the unit on the bench. Its bench
 * always opens, presses work or are refused in a sentence, the ledger keeps its sums, and bench and sheet tell the same standing.
 */
@Tag("shop")
class TwoPeopleTest {

    private static final long SEED = 20_261_126;
    private static final int HISTORIES = 8;
    private static final int ACTS = 40;
    private static final List<String> STEPS = List.of("lid", "deck", "cover", "frame");

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static Client lead;
    private static Client bench;
    private final Random random = new Random(SEED);
    private final Map<String, Integer> answers = new TreeMap<>();

    private long model;
    private long drive;
    private long belt;
    private final List<Long> revisions = new ArrayList<>();
    private final List<Long> drives = new ArrayList<>();
    private long job;

    @Test
    void theBenchOfAnOpenJobAlwaysOpens() {
        lead = SHOP.client().asFirstLead();
        lead.post("/api/people", quoted("{'name':'Bo','password':'second hand','roles':['BENCH']}"));
        bench = SHOP.client().signedIn("Bo", "second hand");
        for (int n = 0; n < HISTORIES; n++) {
            begin(n);
            for (int act = 0; act < ACTS; act++) {
                String what = random.nextInt(5) < 2 ? edit() : press();
                look("history " + n + ", act " + act + ": " + what);
            }
        }
        // What was done must have been done often enough to say something.
        assertThat(answers).containsKeys("edit 200", "press 200", "press 409", "press 400");
        assertThat(answers.get("press 200")).isGreaterThan(60);
        assertThat(SHOP.bean(JdbcClient.class)
                        .sql("SELECT COUNT(*) FROM step_entry JOIN job ON job.id = job_id WHERE teardown_id IS NULL")
                        .query(Integer.class)
                        .single())
                .isZero();
    }

    private void begin(int n) {
        model = made("/api/models", "{'maker':'Cormorant Works','name':'Tide " + n + "','kind':'PLAYER'}");
        drive = made("/api/models", "{'maker':'Cormorant Works','name':'Spring " + n + "','kind':'DRIVE'}");
        revisions.clear();
        drives.clear();
        for (String name : List.of("A", "B")) {
            revisions.add(made("/api/models/" + model + "/revisions", "{'name':'" + name + "','tellApart':''}"));
            drives.add(made("/api/models/" + drive + "/revisions", "{'name':'" + name + "','tellApart':''}"));
        }
        belt = made("/api/models/" + model + "/components", "{'name':'belt'}");
        // Some begin with notes, some without, some with the drive inside.
        if (random.nextBoolean()) {
            saveNotes(revisions.get(0));
        }
        if (random.nextBoolean()) {
            drives.forEach(this::saveNotes);
            changeComponent(drive);
        }
        job = lead.post("/api/jobs", quoted("{'serial':'','revisionId':" + revisions.get(0) + arrival()))
                .body()
                .get("jobId")
                .asLong();
    }

    private static String arrival() {
        return ",'ownership':'CUSTOMER','ownerName':'Harbour choir','ownerContact':'','arrival':{'complaint':'hums',"
                + "'symptoms':[]}}";
    }

    private String edit() {
        return switch (random.nextInt(6)) {
            case 0, 1 -> saveNotes(any(revisions));
            case 2 -> saveNotes(any(drives));
            case 3 -> changeComponent(random.nextBoolean() ? drive : 0);
            case 4 -> rename();
            default -> anotherRevision();
        };
    }

    /** Steps from a small stock of ids, so that some stay, some go and some come back as something else. */
    private String saveNotes(long revision) {
        List<String> steps = new ArrayList<>();
        for (String id : STEPS) {
            if (random.nextInt(3) > 0) {
                String needs = steps.isEmpty() || random.nextBoolean() ? "" : "'lid'";
                boolean lidIsThere = steps.stream().anyMatch(step -> step.contains("'id':'lid'"));
                steps.add("{'id':'" + id + "','title':'" + id + " off','side':'TOP','tool':'','minutes':1,'needs':["
                        + (lidIsThere ? needs : "") + "],'exposes':["
                        + (revisions.contains(revision) && id.equals("lid") ? belt : "") + "],'pieces':[{'id':'" + id
                        + "-p" + random.nextInt(2) + "','label':'" + id + "','hint':'','count':"
                        + (1 + random.nextInt(3))
                        + "}]}");
            }
        }
        long seen = lead.get("/api/revisions/" + revision + "/teardown")
                .body()
                .get("number")
                .asLong();
        return count(
                "edit",
                lead.put(
                        "/api/revisions/" + revision + "/teardown",
                        seen,
                        quoted("{'steps':[" + String.join(",", steps) + "],'why':''}")));
    }

    private String changeComponent(long inside) {
        JsonNode now = lead.get("/api/models/" + model).body().get("components").get(0);
        return count(
                "edit",
                lead.put(
                        "/api/components/" + belt,
                        now.get("version").asLong(),
                        quoted("{'name':'belt','aliases':['band " + random.nextInt(9) + "']"
                                + (inside == 0 ? "" : ",'inside':" + inside) + "}")));
    }

    private String rename() {
        long one = any(revisions);
        for (JsonNode revision :
                lead.get("/api/models/" + model).body().get("revisions").values()) {
            if (revision.get("id").asLong() == one) {
                return count(
                        "edit",
                        lead.put(
                                "/api/revisions/" + one,
                                revision.get("version").asLong(),
                                quoted("{'name':'R" + random.nextInt(1000) + "','tellApart':''}")));
            }
        }
        return "nothing";
    }

    private String anotherRevision() {
        long seen =
                lead.get("/api/jobs/" + job).body().get("job").get("version").asLong();
        return count(
                "edit",
                lead.put(
                        "/api/jobs/" + job + "/arrival",
                        seen,
                        quoted("{'serial':'','revisionId':" + any(revisions)
                                + ",'arrival':{'complaint':'hums','symptoms':[]}}")));
    }

    private String press() {
        JsonNode now = bench.get("/api/jobs/" + job + "/bench").body();
        if (!now.has("run")) {
            return press("start", "{'targets':[],'off':true,'missing':[],'rework':'OTHER','words':''}", now);
        }
        String step = now.get("way").has("nextIn") && random.nextInt(4) > 0
                ? now.get("way").get("nextIn").asString()
                : anyStep(now);
        return switch (random.nextInt(12)) {
            case 0, 1, 2, 3 -> press("steps/" + step + "/in", "{'found':[]}", now);
            case 4 ->
                press(
                        "steps/"
                                + (now.get("way").has("nextOut")
                                        ? now.get("way").get("nextOut").asString()
                                        : step) + "/out",
                        "{'settled':[]}",
                        now);
            case 5 -> press("back", "{}", now);
            case 6 -> press("steps/" + step + "/skip", "{'reason':'not there'}", now);
            case 7 ->
                press(
                        "moves",
                        "{'thing':'" + anyThing(now) + "','from':'FITTED','to':'BROKEN','count':1,'reason':''}",
                        now);
            case 8 -> press("fitted", "{'component':" + belt + ",'revision':" + any(drives) + "}", now);
            case 9 ->
                press(
                        "came-off",
                        "{'title':'More','side':'TOP','tool':'','screws':[{'head':'CROSS','count':2}],'plugs':[],'pieces':[]}",
                        now);
            case 10 -> press("close-for-now", "{'reason':'so far'}", now);
            default -> press("turn", "{'targets':[" + (random.nextBoolean() ? belt : "") + "]}", now);
        };
    }

    private String press(String act, String said, JsonNode seen) {
        Client.Answer answer = bench.post(
                "/api/jobs/" + job + "/bench/" + act.replace(":", "%3A"),
                quoted(said),
                Map.of("If-Match", "\"" + seen.get("version").asLong() + "\""));
        String told = count("press", answer);
        if (answer.status() == 200) {
            JsonNode after = answer.body();
            JsonNode again = bench.get("/api/jobs/" + job + "/bench").body();
            assertThat(after)
                    .as("the answer of %s is the bench as it then is", act)
                    .isEqualTo(again);
        }
        return act + " " + told;
    }

    private String count(String who, Client.Answer answer) {
        answers.merge(who + " " + answer.status(), 1, Integer::sum);
        assertThat(answer.status()).as(answer.body().toString()).isIn(200, 400, 409, 412);
        if (answer.status() != 200) {
            assertThat(answer.detail()).as("a sentence").contains(" ").doesNotContain("Exception");
        }
        return answer.status() + "";
    }

    private void look(String what) {
        Client.Answer answer = bench.get("/api/jobs/" + job + "/bench");
        assertThat(answer.status()).as(what + " → " + answer.body()).isEqualTo(200);
        assertThat(answer.body().get("stand").get("status"))
                .as(what)
                .isEqualTo(lead.get("/api/jobs/" + job).body().get("status"));
        for (JsonNode step : answer.body().get("way").get("steps").values()) {
            for (JsonNode thing : step.get("things").values()) {
                int sum = thing.get("accounts").values().stream()
                        .mapToInt(JsonNode::asInt)
                        .sum();
                assertThat(sum).as(what).isEqualTo(thing.get("count").asInt());
            }
        }
    }

    private String anyStep(JsonNode now) {
        List<String> ids = new ArrayList<>(STEPS);
        now.get("way")
                .get("steps")
                .values()
                .forEach(step -> ids.add(step.get("id").asString()));
        return any(ids);
    }

    private String anyThing(JsonNode now) {
        List<String> ids = new ArrayList<>(List.of("lid-p0"));
        now.get("way").get("steps").values().forEach(step -> step.get("things")
                .values()
                .forEach(thing -> ids.add(thing.get("id").asString())));
        return any(ids);
    }

    private <T> T any(List<T> all) {
        return all.get(random.nextInt(all.size()));
    }

    private static long made(String path, String said) {
        return lead.post(path, quoted(said)).id();
    }
}
