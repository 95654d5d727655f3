package org.stratopneum.web.api.calculators;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.ChainStep;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.web.platform.json.JsonBody;
import org.stratopneum.web.platform.wording.Wording;

/** What to set front and rear, with steps and verdicts. */
@RestController
class PressureAdviceCalculator {

    private final JsonBody json;
    private final Wording wording;
    private final VerdictAnswers verdictAnswers;

    PressureAdviceCalculator(JsonBody json, Wording wording, VerdictAnswers verdictAnswers) {
        this.json = json;
        this.wording = wording;
        this.verdictAnswers = verdictAnswers;
    }

    record Answer(WheelAnswer front, WheelAnswer rear) {}

    /** Pressures (kPa gauge), width (mm), load (kg), strike index (cm), factors as ratios, unrounded. */
    record WheelAnswer(
            double gaugeKpa,
            double chainKpa,
            double floorKpa,
            double ceilingKpa,
            Double windowLowKpa,
            Double windowHighKpa,
            double inflatedWidthMm,
            double loadKg,
            List<StepAnswer> steps,
            double strikeIndexCm,
            List<VerdictAnswers.Answer> verdicts) {}

    record StepAnswer(String code, String name, Double factor, double gaugeKpa) {}

    @PostMapping(path = "/api/v1/calc/pressure/advice", consumes = MediaType.APPLICATION_JSON_VALUE)
    Answer advice(HttpServletRequest request) throws IOException {
        BikeAdvice advice = BikeAdvice.of(BikeCaseJson.read(json.read(request)));
        return new Answer(answer(advice.front()), answer(advice.rear()));
    }

    private WheelAnswer answer(WheelAdvice advice) {
        PressureWindow window = advice.window();
        return new WheelAnswer(
                advice.pressure().kpa(),
                advice.chainPressure().kpa(),
                advice.limits().floor().kpa(),
                advice.limits().ceiling().pressure().kpa(),
                window == null ? null : window.low().kpa(),
                window == null ? null : window.high().kpa(),
                advice.section().inflatedWidth().mm(),
                advice.wheel().load().kg(),
                advice.steps().stream().map(this::step).toList(),
                advice.strikeIndexCm(advice.pressure()),
                verdictAnswers.of(advice.verdicts()));
    }

    private StepAnswer step(ChainStep step) {
        return new StepAnswer(
                step.code(),
                wording.text("step." + step.code()),
                step.factor(),
                step.pressure().kpa());
    }
}
