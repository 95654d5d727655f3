package org.stratopneum.web.trailside;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.job.Caution;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.Chore;
import org.stratopneum.core.trailside.Fill;
import org.stratopneum.core.trailside.GasCare;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.Rung;
import org.stratopneum.core.trailside.Situation;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.trailside.kit.AirLines;

/** The words of the ladder. */
@Component
public class TrailWording {

    private final Wording wording;

    TrailWording(Wording wording) {
        this.wording = wording;
    }

    public String title(Rung rung) {
        return wording.text("trail.rung." + rung.code());
    }

    public String how(Rung rung) {
        return wording.text("trail.rung." + rung.code() + ".how");
    }

    public String stop(Rung rung) {
        return wording.text("trail.rung." + rung.code() + ".stop");
    }

    String reply(String code) {
        return wording.text("trail.reply." + code);
    }

    public List<String> cautions(List<Caution> cautions) {
        return cautions.stream().map(caution -> wording.of("caution", caution)).toList();
    }

    public String chore(Chore chore) {
        return wording.of("trail.chore", chore);
    }

    String why(Chore chore) {
        return wording.text("trail.chore." + chore.name() + ".why");
    }

    /** What a rung takes out of the bag, where {@code at} is what the bag holds. */
    public List<String> uses(Rung rung, Situation at) {
        if (rung.uses() != null) {
            return List.of(wording.of("trail.uses", rung.uses()));
        }
        if (rung.air() == null) {
            return List.of();
        }
        return List.of(Situation.By.values()).stream()
                .filter(by -> at.can(rung, by))
                .map(by -> air(at.fill(rung, by)))
                .filter(said -> !said.isEmpty())
                .toList();
    }

    private String air(Fill fill) {
        if (fill.strokes() > 0) {
            return wording.text("trail.uses.pump", AirLines.strokes(fill.strokes()));
        }
        return fill.parts().stream().map(this::part).collect(Collectors.joining(", "));
    }

    private String part(Fill.Part part) {
        String grams = Numbers.upTo(part.grams(), 1);
        return part.share() > Charge.FULL
                ? wording.text("trail.uses.gas.whole", grams)
                : wording.text("trail.uses.gas.part", grams, Numbers.fixed(part.share() * 100, 0));
    }

    String item(KitItem item) {
        return wording.of("trail.item", item);
    }

    /** What gas asks for, in its order, wherever it goes in. */
    public List<String> gas() {
        return Stream.of(GasCare.values())
                .map(care -> wording.of("trail.gas", care))
                .toList();
    }
}
