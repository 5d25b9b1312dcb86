package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Basis;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.bench.Rework;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.check.Verdict;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.diagnosis.Change;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.OldGoes;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.drawer.CameFrom;
import wrenchnotes.core.drawer.PartAccount;
import wrenchnotes.core.drawer.PartTold;
import wrenchnotes.core.drawer.kind.PartField;
import wrenchnotes.core.drawer.kind.PartKind;
import wrenchnotes.core.drawer.order.OrderEvent;
import wrenchnotes.core.gauge.GaugeAsked.GaugeKind;
import wrenchnotes.core.gauge.Judgement;
import wrenchnotes.core.gauge.LogicChip.LogicFunction;
import wrenchnotes.core.job.FoundThing;
import wrenchnotes.core.job.HoldAnswer;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.money.Triage;
import wrenchnotes.core.outcome.Outcome;
import wrenchnotes.core.team.Role;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Photo;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.Kind;

/**
 * Words that stand in columns and forms of shops, as they were ever written: the database has no list of them, so this has. A new
 * word is added here; one that is here is never taken away or renamed, since it could not be read any more.
 */
class StoredWordsTest {

    private static final Map<Class<? extends Enum<?>>, String> EVER_WRITTEN = Map.ofEntries(
            Map.entry(
                    Account.class,
                    "FITTED TRAY MISSING_ON_ARRIVAL LOST BROKEN DESTROYED REPLACED LEFT_OUT OUT_FOR_NOW BEYOND_NOTES"),
            Map.entry(Basis.class, "COUNTED TOLD UNKNOWN"),
            Map.entry(Rework.class, "FORGOTTEN_PLUG MISSED_CHECK WRONG_PART SECOND_FAULT OTHER FAILED_CHECK TRIAL_FIT"),
            Map.entry(Stage.class, "ARRIVAL OPEN BEFORE_CLOSING AFTER_CLOSING"),
            Map.entry(Verdict.class, "PASSED FAILED NOT_TESTED"),
            Map.entry(
                    ArrivalMark.class,
                    "SEAL_WHOLE SEAL_BROKEN SEAL_OURS SCREWS_MISSING DENTS BENT LIQUID EARLIER_ATTEMPT SWOLLEN_CELL BURNT_SMELL"),
            Map.entry(Ownership.class, "CUSTOMER RESALE OWN"),
            Map.entry(FindingKind.class, "FAULT UPKEEP OURS SEEN"),
            Map.entry(OldGoes.class, "KEPT DONOR_STOCK OWNER SCRAP"),
            Map.entry(CameFrom.class, "DRAWER ORDERED DONOR MADE IMPROVISED OWNERS"),
            Map.entry(PartAccount.class, "SUPPLIER DRAWER SHELF JOB UNIT DONOR WORKSHOP OWNER SCRAP LOST_COUNT"),
            Map.entry(PartTold.Teller.class, "FINDING LEDGER USE"),
            Map.entry(FoundThing.class, "DISC COIN CARD FRAGMENT INSECT OTHER"),
            Map.entry(Cause.class, "AGE FALL LIQUID HEAT EARLIER_REPAIR OWNER_TREATMENT STORAGE"),
            Map.entry(Change.class, "WENT STAYED CAME"),
            Map.entry(Means.class, "LOOKED MEASURED TAKEN_OUT SWAPPED"),
            Map.entry(Overruling.class, "THIS_FIRST NOT_THIS AS_COMPUTED"),
            Map.entry(
                    Remedy.class,
                    "REPLACED CLEANED REVIVED STRAIGHTENED RESEATED LUBRICATED ADJUSTED RESOLDERED OBJECT_REMOVED IMPROVISED "
                            + "LEFT_AS_IT_IS"),
            Map.entry(GaugeKind.class, "BELT GEAR THREAD RAILS LOGIC CHAIN SPINDLE BLEED CAPACITOR LIMIT"),
            Map.entry(Judgement.class, "GOOD BAD CAN_NOT_SAY"),
            Map.entry(LogicFunction.class, "NAND NOR AND OR XOR NOT BUFFER"),
            Map.entry(HoldKind.class, "CURE DRY REST BLEED SOAK PART OWNER SET_ASIDE"),
            Map.entry(HoldAnswer.class, "YES NOT_YET NO"),
            Map.entry(Power.class, "LIVE OFF UNPLUGGED"),
            Map.entry(Triage.class, "MEND SELL_AS_IS KEEP_FOR_PARTS SCRAP"),
            Map.entry(
                    Outcome.class,
                    "FIXED FIXED_WITH_REMARK PARTLY_FIXED NOT_FIXED NO_FAULT_FOUND NOT_WORTH_IT KEPT_FOR_PARTS"),
            Map.entry(Role.class, "COUNTER BENCH LEAD"),
            Map.entry(Finish.class, "BLACK SILVER BRASS"),
            Map.entry(
                    Head.class,
                    "CROSS HEXALOBULAR HEXALOBULAR_SECURITY SLOTTED HEX TRI_WING RIVET CLIP CROSS_SLOTTED HEX_SLOTTED "
                            + "HEXALOBULAR_SLOTTED SPRING WASHER SOLDER GLUE SEAL STICKER FELT_FOOT RUBBER_FOOT CABLE_TIE"),
            Map.entry(Photo.MarkKind.class, "FASTENER CONNECTOR CAUTION"),
            Map.entry(Side.class, "TOP BOTTOM FRONT BACK LEFT RIGHT"),
            Map.entry(ThreadForm.class, "MACHINE TAPPING NONE"),
            Map.entry(Kind.class, "CONSOLE COMPUTER PLAYER DRIVE OTHER"),
            Map.entry(
                    PartKind.class,
                    "BELT GEAR ROLLER FASTENER CAPACITOR RESISTOR FUSE CHIP LAMP LEAD LENS DRIVE BOARD CONSUMABLE OTHER"),
            Map.entry(
                    PartField.class,
                    "CIRCUMFERENCE SECTION WIDTH THICKNESS TEETH MODULE OUTER BORE SPLINED MATERIAL HEAD DRIVER THREAD DIAMETER "
                            + "LENGTH FINISH CAPACITANCE VOLTS RATED_FOR DIELECTRIC SAFETY_CLASS TOLERANCE CELSIUS HEIGHT LEAD_PITCH "
                            + "STYLE SERIES RESISTANCE WATTS AMPS BLOWS CASE_SIZE DESIGNATION FAMILY PACKAGE MILLIAMPS COLOUR WAYS "
                            + "PITCH OF_MODEL AGENT AMOUNT"),
            Map.entry(PartField.Blows.class, "FF F M T TT"),
            Map.entry(PartField.LeadStyle.class, "RADIAL AXIAL SURFACE"),
            Map.entry(PartField.YesOrNo.class, "YES NO"),
            Map.entry(OrderEvent.OrderHappening.class, "ORDERED CONFIRMED SENT CAME WRONG SENT_BACK GIVEN_UP"));

    static List<Map.Entry<Class<? extends Enum<?>>, String>> words() {
        return List.copyOf(EVER_WRITTEN.entrySet());
    }

    @ParameterizedTest
    @MethodSource("words")
    void everyWordThatWasEverWrittenIsKnown(Map.Entry<Class<? extends Enum<?>>, String> words) {
        assertThat(Arrays.stream(words.getKey().getEnumConstants()).map(Enum::name))
                .as("%s: a word that is missing here cannot be read, one that is new is to be added", words.getKey())
                .containsExactlyInAnyOrder(words.getValue().split(" "));
    }
}
