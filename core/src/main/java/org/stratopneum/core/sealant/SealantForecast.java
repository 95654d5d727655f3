package org.stratopneum.core.sealant;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.function.IntToDoubleFunction;
import org.stratopneum.core.tire.LiquidPool;
import org.stratopneum.core.tire.TireSection;

/**
 * How much sealant is left in a tire, and when to look and when to refresh. Level, rate, and what may be wrong with the
 * stick are not known: they are followed together as a table of probabilities ({@link LevelGrid}) through all that
 * happened, and weighed by what was seen. Before each look a loss that nobody noted is thought possible. It leaves out
 * losses to come, what sticks to lumps, drying that slows with what is left, and top-ups that nobody noted.
 */
public final class SealantForecast {

    /** Whatever the liquid, age cures it: it is looked at by then (months; common practice). */
    public static final int LONGEST_MONTHS = 6;

    private static final double CHECK_AT = 0.1;
    private static final double REFRESH_AT = 0.5;
    private static final double LOW = 0.1;
    private static final double MIDDLE = 0.5;
    private static final double HIGH = 0.9;

    /** How soft the ends of what was heard are (ml), and how often ears are simply wrong (probability). */
    private static final double SOFT_ML = 8;

    private static final double WRONG = 0.05;

    /** An opened tire looks dry below this share of the working minimum, with so soft an end (ratio, ml). */
    private static final double LOOKS_DRY = 0.15;

    private static final double LOOK_SOFT_ML = 3;
    private static final double LOOK_WRONG = 0.001;

    /** What may have gone unseen before the first look after a filling, and before a later one (probabilities). */
    private static final double LOST_WHILE_FILLING = 0.25;

    private static final double LOST_BETWEEN = 0.02;

    /** And in the long run, while nobody looks (days). */
    private static final double LOST_DAYS = 600;

    /** A dip so soon after a filling tells how the stick reads (days). */
    private static final int LEARNS_FROM = 1;

    private static final int LEARNS_TO = 3;

    /** Of a found filling there may be none with so much more likelihood (ratio). */
    private static final double FOUND_EMPTY = 0.15;

    /** The tire; its pools' depths are worked out once, so one that is asked often is kept. */
    public static final class Tire {

        private final TireSection section;
        private final double thresholdMl;
        private final double medianRate;
        private final LiquidPool pool;
        private final LiquidPool.Depths depths;

        /**
         * @param section its shape on the rim
         * @param thresholdMl below this it is too little (ml)
         * @param medianRate median of the prior of k
         */
        public Tire(TireSection section, double thresholdMl, double medianRate) {
            this.section = section;
            this.thresholdMl = thresholdMl;
            this.medianRate = medianRate;
            this.pool = LiquidPool.in(section);
            this.depths = LiquidPool.tabled(section);
        }

        double innerSurfaceCm2() {
            return section.innerSurfaceCm2();
        }

        /** What dries at the median of k (ml per kPa day). */
        double medianPerKpaDay() {
            return medianRate * DryingRate.Q * innerSurfaceCm2();
        }

        private double workingMl() {
            return dose(DoseSchool.STANDARD).minimumMl();
        }

        private double generousMl() {
            return SealantDose.inTable(section, DoseSchool.GENEROUS);
        }

        private SealantDose dose(DoseSchool school) {
            return SealantDose.of(section, school, SealantDose.Extras.NONE);
        }
    }

    /** A distribution by its tenth, its middle and its nine tenths. */
    public record Spread(double p10, double p50, double p90) {}

    /**
     * The latest dip against what was believed before it.
     *
     * @param on the day
     * @param depthMm mean of that day's readings (mm)
     * @param expectedMl what was expected (ml), {@code dippedMl} what the stick says (ml)
     * @param chanceOfNoMore how likely it would have read no more than that (ratio)
     */
    public record LatestDip(
            LocalDate on, double depthMm, int readings, double expectedMl, double dippedMl, double chanceOfNoMore) {

        /** Rarer than this is worth a question (ratio). */
        private static final double RARE = 0.01;

        /** Less than drying explains. */
        public boolean isTooLow() {
            return chanceOfNoMore < RARE;
        }

        /** More than there can be. */
        public boolean isTooHigh() {
            return chanceOfNoMore > 1 - RARE;
        }

        /** Whether nothing was wet. */
        public boolean isDry() {
            return depthMm < DippingStick.WET_MM;
        }
    }

    private final Tire tire;
    private final DryingClimate climate;
    private final boolean stickLearnt;
    private final List<DippingStick> sticks;
    private LevelGrid grid;

    private LocalDate lastEvent;
    private LocalDate lastSeenOrFilled;
    private boolean seenSinceStart;
    private boolean seenSinceFilling;
    private boolean productKnown;
    private LocalDate startedOn;
    private LocalDate filledOn;
    private LocalDate renewedOn;
    private LatestDip latestDip;

    /** Deficit since the last filling, until the last event (kPa days). */
    private double dried;

    /** The same until the day that was asked for (kPa days). */
    private double driedByThen;

    private LocalDate asOf;

    /** What the table adds up to whatever the stick, once all was taken in. */
    private double[] weight;

    /** After which deficit from the last event on each cell becomes too little (kPa days), once that is asked for. */
    private WeightedCells crossings;

    private SealantForecast(Tire tire, DryingClimate climate, boolean stickLearnt) {
        this.tire = tire;
        this.climate = climate;
        this.stickLearnt = stickLearnt;
        this.sticks = DippingStick.all(tire.innerSurfaceCm2(), stickLearnt);
    }

    private SealantForecast(SealantForecast before) {
        tire = before.tire;
        climate = before.climate;
        stickLearnt = before.stickLearnt;
        sticks = before.sticks;
        grid = before.grid;
        lastEvent = before.lastEvent;
        lastSeenOrFilled = before.lastSeenOrFilled;
        seenSinceStart = before.seenSinceStart;
        seenSinceFilling = before.seenSinceFilling;
        productKnown = before.productKnown;
        startedOn = before.startedOn;
        filledOn = before.filledOn;
        renewedOn = before.renewedOn;
        latestDip = before.latestDip;
        dried = before.dried;
        weight = before.weight;
        crossings = before.crossings;
    }

    /**
     * @param events what happened and was seen, those of a day in the order in which they happened, the first of all a start;
     *     those after {@code asOf} do not count. Dips of a day with nothing else between are one dip.
     * @throws IllegalArgumentException when nothing was in it by then
     */
    public static SealantForecast of(Tire tire, DryingClimate climate, List<SealantEvent> events, LocalDate asOf) {
        List<SealantEvent> sorted = upTo(events, asOf);
        if (sorted.isEmpty() || !(sorted.get(0) instanceof SealantEvent.Start)) {
            throw new IllegalArgumentException(
                    "the first thing that happens to sealant is that it is filled in or found");
        }
        SealantForecast forecast = new SealantForecast(tire, climate, dippedRightAfterAFilling(sorted));
        forecast.lastEvent = sorted.get(0).on();
        forecast.takeAll(sorted);
        forecast.standUntil(asOf);
        return forecast;
    }

    /**
     * The forecast of a later day, or of the same: what it has in common with this one is not followed again.
     *
     * @param events those up to this one's day are the same as this one's, and came into it
     * @param asOf not before the day of this one
     */
    public SealantForecast later(List<SealantEvent> events, LocalDate asOf) {
        List<SealantEvent> sorted = upTo(events, asOf);
        if (dippedRightAfterAFilling(sorted) != stickLearnt) {
            return of(tire, climate, events, asOf);
        }
        SealantForecast later = new SealantForecast(this);
        List<SealantEvent> since =
                sorted.stream().filter(event -> event.on().isAfter(this.asOf)).toList();
        if (!since.isEmpty()) {
            later.grid = grid.copy();
            later.takeAll(since);
        }
        later.standUntil(asOf);
        return later;
    }

    private static List<SealantEvent> upTo(List<SealantEvent> events, LocalDate asOf) {
        return events.stream()
                .filter(event -> !event.on().isAfter(asOf))
                .sorted(Comparator.comparing(SealantEvent::on))
                .toList();
    }

    private void takeAll(List<SealantEvent> sorted) {
        List<List<SealantEvent>> groups = together(sorted);
        int latestDip = latestDip(groups);
        for (int i = 0; i < groups.size(); i++) {
            take(groups.get(i), i == latestDip);
        }
        weight = grid.summed();
        crossings = null;
    }

    private void standUntil(LocalDate until) {
        asOf = until;
        driedByThen = dried + deficit(lastEvent, until);
    }

    /** Whether the stick was held into a known filling. */
    private static boolean dippedRightAfterAFilling(List<SealantEvent> events) {
        LocalDate known = null;
        boolean dry = true;
        for (SealantEvent event : events) {
            if (event instanceof SealantEvent.Filled filled) {
                known = filled.renewed() || dry ? filled.on() : null;
                dry = false;
            } else if (event instanceof SealantEvent.Found) {
                dry = false;
            } else if (event instanceof SealantEvent.LookedDry) {
                dry = true;
            } else if (event instanceof SealantEvent.Dipped dipped) {
                dry = dipped.depthMm() < DippingStick.WET_MM;
                if (known != null && learnsStick(known, dipped.on())) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether a dip on that day would tell how the stick reads, after a filling into an empty tire. */
    public static boolean learnsStick(LocalDate filledOn, LocalDate on) {
        long days = ChronoUnit.DAYS.between(filledOn, on);
        return days >= LEARNS_FROM && days <= LEARNS_TO;
    }

    /** What was seen on one day is weighed together, as long as nothing happened between. */
    private static List<List<SealantEvent>> together(List<SealantEvent> sorted) {
        List<List<SealantEvent>> groups = new ArrayList<>();
        for (SealantEvent event : sorted) {
            List<SealantEvent> last = groups.isEmpty() ? null : groups.get(groups.size() - 1);
            boolean joins = last != null
                    && event instanceof SealantEvent.Seen
                    && last.get(0) instanceof SealantEvent.Seen
                    && last.get(0).on().equals(event.on());
            if (joins) {
                last.add(event);
            } else {
                groups.add(new ArrayList<>(List.of(event)));
            }
        }
        return groups;
    }

    private static int latestDip(List<List<SealantEvent>> groups) {
        int latest = -1;
        for (int i = 0; i < groups.size(); i++) {
            latest = groups.get(i).stream().anyMatch(SealantEvent.Dipped.class::isInstance) ? i : latest;
        }
        return latest;
    }

    private double deficit(LocalDate from, LocalDate to) {
        double deficit = 0;
        for (LocalDate at = from; at.isBefore(to); at = at.plusDays(1)) {
            deficit += climate.deficitKpa(at);
        }
        return deficit;
    }

    /** @param isLatestDip whether what was dipped here is held against what was believed before it */
    private void take(List<SealantEvent> together, boolean isLatestDip) {
        SealantEvent event = together.get(0);
        dried += deficit(lastEvent, event.on());
        lastEvent = event.on();
        if (event instanceof SealantEvent.Start start) {
            start(start);
        } else if (event instanceof SealantEvent.Loss loss) {
            grid.lose(loss.medianMl());
        } else {
            see(together, isLatestDip);
        }
    }

    private void start(SealantEvent.Start start) {
        if (start instanceof SealantEvent.Found found) {
            grid = LevelGrid.even(sticks, tire.medianPerKpaDay(), tire.generousMl(), FOUND_EMPTY);
            filledOn = found.filledAbout();
            renewedOn = found.filledAbout();
            productKnown = false;
        } else {
            fill((SealantEvent.Filled) start);
        }
        startedOn = start.on();
        lastSeenOrFilled = start.on();
        seenSinceFilling = start instanceof SealantEvent.Found;
        seenSinceStart = false;
        dried = 0;
    }

    private void fill(SealantEvent.Filled filled) {
        boolean first = grid == null;
        double before = first || filled.renewed() ? 0 : grid.mean(LevelGrid.OfVolumes.alike(ml -> ml), dried);
        if (first) {
            grid = LevelGrid.filled(sticks, tire.medianPerKpaDay(), filled.ml());
        } else if (filled.renewed()) {
            grid.renew(filled.ml());
        } else {
            grid.topUp(filled.ml(), dried);
        }
        if (!first && filled.ml() > 0 && (filled.anotherProduct() || !productKnown)) {
            grid.mix(filled.ml() / (filled.ml() + before));
        }
        productKnown = true;
        filledOn = filled.on();
        renewedOn = first || filled.renewed() ? filled.on() : renewedOn;
    }

    private void see(List<SealantEvent> seen, boolean isLatestDip) {
        List<SealantEvent.Dipped> dips = seen.stream()
                .filter(SealantEvent.Dipped.class::isInstance)
                .map(SealantEvent.Dipped.class::cast)
                .toList();
        DippingStick.Reading read = dips.isEmpty() ? null : new DippingStick.Reading(meanMm(dips), dips.size());
        if (read != null && isLatestDip) {
            latestDip = against(read);
        }
        mayHaveLost();
        if (read != null) {
            grid.weigh(read.likelihood(tire.depths), dried);
        }
        for (SealantEvent event : seen) {
            if (event instanceof SealantEvent.Heard heard) {
                grid.weigh(LevelGrid.OfVolumes.alike(heard(heard)), dried);
            } else if (event instanceof SealantEvent.LookedDry) {
                double dry = LOOKS_DRY * tire.workingMl();
                grid.weigh(
                        LevelGrid.OfVolumes.alike(
                                ml -> LOOK_WRONG + (1 - LOOK_WRONG) * NormalCurve.below((dry - ml) / LOOK_SOFT_ML)),
                        dried);
            }
        }
        seenSinceStart = true;
        seenSinceFilling = true;
        lastSeenOrFilled = lastEvent;
    }

    private static double meanMm(List<SealantEvent.Dipped> dips) {
        return dips.stream().mapToDouble(SealantEvent.Dipped::depthMm).average().orElseThrow();
    }

    private LatestDip against(DippingStick.Reading read) {
        weight = grid.summed();
        double expected = spread(cell -> grid.volume(cell, dried)).p50();
        double noMore = grid.mean(read.chanceOfNoMore(tire.depths), dried);
        double says =
                tire.pool.volumeMl(Math.min(read.meanMm(), tire.pool.depths().maximum()));
        return new LatestDip(lastEvent, read.meanMm(), read.count(), expected, says, noMore);
    }

    private static DoubleUnaryOperator heard(SealantEvent.Heard heard) {
        return ml -> WRONG + (1 - WRONG) * (below(heard.toMl(), ml) - below(heard.fromMl(), ml));
    }

    /** Soft, but for nothing at all: less than that there is not. */
    private static double below(double end, double ml) {
        return end <= 0 ? 0 : NormalCurve.below((end - ml) / SOFT_ML);
    }

    private void mayHaveLost() {
        long days = ChronoUnit.DAYS.between(lastSeenOrFilled, lastEvent);
        if (days > 0 || !seenSinceFilling) {
            double atOnce = seenSinceFilling ? LOST_BETWEEN : LOST_WHILE_FILLING;
            grid.mayHaveLost(1 - (1 - atOnce) * Math.exp(-days / LOST_DAYS), dried);
        }
    }

    /** What is in the tire on the day that was asked for (ml). */
    public Spread volumeMl() {
        return spread(cell -> grid.volume(cell, driedByThen));
    }

    /**
     * What will be in the tire if nothing happens until then (ml).
     *
     * @param on not before the day that was asked for
     */
    public Spread volumeMl(LocalDate on) {
        double then = driedByThen + deficit(asOf, on);
        return spread(cell -> grid.volume(cell, then));
    }

    /** The rate factor of this tire, as far as it is known. */
    public Spread rateFactor() {
        return spread(cell -> grid.perKpaDay(cell) / (DryingRate.Q * tire.innerSurfaceCm2()));
    }

    /** By how much the stick seems to read high (mm). */
    public double stickBiasMm() {
        return grid.meanBiasMm();
    }

    /** The latest dip since the last filling, against what was believed before it. */
    public Optional<LatestDip> latestDip() {
        return Optional.ofNullable(latestDip).filter(dip -> !dip.on().isBefore(startedOn));
    }

    /** Whether nobody has looked yet at what the tire came with. */
    public boolean isUnknown() {
        return !productKnown && !seenSinceStart;
    }

    private Spread spread(IntToDoubleFunction value) {
        WeightedCells cells = new WeightedCells(weight, value);
        return new Spread(cells.quantile(LOW), cells.quantile(MIDDLE), cells.quantile(HIGH));
    }

    /** First day on which it is too little with a probability of a tenth; six months after it was filled in at the latest. */
    public LocalDate checkBy() {
        return tooLittleBy(CHECK_AT);
    }

    /** First day on which it is too little as likely as not; six months after it was filled in at the latest. */
    public LocalDate refreshBy() {
        return tooLittleBy(REFRESH_AT);
    }

    private WeightedCells crossings() {
        if (crossings == null) {
            crossings = new WeightedCells(weight, this::crossing);
        }
        return crossings;
    }

    /** Deficit from the last event on, after which it is too little in a cell; 0 where it is already (kPa days). */
    private double crossing(int cell) {
        return Math.max(0, (grid.level(cell) - tire.thresholdMl) / grid.perKpaDay(cell) - dried);
    }

    /** First day on which it is too little with a probability (ratio); six months after it was filled in at the latest. */
    public LocalDate tooLittleBy(double probability) {
        double deficit = crossings().quantile(probability);
        LocalDate latest = filledOn.plusMonths(LONGEST_MONTHS);
        LocalDate at = lastEvent;
        double sum = 0;
        while (sum < deficit && at.isBefore(latest)) {
            sum += climate.deficitKpa(at);
            at = at.plusDays(1);
        }
        return at.isAfter(latest) ? latest : at;
    }

    /**
     * How likely it is that it is too little on a day to come, or is already (ratio).
     *
     * @param on not before the day that was asked for
     */
    public double chanceTooLittle(LocalDate on) {
        return crossings().chanceUpTo(driedByThen - dried + deficit(asOf, on));
    }

    /** What dries between two days, while there is something to dry, by the middle of the rate (ml). */
    public double driesMl(LocalDate from, LocalDate to) {
        return rateFactor().p50() * DryingRate.Q * tire.innerSurfaceCm2() * deficit(from, to);
    }

    /** When the oldest of what is in there went in. */
    public LocalDate renewedOn() {
        return renewedOn;
    }

    /** When it was last filled in or topped up, or found. */
    public LocalDate startedOn() {
        return startedOn;
    }

    /** When it was last filled in or topped up; of what was found, when that may have been. */
    public LocalDate filledOn() {
        return filledOn;
    }
}
