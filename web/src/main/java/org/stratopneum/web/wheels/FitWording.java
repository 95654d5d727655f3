package org.stratopneum.web.wheels;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.web.wording.Units;
import org.stratopneum.web.wording.VerdictWording;
import org.stratopneum.web.wording.Wording;

/** Says whether what is on a wheel goes together, and what could not be looked at. */
@Component
class FitWording {

    private final Wording wording;
    private final VerdictWording verdicts;

    FitWording(Wording wording, VerdictWording verdicts) {
        this.wording = wording;
        this.verdicts = verdicts;
    }

    WheelPage.Fit of(FitCheck check, Units units) {
        Map<Boolean, List<Verdict>> fine =
                check.verdicts().stream().collect(Collectors.partitioningBy(verdict -> verdict.level() == Level.FINE));
        return new WheelPage.Fit(
                fine.get(false).stream().map(verdict -> said(verdict, units)).toList(),
                fine.get(true).stream()
                        .map(verdict -> verdicts.message(verdict, units))
                        .toList(),
                check.unchecked().stream()
                        .map(unchecked -> wording.of("unchecked", unchecked))
                        .collect(Collectors.joining(", ")));
    }

    private WheelPage.Said said(Verdict verdict, Units units) {
        return new WheelPage.Said(
                wording.of("level", verdict.level()),
                verdict.level().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                verdicts.message(verdict, units),
                verdicts.fix(verdict, units));
    }
}
