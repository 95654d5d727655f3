package org.stratopneum.web.history;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;
import org.stratopneum.core.history.EventRate;
import org.stratopneum.core.history.SealantUse;
import org.stratopneum.core.history.TreadWear;
import org.stratopneum.core.history.WindowDays;
import org.stratopneum.core.quantity.QuantityUnit;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Says in words what a life comes to. */
@Component
class HistoryWording {

    private static final double KM_IN_1000 = 1000;
    private static final int CHANCES = 100;

    /** Farther than anybody rides a bicycle tire: no day is told (days). */
    private static final double TOO_FAR_DAYS = 3650;

    private final Wording wording;

    HistoryWording(Wording wording) {
        this.wording = wording;
    }

    List<HistoryPage.Figure> figures(HistoryFigures life, Rider rider) {
        List<HistoryPage.Figure> figures = new ArrayList<>();
        figures.add(figure("days", wording.text("life.days.value", Math.round(life.days())), ""));
        figures.add(ridden(life, rider));
        figures.add(punctures(life, rider));
        figures.add(sealant(life, rider));
        figures.add(refills(life));
        figures.add(cost(life, rider));
        return figures;
    }

    private HistoryPage.Figure figure(String key, String value, String doubt) {
        return new HistoryPage.Figure(wording.text("life." + key), value, doubt);
    }

    private HistoryPage.Figure ridden(HistoryFigures life, Rider rider) {
        String value = life.rides() == 0
                ? wording.text("life.ridden.none")
                : wording.text("life.ridden.value", distance(life.km(), rider), life.rides());
        String doubt = life.ridesOfUnknownLength() == 0
                ? ""
                : wording.text("life.ridden.unknown", life.ridesOfUnknownLength());
        return figure("ridden", value, doubt);
    }

    private HistoryPage.Figure punctures(HistoryFigures life, Rider rider) {
        String name = wording.text("life.punctures", unit(rider));
        if (life.punctures().isEmpty()) {
            return new HistoryPage.Figure(
                    name, wording.text("life.punctures.count", life.holes()), wording.text("life.punctures.unridden"));
        }
        EventRate rate = life.punctures().get();
        double each = kmInOne(rider);
        return new HistoryPage.Figure(
                name,
                wording.text("life.punctures.value", Numbers.upTo(rate.rate() * each, 1), life.holes()),
                wording.text("life.between", Numbers.upTo(rate.low() * each, 1), Numbers.upTo(rate.high() * each, 1)));
    }

    private HistoryPage.Figure sealant(HistoryFigures life, Rider rider) {
        if (life.sealant().isEmpty()) {
            return figure("sealant", wording.text("life.sealant.none"), "");
        }
        SealantUse use = life.sealant().get();
        String all =
                wording.text("life.sealant.all", QuantityText.text(use.totalMl(), rider.volumeUnit()), use.fillings());
        return use.mlAMonth() == null
                ? figure("sealant", all, wording.text("life.sealant.one"))
                : figure(
                        "sealant",
                        wording.text("life.sealant.value", QuantityText.text(use.mlAMonth(), rider.volumeUnit())),
                        all);
    }

    private HistoryPage.Figure refills(HistoryFigures life) {
        Optional<SealantUse> use = life.sealant().filter(found -> found.monthsBetween() != null);
        return use.isEmpty()
                ? figure("refills", wording.text("life.refills.none"), "")
                : figure(
                        "refills",
                        wording.text(
                                "life.refills.value", Numbers.fixed(use.get().monthsBetween(), 1)),
                        use.get().gaps() == 1
                                ? wording.text("life.refills.once")
                                : wording.text(
                                        "life.refills.ends",
                                        Numbers.fixed(use.get().shortest(), 1),
                                        Numbers.fixed(use.get().longest(), 1),
                                        use.get().gaps()));
    }

    private HistoryPage.Figure cost(HistoryFigures life, Rider rider) {
        HistoryFigures.Cost cost = life.cost();
        String name = wording.text("life.cost", rider.units().distance().symbol());
        List<String> doubts = new ArrayList<>();
        if (cost.tires() != null) {
            doubts.add(wording.text("life.cost.tires", money(cost.tires())));
        }
        if (cost.sealant() != null) {
            doubts.add(wording.text("life.cost.sealant", money(cost.sealant())));
        }
        if (cost.tireUnpriced()) {
            doubts.add(wording.text("life.cost.tire-unpriced"));
        }
        if (cost.sealantUnpriced()) {
            doubts.add(wording.text("life.cost.sealant-unpriced"));
        }
        String value = cost.sum().isEmpty() || life.km() == 0
                ? wording.text("life.cost.none")
                : Numbers.fixed(cost.sum().get() / rider.units().distance().fromCore(life.km()), 3);
        return new HistoryPage.Figure(name, value, String.join("; ", doubts));
    }

    private static String money(double sum) {
        return Numbers.fixed(sum, 2);
    }

    /** For how long the tire that is on stood inside the window of today. */
    HistoryPage.Figure inside(WindowDays days, String window) {
        if (days.known() < 1) {
            return figure("inside", wording.text("life.inside.unknown"), wording.text("life.inside.how", window));
        }
        return figure(
                "inside",
                wording.text("life.inside.value", Math.round(days.inside()), Math.round(days.known())),
                wording.text(
                                "life.inside.rest",
                                Math.round(days.below()),
                                Math.round(days.above()),
                                Math.round(days.reckoned()),
                                Math.round(days.unknown()))
                        + " " + wording.text("life.inside.how", window));
    }

    /** How a tread goes down at one place, in a few sentences. */
    List<String> wear(String place, TreadWear wear, double wornAtMm, Double kmADay, Rider rider, Instant now) {
        List<String> lines = new ArrayList<>();
        QuantityUnit length = rider.lengthUnit();
        double each = kmInOne(rider);
        lines.add(wording.text(
                "life.wear.rate",
                wording.text(place),
                QuantityText.text(Math.max(0, wear.lostMm()) * each, length),
                unit(rider),
                QuantityText.number(Math.max(0, wear.lostLowMm()) * each, length),
                QuantityText.number(wear.lostHighMm() * each, length),
                QuantityText.text(wear.depthMm(), length),
                wear.count()));
        String worn = QuantityText.text(wornAtMm, length);
        if (wear.surelyWorn() || wear.left() != null && wear.left() <= 0) {
            lines.add(wording.text(wear.surelyWorn() ? "life.wear.worn" : "life.wear.likely-worn", worn));
        } else if (wear.left() == null || wear.leftHigh() == null) {
            lines.add(
                    wear.leftLow() == null || wear.leftLow() <= 0
                            ? wording.text("life.wear.not-known", worn)
                            : wording.text("life.wear.at-least", worn, distance(wear.leftLow() * KM_IN_1000, rider)));
        } else {
            lines.add(wording.text(
                    "life.wear.left",
                    worn,
                    distance(wear.left() * KM_IN_1000, rider),
                    distance(Math.max(0, wear.leftLow()) * KM_IN_1000, rider),
                    distance(wear.leftHigh() * KM_IN_1000, rider)));
            day(wear, kmADay, rider, now).ifPresent(lines::add);
        }
        return lines;
    }

    private Optional<String> day(TreadWear wear, Double kmADay, Rider rider, Instant now) {
        if (kmADay == null || wear.leftHigh() * KM_IN_1000 / kmADay > TOO_FAR_DAYS) {
            return Optional.empty();
        }
        LocalDate today = LocalDate.ofInstant(now, rider.zoneId());
        return Optional.of(wording.text(
                "life.wear.day",
                month(today, wear.left(), kmADay),
                month(today, Math.max(0, wear.leftLow()), kmADay),
                month(today, wear.leftHigh(), kmADay)));
    }

    private static String month(LocalDate today, double left, double kmADay) {
        return DateText.as("MMMM yyyy", today.plusDays(Math.round(left * KM_IN_1000 / kmADay)));
    }

    /** Whether two tires puncture differently, or chance would do. */
    String compared(String one, EventRate first, String other, EventRate second) {
        double chance = first.chanceOfNoDifference(second);
        if (first.count() + second.count() == 0) {
            return wording.text("compare.none", one, other);
        }
        boolean more = first.rate() > second.rate();
        String often = more ? one : other;
        String seldom = more ? other : one;
        long of100 = Math.max(1, Math.round(chance * CHANCES));
        String key = chance < 0.05 ? "compare.differ" : chance < 0.2 ? "compare.may-differ" : "compare.chance";
        return wording.text(key, often, seldom, of100);
    }

    static String distance(double km, Rider rider) {
        RiderUnit unit = rider.units().distance();
        double shown = unit.fromCore(km);
        return (Math.abs(shown) < 10
                        ? Numbers.upTo(shown, 1)
                        : String.format(Region.current().locale(), "%,d", Math.round(shown)))
                + " " + unit.symbol();
    }

    /** "Skylark, rear · everyday wheels". */
    String place(FittedTires.Wheel wheel) {
        return wheel.bikeName() + ", " + wording.of("position", wheel.position()) + " · " + wheel.wheelsetName();
    }

    /** What was on, the latest first. */
    List<HistoryPage.Stay> stays(
            PartHistory life,
            Function<PartHistory.Stay, String> link,
            Function<PartHistory.Stay, String> name,
            Rider rider,
            Instant now) {
        List<HistoryPage.Stay> stays = new ArrayList<>();
        for (PartHistory.Stay stay : life.stays()) {
            double km = life.rides().stream()
                    .filter(ride -> ride.km() != null && stay.at(ride.at()))
                    .mapToDouble(PartHistory.Ride::km)
                    .sum();
            stays.add(new HistoryPage.Stay(
                    name.apply(stay),
                    link.apply(stay),
                    DateText.date(stay.from(), rider.zoneId()),
                    stay.until() == null ? wording.text("life.still") : DateText.date(stay.until(), rider.zoneId()),
                    String.valueOf(Math.round(stay.days(now))),
                    distance(km, rider)));
        }
        Collections.reverse(stays);
        return List.copyOf(stays);
    }

    private static String unit(Rider rider) {
        return rider.units().distance().symbol();
    }

    /** Kilometres in one of the rider's distances: what is told by 1000 km is told by 1000 of these. */
    private static double kmInOne(Rider rider) {
        return rider.units().distance().toCore(1);
    }
}
