package wrenchnotes.server;

import static wrenchnotes.server.Client.quoted;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/**
 * Makes a golden shop: a small data folder with one of everything that this version stores, over the API alone. Whoever
 * changes a stored form runs it on the version before and keeps what it made under {@code src/test/resources/golden}.
 */
final class GoldenShopMaker {

    private final Client client;
    private String photo;
    private long belt;
    private long revision;
    private long part;
    private int requests;

    private GoldenShopMaker(Client client) {
        this.client = client;
    }

    public static void main(String[] args) throws Exception {
        Path folder = Path.of(args[0]);
        try (ConfigurableApplicationContext application = SpringApplication.run(
                WrenchNotes.class,
                "--wrenchnotes.data=" + folder,
                "--server.port=0",
                "--springdoc.api-docs.enabled=false")) {
            String port = application.getEnvironment().getProperty("local.server.port");
            new GoldenShopMaker(new Client("http://localhost:" + port).asFirstLead()).make();
        }
        try (Connection file = DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("wrench-notes.sqlite"));
                Statement statement = file.createStatement()) {
            statement.execute("VACUUM");
        }
        System.exit(0);
    }

    private void make() {
        post("/api/people", "{'name':'Bo','password':'second hand','roles':['BENCH']}");
        photo = keptPhoto();
        long model = post("/api/models", "{'maker':'Cormorant Works','name':'Tide','kind':'PLAYER'}");
        revision = post("/api/models/" + model + "/revisions", "{'name':'A','tellApart':'blue feet'}");
        belt = post("/api/models/" + model + "/components", "{'name':'belt'}");
        part = post("/api/parts", "{'drawer':'1','name':'belt 57','what':'square','eachMinor':140,'count':5}");
        notes();
        aJobWithEverything();
        handedOverAndBack();
        fittedAndUnderWay();
        lotAndSale();
        lockedJob();
        client.post("/api/calendar", "");
        ok(client.put("/api/meter", 0, quoted("{'host':'localhost','port':5025}")));
    }

    private String lid(String id, String title) {
        return GoldenWords.lid(id, title, photo);
    }

    /** Two versions, a look, an alias, a proposal of each kind. */
    private void notes() {
        save(revision, 0, "[" + lid("lid", "Lid off") + "]", "{}");
        save(
                revision,
                1,
                "[" + lid("lid", "Lid off") + "," + GoldenWords.deck(belt) + ","
                        + GoldenWords.frame().replace(",'backAfter':['lid']", "") + "]",
                GoldenWords.whole(belt));
        ok(client.put(
                "/api/revisions/" + revision,
                1,
                quoted("{'name':'A','tellApart':'blue feet','look':{'hash':'" + photo
                        + "','words':'blue feet','marks':[]}}")));
        ok(client.put("/api/components/" + belt, 1, quoted("{'name':'belt','aliases':['drive band']}")));
        String proposals = "/api/revisions/" + revision + "/proposals";
        post(proposals, "{'step':" + lid("lid", "Lid off, gently") + ",'why':'it cracks'}");
        long declined = post(proposals, "{'step':" + lid("lid", "Lid away") + ",'why':'shorter'}");
        post("/api/proposals/" + declined + "/decline", "{'why':'no'}");
    }

    private void save(long of, int seen, String steps, String overview) {
        ok(client.put(
                "/api/revisions/" + of + "/teardown",
                seen,
                quoted("{'steps':" + steps + ",'overview':" + overview + ",'why':'version after " + seen + "'}")));
    }

    private long takenIn(long of, String more, String arrival) {
        return ok(client.post("/api/jobs", quoted(GoldenWords.coming(of, more, arrival))))
                .body()
                .get("jobId")
                .asLong();
    }

    private void aJobWithEverything() {
        String arrival =
                ",'marks':['DENTS','LIQUID'],'places':{'DENTS':'left edge'},'condition':'dusty','missing':[{'thing':"
                        + "'case','count':1}],'belongings':['power lead','one tape'],'photos':[{'hash':'" + photo
                        + "','words':'the dent'}]";
        long job = takenIn(revision, ",'slot':'A1','due':'2026-12-24T10:00:00Z'", arrival);
        ok(client.put(
                "/api/jobs/" + job + "/arrival",
                1,
                quoted("{'serial':'T-101','revisionId':" + revision + ",'slot':'A2','arrival':{'complaint':"
                        + "'It stopped when grandmother sat on it','symptoms':[{'name':'dead','present':true},"
                        + "{'name':'hums','present':false}]" + arrival + "}}")));
        String at = "/api/jobs/" + job;
        post(at + "/symptoms", "{'name':'smells of toast','present':true}");
        checked(job, "ARRIVAL", "FAILED", "plays", "");
        opened(job);
        press(job, "back", "{}");
        press(job, "pause", "{}");
        press(job, "go-on", "{}");
        press(job, "moves", "{'thing':'case','from':'TRAY','to':'LOST','count':1,'reason':''}");
        press(job, "moves", "{'thing':'case','from':'LOST','to':'TRAY','count':1,'reason':''}");
        press(job, "notes", "{'words':'smells of toast'}");
        press(job, "notes", "{'words':'the hook','photo':'" + photo + "'}");
        press(job, "temporary", "{'words':'rubber band'}");
        press(job, "fragments", "{'what':'gear','expected':3,'found':1,'explained':''}");
        press(job, "looked", "{'component':" + belt + "}");
        long finding = found(job, "slack", true);
        post(
                "/api/findings/" + finding + "/after",
                "{'failed':false,'changes':[{'symptom':'dead','change':'WENT'},{'symptom':'grinds','change':'CAME'}]}");
        post("/api/findings/" + found(job, "torn", false) + "/correction", "{'why':'it was not'}");
        post(at + "/looks", "{'componentId':" + belt + ",'good':true,'means':'MEASURED','words':'57'}");
        post(
                at + "/tries",
                "{'across':[{'name':'ours','whole':false},{'name':'theirs','whole':true}],'down':[{'name':'drive',"
                        + "'whole':false}],'tries':[{'across':0,'down':0,'good':false},{'across':1,'down':0,'good':true}]}");
        post(at + "/overrulings", "{'component':'belt','wrong':'slack','word':'THIS_FIRST','why':'it squeals'}");
        post("/api/measurements/" + post(at + "/measurements", GoldenWords.rails()) + "/strike", "{'why':'wrong pin'}");
        post(at + "/measurements", GoldenWords.rails());
        checked(job, "BEFORE_CLOSING", "PASSED", "turns", "");
        post(
                "/api/holds/" + post(at + "/holds", "{'kind':'CURE','why':'resin','until':'2099-01-01T00:00:00Z'}")
                        + "/end",
                "{'answer':'YES','why':'dry already'}");
        post(at + "/holds", "{'kind':'OWNER','why':'go on?'}");
        ok(client.put(
                "/api/chips",
                0,
                quoted(
                        "{'number':'10','function':'NAND','openCollector':false,'pins':14,'ground':7,'supply':14,'gates':"
                                + "[{'inputs':[1,2,13],'output':12}]}")));
        post("/api/symptoms/" + word("smells of toast") + "/merge", "{'into':" + word("smells burnt") + "}");
    }

    private long word(String name) {
        return client.get("/api/symptoms").body().values().stream()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    private void opened(long job) {
        press(job, "start", "{'targets':[],'off':true,'missing':[],'rework':'OTHER','words':''}");
        press(job, "left-off", "{'since':'2026-01-01T08:00:00Z'}");
        press(job, "steps/lid/heed", "");
        press(job, "steps/lid/in", "{'found':[],'basis':'TOLD'}");
        press(job, "steps/deck/heed", "");
        press(job, "steps/deck/in", "{'found':[]}");
    }

    private long found(long job, String wrong, boolean replaced) {
        String with =
                replaced ? "'REPLACED','parts':[{'partId':" + part + ",'count':1,'cameFrom':'DRAWER'}]" : "'CLEANED'";
        return post(
                "/api/jobs/" + job + "/findings",
                "{'component':'belt','wrong':'" + wrong + "','remedy':" + with
                        + ",'remark':'','proof':'LOOKED','cause':'AGE','causeConfirmed':true}");
    }

    private void checked(long job, String stage, String verdict, String what, String load) {
        post(
                "/api/jobs/" + job + "/checks",
                "{'stage':'" + stage + "','verdict':'" + verdict + "','what':'" + what + "','powered':false,'load':'"
                        + load + "','times':1,'remark':''}");
    }

    /** Mended, closed for now, opened again, closed for good, handed over; and the same unit once more. */
    private void handedOverAndBack() {
        long job = takenIn(revision, "", "");
        opened(job);
        found(job, "slack", true);
        checked(job, "BEFORE_CLOSING", "PASSED", "turns", "");
        press(
                job,
                "steps/deck/out",
                "{'settled':[{'thing':'washer','back':0,'replaced':0,'leftOut':0,'forNow':1,'reason':'on order'}]}");
        press(job, "steps/lid/out", "{'settled':[]}");
        press(job, "close-for-now", "{'reason':'needed for the concert'}");
        opened(job);
        press(job, "moves", "{'thing':'washer','from':'OUT_FOR_NOW','to':'TRAY','count':1,'reason':''}");
        checked(job, "BEFORE_CLOSING", "PASSED", "turns", "");
        press(job, "steps/deck/out", "{'settled':[]}");
        press(job, "steps/lid/out", "{'settled':[]}");
        press(job, "close", "{}");
        checked(job, "AFTER_CLOSING", "PASSED", "plays", "test tape");
        post("/api/jobs/" + job + "/outcome", "{'outcome':'PARTLY_FIXED','remark':'one ear'}");
        post("/api/jobs/" + job + "/outcome", "{'outcome':'FIXED','remark':''}");
        post("/api/jobs/" + job + "/handover", "{'belongings':[]}");
        long unit = client.get("/api/jobs/" + job)
                .body()
                .get("job")
                .get("unit")
                .get("id")
                .asLong();
        found(takenIn(revision, ",'unitId':" + unit, ""), "slack", false);
    }

    /** A unit with a model inside it, on a run to a target, with a step passed over. */
    private void fittedAndUnderWay() {
        long model = post("/api/models", "{'maker':'Cormorant Works','name':'Spring','kind':'DRIVE'}");
        long drive = post("/api/models/" + model + "/revisions", "{'name':'A','tellApart':''}");
        save(drive, 0, "[" + lid("cap", "Cap off") + "]", "{}");
        ok(client.put(
                "/api/components/" + belt,
                2,
                quoted("{'name':'belt','aliases':['drive band'],'inside':" + model + "}")));
        long job = takenIn(revision, "", "");
        press(
                job,
                "start",
                "{'targets':[" + belt + "],'off':true,'missing':[{'thing':'case','count':1}],'words':'for the belt'}");
        press(job, "left-off", "{'since':'2026-01-01T08:00:00Z'}");
        press(job, "steps/lid/heed", "");
        press(job, "steps/lid/in", "{'found':[{'thing':'case','toTray':2,'missing':0,'broken':1}]}");
        press(job, "steps/deck/heed", "");
        press(job, "steps/deck/in", "{'found':[]}");
        press(job, "fitted", "{'component':" + belt + ",'revision':" + drive + "}");
        press(job, "turn", "{'targets':[]}");
        press(job, "steps/frame/skip", "{'reason':'not there'}");
    }

    private void lotAndSale() {
        long lot = post("/api/lots", "{'source':'Recycling yard'}");
        long job = ok(client.post(
                        "/api/jobs",
                        quoted(GoldenWords.coming(revision, ",'lotId':" + lot + ",'paidMinor':500", "")
                                .replace("CUSTOMER", "RESALE")
                                .replace("Harbour choir", ""))))
                .body()
                .get("jobId")
                .asLong();
        post("/api/jobs/" + job + "/triage", "{'way':'SELL_AS_IS','why':'quick','expectedMinor':2000}");
        post("/api/jobs/" + job + "/outcome", "{'outcome':'NOT_WORTH_IT','remark':''}");
        post("/api/jobs/" + job + "/handover", "{'belongings':[]}");
        post("/api/jobs/" + job + "/sale", "{'minor':1800}");
    }

    /** As ordinary work locked it: a run without notes, notes written meanwhile, a step in, and that step renamed. */
    private void lockedJob() {
        long model = post("/api/models", "{'maker':'Cormorant Works','name':'Ebb','kind':'COMPUTER'}");
        long of = post("/api/models/" + model + "/revisions", "{'name':'A','tellApart':''}");
        long job = takenIn(of, "", "");
        press(job, "start", "{'targets':[],'off':true,'missing':[],'words':''}");
        save(of, 0, "[" + lid("lid", "Lid off") + "]", "{}");
        press(job, "steps/lid/heed", "");
        press(job, "steps/lid/in", "{'found':[]}");
        save(of, 1, "[" + lid("cover", "Cover off") + "]", "{}");
    }

    private void press(long job, String act, String said) {
        ok(client.bench(job, act, quoted(said)));
    }

    /** @return the id of what was made, if it has one */
    private long post(String path, String said) {
        return ok(client.post(path, quoted(said), Map.of("Idempotency-Key", "golden-" + ++requests)))
                .body()
                .path("id")
                .asLong(0);
    }

    private String keptPhoto() {
        return ok(client.postBytes("/api/photos", Pictures.png(64, 48)))
                .body()
                .get("hash")
                .asString();
    }

    private static Client.Answer ok(Client.Answer answer) {
        if (answer.status() >= 300) {
            throw new IllegalStateException(answer.status() + ": " + answer.body());
        }
        return answer;
    }
}
