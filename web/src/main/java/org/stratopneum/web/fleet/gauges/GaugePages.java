package org.stratopneum.web.fleet.gauges;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.DoubleStream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.drawing.ResidualDrawing;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Puts a gauge and what its pairs say into words. */
@Component
class GaugePages {

    /** Where it is said what the gauge shows: over the range of bicycle tires (psi). */
    private static final double[] ROUND_PSI = {15, 25, 40, 60, 90};

    private final Wording wording;

    GaugePages(Wording wording) {
        this.wording = wording;
    }

    FormView emptyPair() {
        return new FormView(Map.of(), Map.of());
    }

    GaugePage fresh(FormView form, String title) {
        return new GaugePage(
                null, title, form, 0, false, "ALONE", null, emptyPair(), "", "", List.of(), List.of(), List.of(), null);
    }

    GaugePage of(
            Gauge gauge,
            FormView form,
            FormView pairForm,
            List<Gauge> all,
            List<GaugeMapper.PairRow> rows,
            Rider rider) {
        Optional<Gauge> reference = all.stream().filter(Gauge::reference).findFirst();
        boolean compared =
                reference.filter(found -> !found.id().equals(gauge.id())).isPresent();
        List<GaugeMapper.PairRow> own =
                rows.stream().filter(pair -> pair.gaugeId().equals(gauge.id())).toList();
        List<GaugeMapper.PairRow> counting = compared ? Gauges.counting(gauge, reference.get(), own) : List.of();
        GaugeFit fit = compared ? Gauges.fit(gauge, reference.get(), own) : GaugeFit.NONE;
        return new GaugePage(
                gauge.id(),
                gauge.name(),
                form,
                gauge.version(),
                gauge.inHand(),
                gauge.reference() ? "REFERENCE" : compared ? "COMPARED" : "ALONE",
                reference.map(Gauge::name).orElse(null),
                pairForm,
                PressureText.name(gauge.unit()),
                reference.map(Gauge::unit).map(PressureText::name).orElse(""),
                counting.isEmpty() ? List.of() : said(fit, counting.size(), gauge.unit()),
                counting.isEmpty() || !fit.believable() ? List.of() : shows(fit, gauge.unit()),
                own.stream()
                        .map(pair -> pair(pair, counting, fit, gauge, rider))
                        .toList(),
                counting.size() < 2 ? null : drawing(counting, fit, gauge.unit()));
    }

    private List<String> said(GaugeFit fit, int pairs, PressureUnit unit) {
        List<String> said = new ArrayList<>();
        if (!fit.believable()) {
            said.add(wording.text("gauge.not-believable"));
            return said;
        }
        said.add(
                fit.sloped()
                        ? wording.text(
                                "gauge.sloped",
                                signed(unit.fromKpa(fit.offsetKpa()), unit),
                                Numbers.fixed(fit.slope(), 3),
                                pairs)
                        : wording.text("gauge.offset", signed(unit.fromKpa(fit.offsetKpa()), unit), pairs));
        said.add(
                fit.spreadKpa() == null
                        ? wording.text("gauge.spread.unknown")
                        : wording.text(
                                "gauge.spread", Numbers.upTo(unit.fromKpa(fit.spreadKpa()), 2) + " " + unit.symbol()));
        if (!fit.sloped()) {
            said.add(wording.text("gauge.more-pairs"));
        }
        return said;
    }

    private static String signed(double value, PressureUnit unit) {
        String size = Numbers.upTo(Math.abs(value), 2);
        String sign = size.equals("0") ? "" : value < 0 ? "-" : "+";
        return sign + size + " " + unit.symbol();
    }

    private static List<GaugePage.Shows> shows(GaugeFit fit, PressureUnit unit) {
        return DoubleStream.of(ROUND_PSI)
                .mapToObj(GaugePressure::psi)
                .map(pressure -> new GaugePage.Shows(
                        PressureText.both(pressure, unit), PressureText.text(fit.toShown(pressure), unit)))
                .toList();
    }

    private GaugePage.Pair pair(
            GaugeMapper.PairRow pair, List<GaugeMapper.PairRow> counting, GaugeFit fit, Gauge gauge, Rider rider) {
        int place = ids(counting).indexOf(pair.id());
        PressureUnit unit = gauge.unit();
        return new GaugePage.Pair(
                pair.id(),
                DateText.moment(pair.readAt(), rider.zoneId()),
                PressureText.text(GaugePressure.kpa(pair.shownKpa()), unit),
                PressureText.text(GaugePressure.kpa(pair.referenceKpa()), unit),
                place < 0 ? "" : signed(unit.fromKpa(fit.residualsKpa().get(place)), unit),
                pair.struck());
    }

    private static List<UUID> ids(List<GaugeMapper.PairRow> pairs) {
        return pairs.stream().map(GaugeMapper.PairRow::id).toList();
    }

    private static ResidualDrawing drawing(List<GaugeMapper.PairRow> pairs, GaugeFit fit, PressureUnit unit) {
        return ResidualDrawing.of(
                pairs.stream().map(pair -> unit.fromKpa(pair.shownKpa())).toList(),
                fit.residualsKpa().stream().map(unit::fromKpa).toList(),
                unit.resolution());
    }
}
