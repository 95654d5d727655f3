package org.stratopneum.web.platform.wording;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCheck;

/** Says whether parts go together, and what could not be looked at. */
@Component
public class FitWording {

    private final Wording wording;
    private final VerdictWording verdicts;

    FitWording(Wording wording, VerdictWording verdicts) {
        this.wording = wording;
        this.verdicts = verdicts;
    }

    public FitText of(FitCheck check, Units units) {
        return of(check.verdicts(), check.unchecked(), units);
    }

    /** The same for verdicts of whatever check. */
    public FitText of(List<Verdict> found, List<FitCheck.Unchecked> unchecked, Units units) {
        Map<Boolean, List<Verdict>> fine =
                found.stream().collect(Collectors.partitioningBy(verdict -> verdict.level() == Level.FINE));
        return new FitText(
                fine.get(false).stream().map(verdict -> said(verdict, units)).toList(),
                fine.get(true).stream()
                        .map(verdict -> verdicts.message(verdict, units))
                        .toList(),
                unchecked.stream().map(each -> wording.of("unchecked", each)).collect(Collectors.joining(", ")));
    }

    private FitText.Said said(Verdict verdict, Units units) {
        return new FitText.Said(
                wording.of("level", verdict.level()),
                verdict.level().name().toLowerCase(Locale.ROOT).replace('_', '-'),
                verdicts.message(verdict, units),
                verdicts.fix(verdict, units),
                verdict.code(),
                verdict.level() != Level.BLOCKS);
    }
}
