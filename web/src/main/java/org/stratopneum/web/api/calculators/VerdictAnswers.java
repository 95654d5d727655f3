package org.stratopneum.web.api.calculators;

import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.VerdictWording;

/** Verdicts as the calculators answer them. */
@Component
class VerdictAnswers {

    /** Pressures in sentences come in bar with psi beside; the numbers of the answers are kPa. */
    private static final Units UNITS_OF_SENTENCES = Units.metric(PressureUnit.BAR);

    private final VerdictWording wording;

    VerdictAnswers(VerdictWording wording) {
        this.wording = wording;
    }

    /** @param fix what would make it fine, or null where it is */
    record Answer(Level level, String code, String message, String fix) {}

    List<Answer> of(List<Verdict> verdicts) {
        return verdicts.stream()
                .map(verdict -> new Answer(
                        verdict.level(),
                        verdict.code(),
                        wording.message(verdict, UNITS_OF_SENTENCES),
                        verdict.level() == Level.FINE ? null : wording.fix(verdict, UNITS_OF_SENTENCES)))
                .toList();
    }
}
