package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What units fetched, in the order in which it was said. */
final class SoldUnits {

    /** So many sales of its kind a price is taken from, the latest. */
    private static final int LATEST = 200;
    /** Sales of all kinds among which those are looked for. */
    private static final int LOOKED_AT = 4_000;

    private final List<SoldUnit> sales = new ArrayList<>();
    /** By job: when it was first said. */
    private final Map<Long, Long> at = new HashMap<>();

    void add(SoldUnit sale) {
        sales.add(sale);
        at.putIfAbsent(sale.job(), sale.at());
    }

    /** When the unit of a job was sold; {@link Afterwards#NEVER} if it was not. */
    long at(long job) {
        return at.getOrDefault(job, Afterwards.NEVER);
    }

    /** What units like one fetched: the latest of its kind, each unit's last, the latest first. */
    List<LikeSale> like(Where where, Names names) {
        List<LikeSale> like = new ArrayList<>();
        Set<Long> told = new HashSet<>();
        int oldest = Math.max(0, sales.size() - LOOKED_AT);
        for (int at = sales.size() - 1; at >= oldest && like.size() < LATEST; at--) {
            SoldUnit sale = sales.get(at);
            Where sold = names.revisions().get(sale.revision());
            if (sold.kind() == where.kind() && told.add(sale.job())) {
                like.add(new LikeSale(where.nearness(sold), sale.worked(), sale.minor()));
            }
        }
        return like;
    }
}
