package wrenchnotes.server.diagnosis;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.diagnosis.odds.FaultModel;
import wrenchnotes.core.diagnosis.odds.Odds;
import wrenchnotes.core.diagnosis.odds.OneMain;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Takes;

/** Odds of faults from a model that is sent along: changes nothing, knows no shop. */
@RestController
@May(Act.ASK)
class SentModelApi {

    /** @param prior how likely it is before anything is known; with one main fault its rate against the others */
    public record FaultPrior(
            @NotBlank @Size(max = 80) String id, @NotNull Double prior) {}

    public record CauseSaid(
            @NotBlank @Size(max = 80) String fault, @NotNull Double strength) {}

    public record SymptomSaid(
            @NotBlank @Size(max = 80) String id,
            @NotNull Double leak,
            @NotNull @Size(max = 200) List<@Valid @NotNull CauseSaid> causes) {}

    /**
     * @param oneMain one main fault and what came with it; faults are independent if left out
     * @param silence 0 to 1: how much it counts that nobody spoke of a listed symptom, once one is told; not at all if left out
     */
    public record OddsSaid(
            @NotNull @Size(min = 1, max = 200) List<@Valid @NotNull FaultPrior> faults,
            @NotNull @Size(max = 200) List<@Valid @NotNull SymptomSaid> symptoms,
            @NotNull @Size(max = 200) Set<@NotBlank String> present,
            @NotNull @Size(max = 200) Set<@NotBlank String> absent,
            Optional<OneMain> oneMain,
            Optional<Double> silence) {

        FaultModel model() {
            return FaultModel.of(
                    faults.stream()
                            .map(fault -> new FaultModel.ModelFault(fault.id(), fault.prior()))
                            .toList(),
                    symptoms.stream()
                            .map(symptom -> new FaultModel.ModelSymptom(
                                    symptom.id(),
                                    symptom.leak(),
                                    symptom.causes().stream()
                                            .map(cause -> new FaultModel.ModelCause(cause.fault(), cause.strength()))
                                            .toList()))
                            .toList(),
                    oneMain);
        }
    }

    @PostMapping("/api/diagnosis/odds")
    @Takes(megabytes = 2)
    Odds odds(@Valid @RequestBody OddsSaid said) {
        return Odds.of(
                said.model(),
                new TreeSet<>(said.present()),
                new TreeSet<>(said.absent()),
                said.silence().orElse(0.0));
    }
}
