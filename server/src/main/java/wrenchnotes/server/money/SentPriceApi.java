package wrenchnotes.server.money;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.money.NextPrice;
import wrenchnotes.core.team.Act;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Takes;

/** What the next sale fetches, from sales that are sent along: changes nothing, knows no shop. */
@RestController
@May(Act.ASK)
class SentPriceApi {

    /**
     * @param salesMinor in minor units, 1 or more each; may be empty
     * @param kindLogMean mean of the kind's natural logarithms of minor units
     * @param kindLogVariance of models about it, above 0
     * @param withinVariance of sales about their model, above 0
     */
    public record SalesSaid(
            @NotNull @Size(max = 10_000) List<@NotNull Double> salesMinor,
            @NotNull Double kindLogMean,
            @NotNull Double kindLogVariance,
            @NotNull Double withinVariance) {}

    @PostMapping("/api/money/price")
    @Takes(megabytes = 2)
    NextPrice price(@Valid @RequestBody SalesSaid said) {
        return NextPrice.of(said.salesMinor(), said.kindLogMean(), said.kindLogVariance(), said.withinVariance());
    }
}
