package org.stratopneum.web.pressure.whatif;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.GaugeStep;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.platform.drawing.StrikeDrawing;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.VerdictWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.pressure.WindowWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Works out a wheel as it stands and as it would be, side by side. */
@Service
class WhatIfService {

    private final WheelHeads heads;
    private final Riders riders;
    private final BikeAdvisor advisor;
    private final Wording wording;
    private final WindowWording windows;
    private final VerdictWording verdicts;
    private final ProblemWording problemWording;

    WhatIfService(
            WheelHeads heads,
            Riders riders,
            BikeAdvisor advisor,
            Wording wording,
            WindowWording windows,
            VerdictWording verdicts,
            ProblemWording problemWording) {
        this.heads = heads;
        this.riders = riders;
        this.advisor = advisor;
        this.wording = wording;
        this.windows = windows;
        this.verdicts = verdicts;
        this.problemWording = problemWording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    WhatIfPage page(UUID wheelId, Map<String, String> parameters) {
        Rider rider = riders.self();
        Units units = rider.units();
        WheelHeads.Known known = heads.of(wheelId, rider);
        Optional<WheelAdvice> stands = advisor.adviseUsual(known.bike()).map(advice -> own(advice, known.place()));
        if (stands.isEmpty()) {
            return new WhatIfPage(known.head(), false, new FormView(Map.of(), Map.of()), units, List.of(), null);
        }
        WhatIfForm form = WhatIfForm.of(stands.get().wheel(), units, parameters);
        List<WhatIfPage.Column> columns = new ArrayList<>();
        List<StrikeDrawing.Wheel> strikes = new ArrayList<>();
        columns.add(column("whatif.stands", stands.get(), null, units));
        strikes.add(new StrikeDrawing.Wheel(wording.text("whatif.stands"), stands.get()));
        for (String letter : WhatIfForm.COLUMNS) {
            form.column(letter).map(WheelAdvice::of).ifPresent(advice -> {
                columns.add(column("whatif." + letter.charAt(0), advice, columns.get(0), units));
                strikes.add(new StrikeDrawing.Wheel(wording.text("whatif." + letter.charAt(0)), advice));
            });
        }
        FormView view = new FormView(
                form.reader().typed(),
                problemWording.messages(form.reader().problems().list()));
        return new WhatIfPage(known.head(), true, view, units, columns, StrikeDrawing.of(strikes, units.pressure()));
    }

    private static WheelAdvice own(BikeAdvice advice, WheelPlace place) {
        return place.position() == WheelPosition.REAR ? advice.rear() : advice.front();
    }

    private WhatIfPage.Column column(String name, WheelAdvice advice, WhatIfPage.Column stands, Units units) {
        List<WhatIfPage.Cell> cells = new ArrayList<>();
        cells.add(cell("set", told(advice, units), stands, cells));
        cells.add(cell(
                "window",
                advice.window() == null
                        ? wording.text("level.BLOCKS")
                        : windows.range(advice.window(), units.pressure()),
                stands,
                cells));
        cells.add(cell("floor", pressure(advice.limits().floor(), units), stands, cells));
        cells.add(cell("ceiling", pressure(advice.limits().ceiling().pressure(), units), stands, cells));
        cells.add(cell("strike", Numbers.fixed(advice.strikeIndexCm(advice.pressure()), 1) + " cm", stands, cells));
        cells.add(cell(
                "inflated", QuantityText.text(advice.section().inflatedWidth().mm(), units.length()), stands, cells));
        cells.add(cell("air", Numbers.fixed(advice.section().airVolumeL(), 2) + " l", stands, cells));
        List<WhatIfPage.Said> against = advice.verdicts().stream()
                .filter(verdict -> verdict.level() != Level.FINE)
                .map(verdict -> said(verdict, units))
                .toList();
        return new WhatIfPage.Column(wording.text(name), cells, against);
    }

    private WhatIfPage.Cell cell(String row, String text, WhatIfPage.Column stands, List<WhatIfPage.Cell> before) {
        boolean other =
                stands != null && !stands.cells().get(before.size()).text().equals(text);
        return new WhatIfPage.Cell(wording.text("whatif.row." + row), text, other);
    }

    private static String told(WheelAdvice advice, Units units) {
        double told = GaugeStep.nearest(advice.pressure(), advice.limits(), units.pressure());
        return PressureText.both(GaugePressure.of(told, units.pressure()), units.pressure());
    }

    private static String pressure(GaugePressure pressure, Units units) {
        return PressureText.text(pressure, units.pressure());
    }

    private WhatIfPage.Said said(Verdict verdict, Units units) {
        String css = verdict.level().name().toLowerCase(Locale.ROOT).replace('_', '-');
        return new WhatIfPage.Said(css, verdicts.message(verdict, units) + " " + verdicts.fix(verdict, units));
    }
}
