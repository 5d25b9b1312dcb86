package wrenchnotes.server.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import wrenchnotes.core.bench.StepEntry;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.History;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.PastJob;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.job.Job;
import wrenchnotes.server.bench.BenchStore;
import wrenchnotes.server.job.JobStore;
import wrenchnotes.server.teardown.ModelStore;
import wrenchnotes.server.teardown.Nearness;

/**
 * What the bench would have offered in each closed job of the demo, before it was learned from: with what was open when it was found, as {@link ThereService}
 * orders it. A job counts if each of its findings was among the first five when its turn came.
 *
 * @param jobs with a finding
 * @param offered of these, all findings were among the first five
 * @param inThreeKeys all of them as faults that are known: fault, remedy, part; what was never found wrong before takes one key more, for the word
 * @param byOddsAlone the same without what is in reach
 */
public record OfferedInTheDemo(int jobs, int offered, int inThreeKeys, int byOddsAlone) {

    private static final int FIRST = 5;

    /** Of a shop that runs. */
    public interface Beans {
        <T> T of(Class<T> type);
    }

    public double share() {
        return (double) offered / jobs;
    }

    public static OfferedInTheDemo of(Beans shop) {
        List<Long> ids = shop.of(JdbcClient.class)
                .sql("SELECT id FROM job WHERE handed_over_moment IS NOT NULL ORDER BY handed_over_moment, id")
                .query(Long.class)
                .list();
        return shop.of(Book.class).ask(past -> {
            History history = new History();
            int jobs = 0;
            int offered = 0;
            int inThreeKeys = 0;
            int byOdds = 0;
            for (int at = 0; at < ids.size(); at++) {
                Optional<PastJob> job = past.book().past(at, past.names());
                if (job.isPresent()) {
                    if (!job.get().faults().isEmpty()) {
                        jobs++;
                        Set<String> open = openIn(shop, ids.get(at), past.names());
                        offered += allFound(history, past.names(), job.get(), open, true) ? 1 : 0;
                        inThreeKeys += allFound(history, past.names(), job.get(), open, false) ? 1 : 0;
                        byOdds += allFound(history, past.names(), job.get(), Set.of(), false) ? 1 : 0;
                    }
                    history.learn(job.get());
                }
            }
            return new OfferedInTheDemo(jobs, offered, inThreeKeys, byOdds);
        });
    }

    /** The components that lay open, by what they count as. */
    private static Set<String> openIn(Beans shop, long id, Names names) {
        Job job = shop.of(JobStore.class).job(id);
        long model = shop.of(ModelStore.class).revision(job.revisionId()).modelId();
        Set<String> steps = shop.of(BenchStore.class).steps(id).stream()
                .map(StepEntry::step)
                .collect(Collectors.toSet());
        return shop.of(Nearness.class).places(job.revisionId(), job.openedWith(), steps).stream()
                .filter(place -> place.way().minutes() == 0)
                .map(place -> names.component(model, place.name()))
                .collect(Collectors.toSet());
    }

    /** @param fresh whether what lies open and was never found wrong is offered too */
    private static boolean allFound(History history, Names names, PastJob job, Set<String> open, boolean fresh) {
        Set<FaultName> left = new HashSet<>(job.faults());
        Set<FaultName> found = new HashSet<>();
        while (!left.isEmpty()) {
            List<FaultName> likely = Diagnosis.of(
                            history.rates(job.where(), Set.of(), names.components(), names.spoken()), known(job, found))
                    .faults()
                    .stream()
                    .sorted(Comparator.comparingDouble(Diagnosis.Likely::probability)
                            .reversed())
                    .map(Diagnosis.Likely::fault)
                    .filter(fault -> !found.contains(fault))
                    .toList();
            Set<String> knownWrong = Stream.concat(likely.stream(), found.stream())
                    .map(FaultName::component)
                    .collect(Collectors.toSet());
            // A fault, or just a component: whatever is wrong with that one is said in one more key.
            List<String> offered = new ArrayList<>();
            likely.stream()
                    .filter(fault -> open.contains(fault.component()))
                    .forEach(fault -> offered.add(fault.words()));
            if (fresh) {
                open.stream().filter(one -> !knownWrong.contains(one)).sorted().forEach(offered::add);
            }
            likely.stream()
                    .filter(fault -> !open.contains(fault.component()))
                    .forEach(fault -> offered.add(fault.words()));
            List<String> first = offered.stream().limit(FIRST).toList();
            Optional<FaultName> next = left.stream()
                    .filter(fault -> first.contains(fault.words()) || first.contains(fault.component()))
                    .findFirst();
            if (next.isEmpty()) {
                return false;
            }
            found.add(next.get());
            left.remove(next.get());
        }
        return true;
    }

    private static Known known(PastJob job, Set<FaultName> found) {
        List<Known.Done> done = new ArrayList<>();
        found.forEach(fault -> done.add(new Known.Done(fault, Remedy.REPLACED, false, Set.of())));
        return new Known(job.present(), job.absent(), List.of(), done, List.of());
    }

    public void print() {
        System.out.printf(
                "offered at the bench: in %.1f of 100 of %d jobs of the demo each finding was among the first five, aim 95; in three keys %.1f, by odds alone %.1f%n",
                100 * share(), jobs, 100.0 * inThreeKeys / jobs, 100.0 * byOddsAlone / jobs);
    }
}
