package org.stratopneum.web.platform.wording;

import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.pressure.Ceiling;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.RiderUnit;

/** Puts a verdict of the core into words: what is wrong, and what would make it fine. */
@Component
public class VerdictWording {

    private final Wording wording;

    VerdictWording(Wording wording) {
        this.wording = wording;
    }

    public String message(Verdict verdict, Units units) {
        return wording.text("verdict." + verdict.code() + ".message", arguments(verdict, units));
    }

    public String fix(Verdict verdict, Units units) {
        return wording.text("verdict." + verdict.code() + ".fix", arguments(verdict, units));
    }

    private Object[] arguments(Verdict verdict, Units units) {
        List<Object> details = verdict.details();
        Object[] words = new Object[details.size() + 1];
        for (int i = 0; i < details.size(); i++) {
            words[i] = detail(details.get(i), units);
        }
        boolean guessed = details.stream().anyMatch(detail -> detail instanceof Ceiling ceiling && ceiling.usual());
        String remedies = remedies(details, units);
        words[details.size()] = guessed ? wording.text("remedy.enter", remedies) : remedies;
        return words;
    }

    private String detail(Object detail, Units units) {
        if (detail instanceof GaugePressure pressure) {
            return PressureText.both(pressure, units.pressure());
        }
        if (detail instanceof Ceiling ceiling) {
            String most = PressureText.both(ceiling.pressure(), units.pressure());
            return ceiling.usual() ? wording.text("ceiling.usual", most) : most;
        }
        if (detail instanceof Length length) {
            return QuantityText.size(length.mm(), units.length());
        }
        if (detail instanceof Mass mass) {
            return massText(mass, units);
        }
        if (detail instanceof Double ratio) {
            return Numbers.fixed(100 * ratio, 1) + " %";
        }
        if (detail instanceof Ground ground) {
            return wording.of("ground", ground);
        }
        if (detail instanceof ValveBase base) {
            return wording.of("base", base);
        }
        return "";
    }

    /** Rounded down: it is said as the most that will do. */
    private static String massText(Mass mass, Units units) {
        RiderUnit unit = units.mass();
        return Numbers.fixed(Math.floor(unit.fromCore(mass.kg())), 0) + " " + unit.symbol();
    }

    /** The width and the load among {@code details} that would do, as one sentence. */
    private String remedies(List<Object> details, Units units) {
        String width = details.stream()
                .filter(Length.class::isInstance)
                .map(detail -> detail(detail, units))
                .reduce((first, last) -> last)
                .orElse(null);
        String load = details.stream()
                .filter(Mass.class::isInstance)
                .map(detail -> detail(detail, units))
                .findFirst()
                .orElse(null);
        if (width != null && load != null) {
            return wording.text("remedy.width-or-load", width, load);
        }
        if (width != null) {
            return wording.text("remedy.width", width);
        }
        return load != null ? wording.text("remedy.load", load) : wording.text("remedy.none");
    }
}
