package org.stratopneum.web.wording;

import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.core.quantity.Mass;
import org.stratopneum.core.quantity.PressureUnit;

/** Puts a verdict of the core into words: what is wrong, and what would make it fine. */
@Component
public class VerdictWording {

    private final Wording wording;

    VerdictWording(Wording wording) {
        this.wording = wording;
    }

    public String message(Verdict verdict, PressureUnit unit) {
        return wording.text("verdict." + verdict.code() + ".message", arguments(verdict, unit));
    }

    public String fix(Verdict verdict, PressureUnit unit) {
        return wording.text("verdict." + verdict.code() + ".fix", arguments(verdict, unit));
    }

    private Object[] arguments(Verdict verdict, PressureUnit unit) {
        List<Object> details = verdict.details();
        Object[] words = new Object[details.size() + 1];
        for (int i = 0; i < details.size(); i++) {
            words[i] = detail(details.get(i), unit);
        }
        words[details.size()] = remedies(details);
        return words;
    }

    private String detail(Object detail, PressureUnit unit) {
        if (detail instanceof GaugePressure pressure) {
            return PressureText.both(pressure, unit);
        }
        if (detail instanceof Length length) {
            return Numbers.upTo(length.mm(), 1) + " mm";
        }
        if (detail instanceof Mass mass) {
            return Numbers.fixed(Math.floor(mass.kg()), 0) + " kg";
        }
        if (detail instanceof Double ratio) {
            return Numbers.fixed(100 * ratio, 1) + " %";
        }
        if (detail instanceof Ground ground) {
            return wording.of("ground", ground);
        }
        return "";
    }

    /** The width and the load among {@code details} that would do, as one sentence. */
    private String remedies(List<Object> details) {
        String width = details.stream()
                .filter(Length.class::isInstance)
                .map(detail -> detail(detail, PressureUnit.KPA))
                .reduce((first, last) -> last)
                .orElse(null);
        String load = details.stream()
                .filter(Mass.class::isInstance)
                .map(detail -> detail(detail, PressureUnit.KPA))
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
