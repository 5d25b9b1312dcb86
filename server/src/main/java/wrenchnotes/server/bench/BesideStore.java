package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.bench.Closing;
import wrenchnotes.core.bench.Fragments;
import wrenchnotes.core.bench.OpenEnds;
import wrenchnotes.core.bench.Replaced;
import wrenchnotes.core.check.Check;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.WorkHazard;
import wrenchnotes.core.diagnosis.history.OftenWrong;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.outcome.OutcomeGiven;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.server.bench.EndsStore.FragmentTally;
import wrenchnotes.server.bench.EndsStore.Temporary;
import wrenchnotes.server.ground.Stored;
import wrenchnotes.server.job.EntryStore;
import wrenchnotes.server.job.FactsStore;

/**
 * Reads all that stands of one job beside its steps and its ledger in one statement, a JSON list a column: every press on the
 * bench asks for all of it.
 */
@Component
class BesideStore {

    private static final String BESIDE = """
            SELECT (SELECT json_group_array(json_array(kind, why, from_at, until_at, ended_at, component_id, step))
                    FROM (SELECT * FROM hold WHERE job_id = :job ORDER BY id)) AS holds,
                   (SELECT json_array(moment, at, for_now)
                    FROM closing WHERE job_id = :job ORDER BY moment DESC LIMIT 1) AS closing,
                   (SELECT json_group_array(
                               json_array(stage, verdict, what, covers_on, load, times, remark, moment, at,
                                          planned, powered, as_remark))
                    FROM (SELECT * FROM check_entry WHERE job_id = :job AND struck_at IS NULL
                          ORDER BY moment, id)) AS checks,
                   (SELECT json_array(outcome, remark, moment, at)
                    FROM outcome_entry WHERE job_id = :job ORDER BY moment DESC, id DESC LIMIT 1) AS outcome,
                   (SELECT json_group_array(json_array(words, remedy, moment, at))
                    FROM (SELECT component.name || ': ' || fault.wrong AS words, remedy, moment, at
                          FROM finding
                          JOIN component ON component.id = finding.component_id
                          JOIN fault ON fault.id = finding.fault_id
                          WHERE job_id = :job AND struck_at IS NULL)) AS findings,
                   (SELECT json_group_array(json_array(mains, moment, at))
                    FROM ledger_entry AS entry
                    WHERE job_id = :job AND mains IS NOT NULL
                      AND NOT EXISTS (SELECT 1 FROM ledger_entry AS back
                                      WHERE back.job_id = :job AND back.undoes = entry.id)) AS replaced_mains,
                   (SELECT json_group_array(json_array(said, moment, at, by))
                    FROM (SELECT said, moment, at, person.name AS by
                          FROM entry JOIN person ON person.id = entry.by
                          WHERE job_id = :job AND kind = 'ELECTRICAL'
                          ORDER BY entry.id)) AS electrical,
                   (SELECT json_group_array(json_array(id, words, at, by, step, stays, stays_moment, stays_at))
                    FROM (SELECT temporary.id, words, at, person.name AS by, step, stays, stays_moment, stays_at
                          FROM temporary JOIN person ON person.id = temporary.by
                          WHERE job_id = :job AND ended_at IS NULL
                          ORDER BY temporary.id)) AS temporary,
                   (SELECT json_group_array(json_array(id, what, expected, found, explained, step))
                    FROM (SELECT * FROM fragment WHERE job_id = :job ORDER BY id)) AS fragments,
                   (SELECT json_group_array(json_array(component_id, json(names), count, learned, thing, replaced))
                    FROM (SELECT finding.component_id, component.name, json_insert(aliases, '$[#]', component.name) AS names,
                                 MAX(1, SUM((SELECT COALESCE(SUM(count), 0) FROM part_told WHERE finding_id = finding.id))) AS count,
                                 bears.component_id IS NOT NULL AS learned, bears.thing, MAX(remedy = 'REPLACED') AS replaced
                          FROM finding
                          JOIN component ON component.id = finding.component_id
                          LEFT JOIN bears ON bears.component_id = finding.component_id AND bears.revision_id = :revision
                          WHERE job_id = :job AND struck_at IS NULL
                          GROUP BY finding.component_id)) AS found_at,
                   (SELECT json_group_array(said)
                    FROM entry
                    WHERE kind = 'ALTERED'
                      AND job_id IN (SELECT id FROM job WHERE unit_id = (SELECT unit_id FROM job WHERE id = :job))
                      AND NOT EXISTS (SELECT 1 FROM entry AS back WHERE back.takes_back = entry.id)) AS altered,
                   (SELECT json_group_array(json_array(said, at, by))
                    FROM (SELECT said, at, person.name AS by
                          FROM entry JOIN person ON person.id = entry.by
                          WHERE job_id = :job AND kind = 'REMARK'
                            AND NOT EXISTS (SELECT 1 FROM entry AS back WHERE back.takes_back = entry.id)
                          ORDER BY entry.id)) AS remarks,
                   (SELECT json_group_array(json_array(component_id, words, remedy, at, by))
                    FROM (SELECT finding.component_id, component.name || ', ' || wrong AS words, remedy, at, person.name AS by
                          FROM finding
                          JOIN component ON component.id = finding.component_id
                          JOIN fault ON fault.id = finding.fault_id
                          JOIN person ON person.id = finding.by
                          WHERE job_id = :job AND struck_at IS NULL
                          ORDER BY finding.id)) AS found_words,
                   (SELECT json_array(bench, at, person.name)
                    FROM at_bench JOIN person ON person.id = at_bench.by
                    WHERE job_id = :job) AS at_bench,
                   (SELECT json_group_array(mark) FROM job_mark WHERE job_id = :job) AS marks,
                   (SELECT json_group_array(said ->> 'mark')
                    FROM entry WHERE job_id = :job AND kind = 'MADE_SAFE') AS seen_to,
                   (SELECT json_group_array(component_id)
                    FROM (SELECT component_id FROM component_look WHERE job_id = :job AND struck_at IS NULL
                          UNION
                          SELECT component_id FROM finding WHERE job_id = :job AND struck_at IS NULL)) AS looked_at,
                   (SELECT json_group_array(json_array(id, name, jobs, of))
                    FROM (WITH done AS (
                              SELECT id FROM job
                              WHERE revision_id = :revision AND handed_over_at IS NOT NULL
                              ORDER BY id DESC LIMIT %d
                          )
                          SELECT component.id, component.name, COUNT(DISTINCT finding.job_id) AS jobs,
                                 (SELECT COUNT(*) FROM done) AS of
                          FROM done
                          JOIN finding ON finding.job_id = done.id AND struck_at IS NULL AND finding.kind = 'FAULT'
                          JOIN component ON component.id = finding.component_id
                          GROUP BY component.id
                          ORDER BY jobs DESC, component.name)) AS usual
            """.formatted(OftenWrong.LAST_JOBS);

    private final JdbcClient jdbc;
    private final FactsStore facts;

    BesideStore(JdbcClient jdbc, FactsStore facts) {
        this.jdbc = jdbc;
        this.facts = facts;
    }

    /** @param revision whose usual faults are asked for */
    Beside beside(long job, long revision) {
        return jdbc.sql(BESIDE)
                .param("job", job)
                .param("revision", revision)
                .query((row, n) -> new Beside(
                        each(row.getString("holds"), BesideStore::hold),
                        one(row.getString("closing"), BesideStore::closing),
                        new CheckRecord(each(row.getString("checks"), BesideStore::check)),
                        one(row.getString("outcome"), BesideStore::outcome),
                        Stored.tree(row.getString("findings")).size(),
                        mains(row.getString("findings"), row.getString("replaced_mains"), row.getString("electrical")),
                        each(row.getString("temporary"), BesideStore::temporary),
                        each(row.getString("fragments"), BesideStore::fragments),
                        each(row.getString("found_at"), BesideStore::foundAt),
                        each(row.getString("altered"), said -> EntryStore.altered(said.asString())),
                        each(row.getString("looked_at"), JsonNode::asLong),
                        each(row.getString("usual"), BesideStore::usual).stream()
                                .filter(usual -> OftenWrong.is(usual.jobs(), usual.of()))
                                .toList(),
                        Stream.concat(
                                        each(row.getString("remarks"), SaidThen::remark).stream(),
                                        each(row.getString("found_words"), SaidThen::finding).stream())
                                .toList(),
                        one(
                                row.getString("at_bench"),
                                bench -> new Beside.AtBench(text(bench, 0), at(bench, 1), text(bench, 2))),
                        Set.copyOf(marks(row.getString("marks"))),
                        ArrivalMark.notSeenTo(marks(row.getString("marks")), marks(row.getString("seen_to")))))
                .single();
    }

    private static List<ArrivalMark> marks(String rows) {
        return each(rows, mark -> ArrivalMark.valueOf(mark.asString()));
    }

    private static Hold hold(JsonNode row) {
        return new Hold(
                HoldKind.valueOf(text(row, 0)),
                text(row, 1),
                new Hold.Covers(
                        Optional.of(row.get(5)).filter(id -> !id.isNull()).map(JsonNode::asLong), words(row, 6)),
                at(row, 2),
                instant(row.get(3)),
                instant(row.get(4)));
    }

    private static Beside.FoundAt foundAt(JsonNode row) {
        List<String> names = new ArrayList<>();
        row.get(1).forEach(name -> names.add(0, name.asString()));
        boolean learned = row.get(3).asInt() == 1;
        Optional<List<String>> things =
                learned ? Optional.of(words(row, 4).stream().toList()) : Optional.empty();
        return new Beside.FoundAt(
                new Replaced(row.get(0).asLong(), names, Math.min(99, row.get(2).asInt()), things),
                row.get(5).asInt() == 1);
    }

    private static Closing closing(JsonNode row) {
        return new Closing(moment(row, 0), words(row, 2));
    }

    private static Check check(JsonNode row) {
        return new Check(
                Stage.valueOf(text(row, 0)),
                Verdict.valueOf(text(row, 1)),
                words(row, 9),
                text(row, 2),
                row.get(3).asInt() == 1,
                row.get(10).asInt() == 1,
                text(row, 4),
                row.get(5).asInt(),
                text(row, 6),
                words(row, 11),
                moment(row, 7));
    }

    private static OutcomeGiven outcome(JsonNode row) {
        return new OutcomeGiven(Outcome.valueOf(text(row, 0)), text(row, 1), moment(row, 2));
    }

    private static Temporary temporary(JsonNode row) {
        return new Temporary(
                row.get(0).asLong(),
                text(row, 1),
                at(row, 2),
                text(row, 3),
                words(row, 4),
                words(row, 5).map(why -> new OpenEnds.Stays(why, moment(row, 6))));
    }

    private static FragmentTally fragments(JsonNode row) {
        return new FragmentTally(
                row.get(0).asLong(),
                new Fragments(text(row, 1), row.get(2).asInt(), row.get(3).asInt(), text(row, 4)),
                words(row, 5));
    }

    private MainsWork mains(String findings, String replaced, String electrical) {
        List<MainsWork.Done> done = Stream.concat(
                        each(findings, row -> row).stream()
                                .filter(row -> WorkHazard.isMainsWork(Remedy.valueOf(text(row, 1)), text(row, 0)))
                                .map(row -> new MainsWork.Done(text(row, 0), moment(row, 2))),
                        each(replaced, row -> new MainsWork.Done(text(row, 0), moment(row, 1))).stream())
                .toList();
        return new MainsWork(
                facts.asksForElectrical(),
                done,
                each(
                        electrical,
                        row -> new MainsWork.Made(EntryStore.electrical(text(row, 0)), moment(row, 1), text(row, 3))));
    }

    private static Beside.Usual usual(JsonNode row) {
        return new Beside.Usual(
                row.get(0).asLong(),
                text(row, 1),
                row.get(2).asInt(),
                row.get(3).asInt());
    }

    private static String text(JsonNode row, int column) {
        return row.get(column).asString();
    }

    private static Optional<String> words(JsonNode row, int column) {
        return Optional.of(row.get(column)).filter(JsonNode::isString).map(JsonNode::asString);
    }

    private static Instant at(JsonNode row, int column) {
        return Instant.ofEpochMilli(row.get(column).asLong());
    }

    private static Optional<Instant> instant(JsonNode millis) {
        return millis.isNull() ? Optional.empty() : Optional.of(Instant.ofEpochMilli(millis.asLong()));
    }

    /** The number stands in one column, the time in the next. */
    private static Moment moment(JsonNode row, int column) {
        return new Moment(row.get(column).asLong(), at(row, column + 1));
    }

    private static <T> List<T> each(String rows, Function<JsonNode, T> read) {
        return rows.equals("[]")
                ? List.of()
                : Stored.tree(rows).values().stream().map(read).toList();
    }

    private static <T> Optional<T> one(String row, Function<JsonNode, T> read) {
        return Optional.ofNullable(row).map(Stored::tree).map(read);
    }
}
