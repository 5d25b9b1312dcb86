package wrenchnotes.server.job;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.check.ElectricalCheck;
import wrenchnotes.core.check.Protection;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.job.FoundThing;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.server.ground.Stored;

/**
 * How each kind of entry stands in the database: a form of its own, with the number that the row holds too. A kind or a number
 * that was once written is read for ever. docs/decisions/0013-the-store.md
 */
record EntryForm(String kind, int number, String said) {

    /** Form 1 knew no step and no strokes; both are left out if there is none. @param strokes each as x, y, x, y, ... */
    private record Remark(
            int form, String words, String photo, String before, String step, List<List<Double>> strokes) {}

    private record PowerOff(int form, long sinceMillis) {}

    private record Acknowledged(int form, String step, String title, String caution) {}

    /** @param photo left out if there is none */
    private record Marked(
            int form, String step, String stays, String label, boolean back, String words, String photo) {}

    private record Power(int form, String power, String why) {}

    private record MadeSafe(int form, String mark, String words) {}

    /** @param failed left out if nothing did */
    private record Electrical(
            int form,
            String protection,
            Double earthOhm,
            double insulationMohm,
            boolean leadSound,
            String words,
            List<String> failed) {}

    private record FoundInside(int form, String what, String state, String photo) {}

    /** @param after left out if no step was open; form 1 did not know it */
    private record ForkTaken(int form, String fork, String choice, String considered, String why, String after) {}

    private record Observed(int form, String what, String expected, String found, boolean good, String condition) {}

    private record Altered(int form, String where, String now, String thing) {}

    private record LaterWord(int form, String words, Long undoes) {}

    private record TakenBack(int form, String why) {}

    static EntryForm of(JobEntry entry) {
        if (entry instanceof JobEntry.Remark is) {
            return new EntryForm(
                    "REMARK",
                    2,
                    Stored.text(new Remark(
                            2,
                            is.said(),
                            is.picture().orElse(null),
                            is.before(),
                            is.step().orElse(null),
                            is.strokes().isEmpty() ? null : Strokes.stored(is.strokes()))));
        }
        if (entry instanceof JobEntry.PowerOff is) {
            return form("POWER_OFF", new PowerOff(1, is.since().toEpochMilli()));
        }
        if (entry instanceof JobEntry.Acknowledged is) {
            return form("ACKNOWLEDGED", new Acknowledged(1, is.step(), is.title(), is.caution()));
        }
        if (entry instanceof JobEntry.Marked is) {
            return form(
                    "MARKED",
                    new Marked(
                            1,
                            is.step(),
                            is.stays(),
                            is.label(),
                            is.back(),
                            is.how(),
                            is.picture().orElse(null)));
        }
        if (entry instanceof JobEntry.Powered is) {
            return form("POWER", new Power(1, is.power().name(), is.why()));
        }
        if (entry instanceof JobEntry.MadeSafe is) {
            return form("MADE_SAFE", new MadeSafe(1, is.mark().name(), is.words()));
        }
        if (entry instanceof JobEntry.Electrical is) {
            ElectricalCheck check = is.check();
            return form(
                    "ELECTRICAL",
                    new Electrical(
                            1,
                            check.protection().name(),
                            check.earthOhm().orElse(null),
                            check.insulationMohm(),
                            check.leadSound(),
                            check.words(),
                            check.failed()));
        }
        if (entry instanceof JobEntry.FoundInside is) {
            return form(
                    "FOUND_INSIDE",
                    new FoundInside(
                            1, is.what().name(), is.state(), is.picture().orElse(null)));
        }
        if (entry instanceof JobEntry.ForkTaken is) {
            return form(
                    "DECIDED",
                    new ForkTaken(
                            2,
                            is.fork(),
                            is.choice(),
                            is.considered(),
                            is.why(),
                            is.after().orElse(null)));
        }
        if (entry instanceof JobEntry.Observed is) {
            return form("OBSERVED", new Observed(1, is.what(), is.expected(), is.found(), is.good(), is.condition()));
        }
        if (entry instanceof JobEntry.Altered is) {
            return form(
                    "ALTERED", new Altered(1, is.where(), is.now(), is.thing().orElse(null)));
        }
        if (entry instanceof JobEntry.LaterWord is) {
            return form("LATER_WORD", new LaterWord(1, is.said(), is.undoes().orElse(null)));
        }
        return form("TAKEN_BACK", new TakenBack(1, ((JobEntry.TakenBack) entry).why()));
    }

    private static EntryForm form(String kind, Object record) {
        return new EntryForm(kind, 1, Stored.text(record));
    }

    /** How a remark stands in the database. */
    static JobEntry.Remark remark(JsonNode tree) {
        Remark is = Stored.read(tree, Remark.class);
        return new JobEntry.Remark(
                is.words(),
                Optional.ofNullable(is.photo()),
                is.before(),
                Optional.ofNullable(is.step()),
                is.strokes() == null ? List.of() : Strokes.read(is.strokes()));
    }

    /** Of an entry that is one. */
    ElectricalCheck electrical() {
        return ((JobEntry.Electrical) entry()).check();
    }

    JobEntry entry() {
        JsonNode tree = Stored.tree(said);
        return switch (kind + " " + number) {
            case "REMARK 1", "REMARK 2" -> remark(tree);
            case "POWER_OFF 1" ->
                new JobEntry.PowerOff(
                        Instant.ofEpochMilli(Stored.read(tree, PowerOff.class).sinceMillis()));
            case "ACKNOWLEDGED 1" -> {
                Acknowledged is = Stored.read(tree, Acknowledged.class);
                yield new JobEntry.Acknowledged(is.step(), is.title(), is.caution());
            }
            case "MARKED 1" -> {
                Marked is = Stored.read(tree, Marked.class);
                yield new JobEntry.Marked(
                        is.step(), is.stays(), is.label(), is.back(), is.words(), Optional.ofNullable(is.photo()));
            }
            case "POWER 1" -> {
                Power is = Stored.read(tree, Power.class);
                yield new JobEntry.Powered(wrenchnotes.core.bench.Power.valueOf(is.power()), is.why());
            }
            case "MADE_SAFE 1" -> {
                MadeSafe is = Stored.read(tree, MadeSafe.class);
                yield new JobEntry.MadeSafe(ArrivalMark.valueOf(is.mark()), is.words());
            }
            case "ELECTRICAL 1" -> {
                Electrical is = Stored.read(tree, Electrical.class);
                yield new JobEntry.Electrical(new ElectricalCheck(
                        Protection.valueOf(is.protection()),
                        Optional.ofNullable(is.earthOhm()),
                        is.insulationMohm(),
                        is.leadSound(),
                        is.words(),
                        is.failed() == null ? List.of() : is.failed()));
            }
            case "FOUND_INSIDE 1" -> {
                FoundInside is = Stored.read(tree, FoundInside.class);
                yield new JobEntry.FoundInside(
                        FoundThing.valueOf(is.what()), is.state(), Optional.ofNullable(is.photo()));
            }
            case "DECIDED 1", "DECIDED 2" -> {
                ForkTaken is = Stored.read(tree, ForkTaken.class);
                yield new JobEntry.ForkTaken(
                        is.fork(), is.choice(), is.considered(), is.why(), Optional.ofNullable(is.after()));
            }
            case "OBSERVED 1" -> {
                Observed is = Stored.read(tree, Observed.class);
                yield new JobEntry.Observed(is.what(), is.expected(), is.found(), is.good(), is.condition());
            }
            case "ALTERED 1" -> {
                Altered is = Stored.read(tree, Altered.class);
                yield new JobEntry.Altered(is.where(), is.now(), Optional.ofNullable(is.thing()));
            }
            case "LATER_WORD 1" -> {
                LaterWord is = Stored.read(tree, LaterWord.class);
                yield new JobEntry.LaterWord(is.words(), Optional.ofNullable(is.undoes()));
            }
            case "TAKEN_BACK 1" ->
                new JobEntry.TakenBack(Stored.read(tree, TakenBack.class).why());
            default -> throw Stored.unknown("An entry " + kind, tree);
        };
    }
}
