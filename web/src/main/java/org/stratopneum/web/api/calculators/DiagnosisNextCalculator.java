package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Belief;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.LeakContext;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Step;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.web.leak.SearchWording;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.json.JsonFields;

/** Why a wheel loses air, and the next check worth making. */
@RestController
class DiagnosisNextCalculator {

    private static final Range AGE_DAYS = Range.closed(0, 20_000, "d");

    /** Nobody mends more. */
    private static final Range FIXES = Range.closed(0, 60, "");

    private final JsonBody json;
    private final SearchWording words;

    DiagnosisNextCalculator(JsonBody json, SearchWording words) {
        this.json = json;
        this.words = words;
    }

    record LikelyCause(String code, double probability, List<String> reasons) {}

    record NextCheck(String code, double minutes, String why, List<String> answers) {}

    /** @param jobCard null where there is nothing to mend, or nothing that a rider mends */
    record MendNow(String cause, Job jobCard, String why) {}

    /**
     * @param two how likely there is a second cause (ratio)
     * @param done whether no further look is worth its minutes
     */
    record Answer(List<LikelyCause> causes, double two, NextCheck nextCheck, MendNow mendNow, boolean done) {}

    @PostMapping(path = "/api/v1/calc/diagnosis/next", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer next(HttpServletRequest request) throws IOException {
        JsonFields fields = json.read(request);
        Optional<AirSystem> system = fields.requiredChoice("system", AirSystem.class);
        Set<Circumstance> known = fields.optionalObject("context")
                .map(DiagnosisNextCalculator::context)
                .orElse(Set.of());
        Map<String, String> findings = fields.textsByName("findings");
        List<String> notPossible = fields.texts("notPossible");
        List<String> failed = fields.texts("failedFixes");
        FIXES.problemOf("failedFixes", failed.size()).ifPresent(fields::add);
        Diagnosis.Mode mode = fields.choice("mode", Diagnosis.Mode.class).orElse(Diagnosis.Mode.MEND_SOON);
        Optional<LeakModel> model = system.map(LeakModel::of);
        model.ifPresent(found -> checkCodes(found, notPossible, fields));
        List<Cause> failedFixes =
                model.map(found -> causes(found, failed, fields)).orElse(List.of());
        List<Step> steps = new ArrayList<>();
        findings.forEach((check, answer) -> steps.add(new Step.Seen(check, answer)));
        failedFixes.forEach(cause -> steps.add(new Step.MendedInVain(cause)));
        Optional<Diagnosis> diagnosis =
                model.flatMap(found -> fields.build(() -> new Diagnosis(found, known, steps, Set.copyOf(notPossible))));
        fields.finish();
        return answer(diagnosis.orElseThrow(), mode);
    }

    private static Set<Circumstance> context(JsonFields context) {
        return new LeakContext(
                        context.optionalFlag("newSetup"),
                        context.optionalNumber("sealantAgeDays", AGE_DAYS),
                        context.flag("leverUsedSince"),
                        context.flag("rodeLowSince"),
                        context.flag("impactSince"),
                        context.flag("co2Fill"),
                        context.flag("insert"),
                        context.optionalFlag("tubelessCasing"),
                        context.flag("bedSealed"),
                        context.flag("newTape"),
                        context.choice("rateClass", LeakClass.class).orElse(null))
                .circumstances();
    }

    private static void checkCodes(LeakModel model, List<String> codes, JsonFields fields) {
        for (int i = 0; i < codes.size(); i++) {
            String code = codes.get(i);
            boolean there =
                    model.checks().stream().anyMatch(check -> check.code().equals(code));
            if (code != null && !there) {
                fields.add(Problem.of("notPossible[" + i + "]", JsonFields.UNKNOWN_VALUE));
            }
        }
    }

    private static List<Cause> causes(LeakModel model, List<String> codes, JsonFields fields) {
        List<Cause> causes = new ArrayList<>();
        for (int i = 0; i < codes.size(); i++) {
            Optional<Cause> cause = Optional.ofNullable(codes.get(i)).flatMap(Cause::coded);
            if (cause.filter(model.causes()::contains).isPresent()) {
                causes.add(cause.get());
            } else if (codes.get(i) != null) {
                fields.add(Problem.of("failedFixes[" + i + "]", JsonFields.UNKNOWN_VALUE));
            }
        }
        return causes;
    }

    private Answer answer(Diagnosis diagnosis, Diagnosis.Mode mode) {
        Belief belief = diagnosis.belief();
        Diagnosis.Next next = diagnosis.next(mode);
        return new Answer(
                belief.ranking().stream()
                        .map(cause -> new LikelyCause(
                                cause.code(),
                                belief.of(cause),
                                diagnosis.reasons(cause).stream()
                                        .map(words::reason)
                                        .toList()))
                        .toList(),
                belief.ofTwo(),
                next.check() == null ? null : nextCheck(next.check(), diagnosis),
                next.mend() == null ? null : mendNow(next.mend(), belief),
                next.check() == null);
    }

    private NextCheck nextCheck(Check check, Diagnosis diagnosis) {
        String why = diagnosis.prospects(check).stream()
                .map(prospect -> words.prospect(check, prospect))
                .collect(Collectors.joining("; "));
        return new NextCheck(check.code(), check.minutes(), why, check.answers());
    }

    private MendNow mendNow(Cause cause, Belief belief) {
        return new MendNow(
                cause.code(),
                cause.jobs().stream().findFirst().orElse(null),
                words.worthMending(cause.alike(), belief.ofAlike(cause)));
    }
}
