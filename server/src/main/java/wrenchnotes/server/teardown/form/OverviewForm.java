package wrenchnotes.server.teardown.form;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Overview.PlannedCheck;
import wrenchnotes.core.teardown.Overview.ServiceMode;
import wrenchnotes.core.teardown.Overview.Terms;
import wrenchnotes.core.teardown.Overview.WatchPoint;
import wrenchnotes.core.teardown.TestPoint;

/** What notes say of a revision as a whole, as it stands in the database (form 4; before it there were no test points; form 1 had of a check only what comes before its id) and in the open format {@code teardown/1}. */
public record OverviewForm(
        Integer form,
        String before,
        List<ModeForm> modes,
        List<CheckForm> checks,
        List<PointForm> watch,
        List<PointForm> lookOver,
        List<TestPointForm> points) {

    public record TestPointForm(
            String name,
            String kind,
            long component,
            String madeFrom,
            Double nominal,
            Double least,
            Double most,
            String unit,
            String probes,
            String conditions,
            String step) {

        private TestPoint point() {
            return new TestPoint(
                    name,
                    TestPoint.PointKind.valueOf(kind),
                    component,
                    madeFrom,
                    Optional.ofNullable(nominal),
                    Optional.ofNullable(least),
                    Optional.ofNullable(most),
                    unit,
                    probes,
                    conditions,
                    step);
        }

        private static TestPointForm of(TestPoint point) {
            return new TestPointForm(
                    point.name(),
                    point.kind().name(),
                    point.component(),
                    said(point.madeFrom()),
                    point.nominal().orElse(null),
                    point.least().orElse(null),
                    point.most().orElse(null),
                    said(point.unit()),
                    said(point.probes()),
                    said(point.conditions()),
                    said(point.step()));
        }

        private static String said(String words) {
            return words.isEmpty() ? null : words;
        }
    }

    public record ModeForm(String name, String keys, String shows) {

        private ServiceMode mode() {
            return new ServiceMode(name, keys, shows);
        }
    }

    public record CheckForm(
            String stage,
            String what,
            String load,
            int times,
            String id,
            Boolean powered,
            Boolean coversOn,
            String conditions,
            String beforeStep,
            String caution,
            Boolean leadOnly) {

        private PlannedCheck check() {
            return new PlannedCheck(
                    id,
                    Stage.valueOf(stage),
                    what,
                    load,
                    times,
                    new Terms(
                            !Boolean.FALSE.equals(powered),
                            Boolean.TRUE.equals(coversOn),
                            conditions,
                            beforeStep,
                            caution,
                            Boolean.TRUE.equals(leadOnly)));
        }

        private static CheckForm of(PlannedCheck check) {
            Terms terms = check.terms();
            return new CheckForm(
                    check.stage().name(),
                    check.what(),
                    check.load(),
                    check.times(),
                    check.id(),
                    terms.powered() ? null : false,
                    terms.coversOn() ? true : null,
                    terms.conditions().isEmpty() ? null : terms.conditions(),
                    terms.beforeStep().isEmpty() ? null : terms.beforeStep(),
                    terms.caution().isEmpty() ? null : terms.caution(),
                    terms.leadOnly() ? true : null);
        }
    }

    public record PointForm(long component, String words) {

        private WatchPoint point() {
            return new WatchPoint(component, words);
        }

        private static PointForm of(WatchPoint point) {
            return new PointForm(point.component(), point.words());
        }
    }

    /** @param form its number; null where another form holds it */
    public static OverviewForm of(Integer form, Overview overview) {
        return new OverviewForm(
                form,
                overview.before(),
                StepForm.each(overview.modes(), one -> new ModeForm(one.name(), one.keys(), one.shows())),
                StepForm.each(overview.checks(), CheckForm::of),
                StepForm.each(overview.watch(), PointForm::of),
                StepForm.each(overview.lookOver(), PointForm::of),
                overview.points().isEmpty() ? null : StepForm.each(overview.points(), TestPointForm::of));
    }

    public Overview overview() {
        return new Overview(
                before,
                StepForm.each(modes, ModeForm::mode),
                StepForm.each(checks, CheckForm::check),
                StepForm.each(watch, PointForm::point),
                StepForm.each(lookOver, PointForm::point),
                StepForm.each(points, TestPointForm::point));
    }
}
