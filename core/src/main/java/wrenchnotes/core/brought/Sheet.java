package wrenchnotes.core.brought;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Currency;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.shop.DateOrder;
import wrenchnotes.core.shop.DecimalMark;
import wrenchnotes.core.typed.Sum;
import wrenchnotes.core.typed.Typed;
import wrenchnotes.core.unit.Invalid;

/** A list of past jobs: which column says what, and what each row says. Nothing of it is guessed that could be two things. */
public final class Sheet {

    private static final int LONGEST = 80;

    private final List<List<String>> rows;
    private final Map<Field, Integer> columns;
    private final Dates dates;
    private final Habits habits;

    /**
     * How the shop writes, where the sheet itself does not tell.
     *
     * @param today no job was done later
     */
    public record Habits(DateOrder dates, DecimalMark decimal, Currency currency, LocalDate today) {}

    /**
     * What was read of a row.
     *
     * @param job empty if it cannot be brought in
     * @param wrong what is wrong with it, a sentence each; empty if it can be
     */
    public record RowRead(Optional<BroughtJob> job, List<String> wrong) {}

    private Sheet(List<List<String>> rows, Map<Field, Integer> columns, Habits habits) {
        this.rows = rows;
        this.columns = columns;
        this.habits = habits;
        this.dates = Dates.of(rows.stream().map(row -> cell(row, Field.DATE)).toList(), habits.dates(), habits.today());
    }

    /**
     * @param columns number of the column that says each, 0 and up
     * @throws Invalid if there is none for the day or for the model, if two say the same, or if there is no such column
     */
    public static Sheet of(List<String> header, List<List<String>> rows, Map<Field, Integer> columns, Habits habits) {
        mustSay(columns);
        columns.forEach((field, at) -> {
            if (at < 0 || at >= header.size()) {
                throw new Invalid("columns", "There is no column " + (at + 1) + " for the " + field.words());
            }
        });
        if (columns.values().stream().distinct().count() < columns.size()) {
            throw new Invalid("columns", "Two things are said by one column: take one of them away");
        }
        return new Sheet(rows, new EnumMap<>(columns), habits);
    }

    /** @throws Invalid if no column has the day or the model */
    public static void mustSay(Map<Field, Integer> columns) {
        for (Field needed : List.of(Field.DATE, Field.MODEL)) {
            if (!columns.containsKey(needed)) {
                throw new Invalid(
                        "columns", "Say which column has the " + needed.words() + ": no job is brought in without");
            }
        }
    }

    /** Which column says what: by what it is called, else by what stands in it. */
    public static Map<Field, Integer> matched(List<String> header, List<List<String>> rows, Habits habits) {
        Map<Field, Integer> columns = new EnumMap<>(Field.class);
        for (Field field : Field.values()) {
            field.names().stream()
                    .map(name -> called(header, name))
                    .filter(at -> at >= 0 && !columns.containsValue(at))
                    .findFirst()
                    .ifPresent(at -> columns.put(field, at));
        }
        Dates dates = Dates.of(List.of(), habits.dates(), habits.today());
        Map<Field, Predicate<String>> tells = new LinkedHashMap<>();
        tells.put(Field.DATE, cell -> dates.read(cell).isPresent());
        tells.put(Field.OUTCOME, cell -> Terms.outcome(cell).isPresent());
        tells.put(Field.REMEDY, cell -> Terms.remedy(cell).isPresent());
        tells.put(Field.COST, cell -> !(Sum.read(cell, habits.currency()) instanceof Typed.Unread));
        tells.forEach((field, tell) -> {
            for (int at = 0; at < header.size() && !columns.containsKey(field); at++) {
                if (!columns.containsValue(at) && mostly(rows, at, tell)) {
                    columns.put(field, at);
                }
            }
        });
        return columns;
    }

    private static int called(List<String> header, String name) {
        for (int at = 0; at < header.size(); at++) {
            if (header.get(at)
                    .strip()
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("[\\s_-]+", " ")
                    .equals(name)) {
                return at;
            }
        }
        return -1;
    }

    /** Of what stands there at all, nine in ten, and at least two. */
    private static boolean mostly(List<List<String>> rows, int at, Predicate<String> tells) {
        List<String> said = rows.stream()
                .limit(200)
                .filter(row -> at < row.size() && !row.get(at).isBlank())
                .map(row -> row.get(at))
                .toList();
        long so = said.stream().filter(tells).count();
        return so >= 2 && so * 10 >= said.size() * 9L;
    }

    public int size() {
        return rows.size();
    }

    /** @param at from 0 to {@link #size()} */
    public RowRead row(int at) {
        List<String> row = rows.get(at);
        List<String> wrong = new ArrayList<>();
        Optional<LocalDate> day = dates.read(cell(row, Field.DATE));
        if (day.isEmpty()) {
            wrong.add(
                    cell(row, Field.DATE).isEmpty()
                            ? "No day is said"
                            : "No day can be read in \"" + cell(row, Field.DATE) + "\"");
        } else if (day.get().isAfter(habits.today()) || day.get().getYear() < 1970) {
            wrong.add(day.get() + " is no day on which a job was done");
        }
        String model = cell(row, Field.MODEL);
        if (model.isEmpty()) {
            wrong.add("No model is said");
        }
        String fault = cell(row, Field.FAULT);
        Optional<Remedy> remedy = remedy(row, fault, wrong);
        String ended = cell(row, Field.OUTCOME);
        if (!ended.isEmpty() && Terms.outcome(ended).isEmpty()) {
            wrong.add("How it ended cannot be read in \"" + ended + "\": write fixed, not fixed or no fault found");
        }
        long cost = cost(cell(row, Field.COST), wrong);
        if (row.stream().anyMatch(cell -> cell.strip().length() > 500)) {
            wrong.add("A cell is longer than 500 letters");
        }
        if (!wrong.isEmpty()) {
            return new RowRead(Optional.empty(), wrong);
        }
        return new RowRead(
                Optional.of(new BroughtJob(
                        day.orElseThrow(),
                        cell(row, Field.OWNER),
                        shortened(model),
                        symptoms(cell(row, Field.SYMPTOM)),
                        fault,
                        remedy,
                        shortened(cell(row, Field.PART)),
                        cost,
                        Terms.outcome(ended))),
                List.of());
    }

    /** A fault without a word for what was done: a part that was used replaced something, and nothing else is guessed. */
    private Optional<Remedy> remedy(List<String> row, String fault, List<String> wrong) {
        String said = cell(row, Field.REMEDY);
        if (fault.isEmpty()) {
            return Optional.empty();
        }
        Optional<Remedy> read = Terms.remedy(said)
                .or(() -> cell(row, Field.PART).isEmpty() || !said.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Remedy.REPLACED));
        if (read.isEmpty()) {
            wrong.add(
                    said.isEmpty()
                            ? "What was done about \"" + fault + "\" is not said"
                            : "What was done cannot be read in \"" + said + "\": write replaced, cleaned or adjusted");
        }
        return read;
    }

    private long cost(String said, List<String> wrong) {
        if (said.isEmpty()) {
            return 0;
        }
        return Sum.settled(said, habits.currency(), habits.decimal() == DecimalMark.POINT)
                .orElseGet(() -> {
                    wrong.add("No sum can be read in \"" + said + "\"");
                    return 0L;
                });
    }

    private static List<String> symptoms(String said) {
        return Arrays.stream(said.split("[;,/\n]"))
                .map(String::strip)
                .filter(one -> !one.isEmpty())
                .map(Sheet::shortened)
                .distinct()
                .toList();
    }

    private static String shortened(String words) {
        return words.length() <= LONGEST ? words : words.substring(0, LONGEST - 1) + "…";
    }

    private String cell(List<String> row, Field field) {
        Integer at = columns.get(field);
        return at == null || at >= row.size() ? "" : row.get(at).strip();
    }
}
