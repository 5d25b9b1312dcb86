package wrenchnotes.core.diagnosis.history;

import java.util.List;
import java.util.function.BiConsumer;

/** What each finding's remedy changed of what was told, in columns: 4 bytes a finding and 4 a change. */
final class RemedyChanges {

    private final Columns.Ints first = new Columns.Ints();
    /** Above 0 if the remedy left it there, below if it went. */
    private final Columns.Ints word = new Columns.Ints();

    /** Of the finding after the last that was added. */
    void add(List<ClosedJob.SaidWord> changed) {
        first.add(word.size());
        changed.forEach(one -> word.add(one.present() ? one.word() : -one.word()));
    }

    /** @param told of each change of a finding: the word's number, and whether it stayed */
    void of(int finding, BiConsumer<Long, Boolean> told) {
        int end = finding + 1 < first.size() ? first.get(finding + 1) : word.size();
        for (int at = first.get(finding); at < end; at++) {
            told.accept((long) Math.abs(word.get(at)), word.get(at) > 0);
        }
    }

    long bytes() {
        return first.bytes() + word.bytes();
    }
}
