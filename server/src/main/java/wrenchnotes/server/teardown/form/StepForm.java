package wrenchnotes.server.teardown.form;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.Doing;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Order;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.StaysAs;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Things;
import wrenchnotes.core.teardown.Toll;

/**
 * A step as it stands in the database (form 5: what is not known of a fastener or piece is left out, a plug has a count, and there is what stays; form 4 as form 3; form 2 had no {@code usedUp}, form 1 neither {@code live} nor {@code leadOnly}) and in the open format {@code teardown/1}, which names components where this
 * has their ids. What is left out is empty; {@code reversible} left out is true. Never changed: docs/decisions/0013-the-store.md
 */
public record StepForm(
        String id,
        String title,
        String how,
        String caution,
        List<String> needs,
        String side,
        String tool,
        double minutes,
        List<FastenerForm> fasteners,
        List<ConnectorForm> connectors,
        List<PieceForm> pieces,
        List<Long> exposes,
        String insteadOf,
        Long partsMinor,
        Boolean reversible,
        String mustBeTrue,
        String closeUp,
        List<String> backAfter,
        Integer waitHours,
        List<PhotoForm> photos,
        Boolean live,
        Boolean leadOnly,
        List<StaysForm> stays) {

    public record ConnectorForm(String id, String label, String mark, Boolean keyed, String latch, Integer count) {

        private static ConnectorForm of(Connector one) {
            Integer many = one.count() == 1 ? null : one.count();
            return new ConnectorForm(one.id(), one.label(), one.mark(), one.keyed(), one.latch(), many);
        }

        private Connector connector() {
            return new Connector(id, label, mark, keyed, latch, count);
        }
    }

    public record StaysForm(String id, String label, String as, String words) {

        private static StaysForm of(Staying one) {
            return new StaysForm(one.id(), one.label(), one.as().name(), one.words());
        }

        private Staying stays() {
            return new Staying(id, label, StaysAs.valueOf(as), words);
        }
    }

    public record PieceForm(String id, String label, String hint, Integer count, Boolean usedUp) {

        private static PieceForm of(LoosePiece piece) {
            return new PieceForm(
                    piece.id(), piece.label(), piece.hint(), piece.count().orElse(null), piece.usedUp() ? true : null);
        }

        private LoosePiece piece() {
            return new LoosePiece(id, label, hint, Optional.ofNullable(count), usedUp);
        }
    }

    public static StepForm of(Step step) {
        return new StepForm(
                step.id(),
                step.title(),
                step.how(),
                step.caution(),
                List.copyOf(step.needs()),
                step.side().name(),
                step.tool(),
                step.minutes(),
                each(step.off().fasteners(), FastenerForm::of),
                each(step.off().connectors(), ConnectorForm::of),
                each(step.off().pieces(), PieceForm::of),
                List.copyOf(step.exposes()),
                step.insteadOf(),
                step.partsMinor(),
                step.reversible(),
                step.mustBeTrue(),
                step.closeUp(),
                List.copyOf(step.backAfter()),
                step.waitHours(),
                each(step.photos(), PhotoForm::of),
                step.danger().live() ? true : null,
                step.danger().leadOnly() ? true : null,
                each(step.stays(), StaysForm::of));
    }

    public Step step() {
        return new Step(
                id,
                title,
                new Doing(how, Side.valueOf(side), tool, minutes, mustBeTrue, closeUp),
                new Caution(
                        caution,
                        waitHours == null ? 0 : waitHours,
                        Boolean.TRUE.equals(live),
                        Boolean.TRUE.equals(leadOnly)),
                new Order(set(needs), insteadOf, set(backAfter)),
                new Toll(partsMinor == null ? 0 : partsMinor, reversible == null || reversible),
                new Things(
                        each(fasteners, FastenerForm::group),
                        each(connectors, ConnectorForm::connector),
                        each(pieces, PieceForm::piece)),
                set(exposes),
                each(photos, PhotoForm::photo),
                each(stays, StaysForm::stays));
    }

    private static <T> Set<T> set(List<T> said) {
        return said == null ? Set.of() : new TreeSet<>(said);
    }

    static <F, T> List<T> each(List<F> said, Function<F, T> of) {
        return said == null ? List.of() : said.stream().map(of).toList();
    }
}
