package wrenchnotes.core.brought;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.shop.DateOrder;
import wrenchnotes.core.shop.DecimalMark;
import wrenchnotes.core.unit.Invalid;

/** A list of past jobs as shops keep them; how people write days is ISO 8601, CLDR's date patterns, and common practice. */
class SheetTest {

    private static final Sheet.Habits HABITS = new Sheet.Habits(
            DateOrder.DAY_FIRST, DecimalMark.POINT, Currency.getInstance("EUR"), LocalDate.of(2026, 3, 31));

    private static final List<String> HEADER =
            List.of("Date in", "Customer", "Device", "Complaint", "Found", "What was done", "Part", "Cost", "Result");

    private static Sheet sheet(List<List<String>> rows) {
        return Sheet.of(HEADER, rows, Sheet.matched(HEADER, rows, HABITS), HABITS);
    }

    @Test
    void columnsAreMatchedByNameAndElseByWhatStandsInThem() {
        assertThat(Sheet.matched(HEADER, List.of(), HABITS)).hasSize(9).containsEntry(Field.REMEDY, 5);
        List<List<String>> rows = List.of(
                List.of("Tide 4", "12.3.2024", "belt worn", "new belt", "4,50", "repaired"),
                List.of("Tide 4", "13.3.2024", "laser weak", "cleaned it", "2", "not repaired"));
        assertThat(Sheet.matched(List.of("Unit", "A", "Fault", "B", "C", "D"), rows, HABITS))
                .isEqualTo(Map.of(
                        Field.MODEL,
                        0,
                        Field.DATE,
                        1,
                        Field.FAULT,
                        2,
                        Field.REMEDY,
                        3,
                        Field.COST,
                        4,
                        Field.OUTCOME,
                        5));
        assertThatThrownBy(() -> Sheet.of(HEADER, rows, Map.of(Field.DATE, 1), HABITS))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("model");
        assertThatThrownBy(() -> Sheet.of(HEADER, rows, Map.of(Field.DATE, 1, Field.MODEL, 1), HABITS))
                .isInstanceOf(Invalid.class);
    }

    @Test
    void aRowIsReadWholeOrSaysAllThatIsWrongWithIt() {
        Sheet sheet = sheet(List.of(
                List.of(
                        "5/3/2024",
                        "Choir",
                        "Tide 4",
                        "no sound; no sound, eats tape",
                        "capstan belt worn",
                        "Replaced belt",
                        "belt 60",
                        "4,50",
                        "Fixed"),
                List.of("2024-13-40", "", "", "", "belt worn", "did it", "", "a lot", "so so"),
                List.of("1 Apr 2026", "", "Tide 4"),
                List.of("Mar 2, 24", "", "Tide 4", "", "lens dirty", "", "", "1.234", "beyond economic repair"),
                List.of("7.3.99", "", "Tide 4", "", "fuse blown", "", "fuse 1 A", "", "not repaired")));
        BroughtJob job = sheet.row(0).job().orElseThrow();
        assertThat(job.day()).isEqualTo("2024-03-05");
        assertThat(job.symptoms()).containsExactly("no sound", "eats tape");
        assertThat(job.remedy()).hasValue(Remedy.REPLACED);
        assertThat(job.costMinor()).isEqualTo(450);
        assertThat(job.outcome()).hasValue(Outcome.FIXED);
        assertThat(sheet.row(1).job()).isEmpty();
        assertThat(sheet.row(1).wrong())
                .satisfiesExactly(
                        day -> assertThat(day).contains("2024-13-40"),
                        model -> assertThat(model).isEqualTo("No model is said"),
                        remedy -> assertThat(remedy).contains("did it"),
                        outcome -> assertThat(outcome).contains("so so"),
                        cost -> assertThat(cost).contains("a lot"));
        assertThat(sheet.row(2).wrong()).singleElement().asString().contains("2026-04-01");
        assertThat(sheet.row(3).wrong())
                .singleElement()
                .asString()
                .contains("lens dirty")
                .contains("not said");
        BroughtJob blown = sheet.row(4).job().orElseThrow();
        assertThat(blown.day()).as("the latest such year that is past").isEqualTo("1999-03-07");
        assertThat(blown.remedy()).as("a part replaced something").hasValue(Remedy.REPLACED);
        assertThat(blown.outcome()).as("what denies comes first").hasValue(Outcome.NOT_FIXED);
    }

    /** "1.234" is what the shop's own decimal mark makes of it: 1.23 where it is the point, 1234 where it is the comma. */
    @Test
    void aSumThatCanBeTwoIsReadAsTheShopWrites() {
        List<List<String>> rows = List.of(
                List.of("5/3/2024", "", "Tide 4", "", "", "", "", "1.234"),
                List.of("5/3/2024", "", "Tide 4", "", "", "", "", "1,234"));
        assertThat(sheet(rows).row(0).job().orElseThrow().costMinor()).isEqualTo(123);
        assertThat(sheet(rows).row(1).job().orElseThrow().costMinor()).isEqualTo(123_400);
        Sheet.Habits comma = new Sheet.Habits(HABITS.dates(), DecimalMark.COMMA, HABITS.currency(), HABITS.today());
        Sheet other = Sheet.of(HEADER, rows, Sheet.matched(HEADER, rows, comma), comma);
        assertThat(other.row(0).job().orElseThrow().costMinor()).isEqualTo(123_400);
    }

    /** One row that can only be read in one way tells how the others of its column are to be read. */
    @Test
    void theWholeColumnTellsWhetherTheMonthComesFirst() {
        Sheet sheet = sheet(List.of(List.of("03/04/2024", "", "Tide 4"), List.of("03/25/2024", "", "Tide 4")));
        assertThat(sheet.row(0).job().orElseThrow().day()).isEqualTo("2024-03-04");
        assertThat(sheet.row(1).job().orElseThrow().day()).isEqualTo("2024-03-25");
        Sheet shopsOwn = sheet(List.of(List.of("03/04/2024", "", "Tide 4")));
        assertThat(shopsOwn.row(0).job().orElseThrow().day()).isEqualTo("2024-04-03");
    }

    @Test
    void aFaultSaidInOneGoIsTakenApart() {
        List<String> known = List.of("belt", "capstan belt", "lens");
        assertThat(SaidFault.of("Capstan belt worn", known)).isEqualTo(new SaidFault("capstan belt", "worn"));
        assertThat(SaidFault.of("dirty lens", known)).isEqualTo(new SaidFault("lens", "dirty"));
        assertThat(SaidFault.of("power supply: no 5 V", known)).isEqualTo(new SaidFault("power supply", "no 5 V"));
        assertThat(SaidFault.of("drive motor seized", List.of())).isEqualTo(new SaidFault("drive motor", "seized"));
        assertThat(SaidFault.of("fuse", List.of())).isEqualTo(new SaidFault("fuse", "faulty"));
    }
}
