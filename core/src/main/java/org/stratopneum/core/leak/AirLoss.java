package org.stratopneum.core.leak;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * What the readings of a wheel say of the air that it loses: how fast, whether it loses more than before, whether it went
 * flat, whether air went at once, and whether somebody pumped without noting it. All of it follows from the readings since
 * the tire was fitted or last mended (docs/handbook, page 6). It leaves out what its filter and its test leave out, the
 * first hours after pumping, while the air cools, and that rubber lets through more when it is warm.
 */
public final class AirLoss {

    /** Older readings, and more of them, are left out (days, our judgement). */
    private static final Duration LONGEST = Duration.ofDays(120);

    private static final int MOST_ROWS = 120;

    /** No more than this is flat (kPa gauge; our judgement). */
    public static final double FLAT_KPA = 5;

    /** Where older readings were left out, only the last days' are judged: one look a day is all the budget knows of. */
    private static final Duration JUDGED = Duration.ofDays(30);

    /** How doubtful the usual rate is before any reading, where it is to be a normal number (1/day). */
    private static final double USUAL_SIGMA = 0.010;

    /** Sooner than this it went flat at once, later nobody knows when. */
    private static final Duration SUDDEN = Duration.ofHours(12);

    /** So likely a leak, it is due (ratio); with two data, or one that lost much. */
    private static final double SURELY_LEAKS = 0.95;

    private static final int TWO = 2;

    /** Within these days another reading is to tell (days). */
    private static final int AGAIN_DAYS = 60;

    private static final double MILLIS_PER_DAY = Duration.ofDays(1).toMillis();

    /** What the rider is told. */
    public enum Alarm {
        NONE,
        /** It may lose more than before: another reading would tell. */
        READ_ONCE_MORE,
        /** It loses more than before, which is still normal. */
        NOTE,
        /** Look for the leak. */
        DUE,
        /** It went flat at once. */
        SUDDEN
    }

    private final LeakBands bands;
    private final GaugeNoise gauge;
    private final LossSums prior;
    private final LossFilter filter;
    private final RiseTest test;
    private final List<Row> rows = new ArrayList<>();
    private final List<UnloggedPumping> unlogged = new ArrayList<>();
    private final List<GoneAtOnce> gone = new ArrayList<>();

    private double lastFall;
    private double usual;
    private SuddenLoss sudden;
    private FoundFlat foundFlat;
    private RiseTest.Verdict told;
    private int toldAt;
    private Instant firstSince;
    private boolean riseIsDue;
    private Instant due;
    private Instant dueTold;
    private RiseTest.Verdict verdict;
    private LossFilter present;
    private LossRate rate;

    /** A reading with air, as it was taken. */
    private record Row(LeakReading reading, double kpa, boolean begins, LossFilter.Kind kind) {}

    private AirLoss(LeakBands bands, GaugeNoise gauge) {
        this.bands = bands;
        this.gauge = gauge;
        this.prior = LossSums.before(LossRate.USUAL * bands.scale(), USUAL_SIGMA * bands.scale());
        this.filter = new LossFilter(prior, gauge, true);
        this.test = new RiseTest(bands.scale());
    }

    /**
     * @param turns readings and inflations since the tire was fitted or last mended, oldest first
     * @param bands what a loss is called on this wheel
     * @param gauge what other wheels tell of the gauge
     * @param heightM where they were read (m)
     */
    public static AirLoss of(List<Turn> turns, LeakBands bands, GaugeNoise gauge, double heightM) {
        AirLoss loss = new AirLoss(bands, gauge);
        LeakReading before = null;
        List<Turn> latest = latest(turns);
        Instant judged = latest.size() == turns.size()
                ? Instant.MIN
                : latest.get(latest.size() - 1).reading().at().minus(JUDGED);
        double[] held = latest.stream()
                .mapToDouble(turn -> turn.reading().at20(heightM).kpa())
                .toArray();
        Set<Integer> gone = GoneAtOnce.in(latest, held);
        for (int i = 0; i < latest.size(); i++) {
            Turn turn = latest.get(i);
            LeakReading reading = turn.reading();
            double kpa = held[i];
            if (turn.afterInflation()) {
                before = null;
                loss.sudden = null;
                loss.foundFlat = null;
            }
            if (before != null && gone.contains(i)) {
                loss.gone.add(new GoneAtOnce(before, reading));
                before = null;
            }
            if (kpa > FLAT_KPA) {
                loss.read(reading, kpa, before, !reading.at().isBefore(judged));
                before = reading;
            } else if (before != null) {
                loss.foundFlat(before, reading);
                before = null;
            }
        }
        loss.conclude();
        return loss;
    }

    private static List<Turn> latest(List<Turn> turns) {
        if (turns.isEmpty()) {
            return turns;
        }
        Instant first = turns.get(turns.size() - 1).reading().at().minus(LONGEST);
        return turns.subList(Math.max(0, turns.size() - MOST_ROWS), turns.size()).stream()
                .filter(turn -> !turn.reading().at().isBefore(first))
                .toList();
    }

    private void read(LeakReading reading, double kpa, LeakReading before, boolean judged) {
        boolean begins = before == null;
        usual = filter.sums().rate();
        LossFilter.Step step = filter.read(reading, kpa, begins, null);
        rows.add(new Row(reading, kpa, begins, step.kind()));
        switch (step.kind()) {
            case PUMPED -> unlogged.add(new UnloggedPumping(before, reading));
            case SEALED -> {
                unlogged.add(new UnloggedPumping(before, reading));
                test.clear();
                told = null;
                due = null;
                dueTold = null;
            }
            case SUDDEN -> {
                sudden = new SuddenLoss(before, reading);
                due(reading.at(), reading.at());
            }
            case BEGINS -> {}
            case DATUM -> lastFall = step.fall();
        }
        test.follow(reading.at(), rows.size() - 1, step);
        if (judged && step.kind() == LossFilter.Kind.DATUM) {
            judge(reading.at());
        }
    }

    private void foundFlat(LeakReading before, LeakReading after) {
        if (Duration.between(before.at(), after.at()).compareTo(SUDDEN) < 0) {
            sudden = new SuddenLoss(before, after);
            due(after.at(), after.at());
            return;
        }
        double days = after.daysSince(before);
        double atLeast = Math.log(rows.get(rows.size() - 1).kpa / FLAT_KPA) / days;
        foundFlat = new FoundFlat(before, after, atLeast, bands.named(-Math.expm1(-atLeast)));
        if (foundFlat.named() == LeakClass.LEAK || foundFlat.named() == LeakClass.FAST) {
            due(after.at(), after.at());
        }
    }

    /** Whether this reading makes something due; what is, stays so. */
    private void judge(Instant now) {
        if (test.mayBeTold(filter.sums(), gauge)) {
            test.verdict(filter.sums(), gauge, lastFall)
                    .filter(RiseTest.Verdict::told)
                    .ifPresent(found -> {
                        if (found.row() >= toldAt) {
                            toldAt = rows.size() - 1;
                            firstSince = found.since();
                            riseIsDue = false;
                        }
                        told = found;
                    });
        }
        if (told != null && !riseIsDue && presentRate(told).named() != LeakClass.NORMAL) {
            riseIsDue = true;
            if (due == null || firstSince.isAfter(due)) {
                due(firstSince, now);
            }
        }
        if (due == null && surelyLeaks()) {
            due(now, now);
        }
    }

    private void due(Instant since, Instant toldBy) {
        due = since;
        dueTold = toldBy;
    }

    private boolean surelyLeaks() {
        LossSums data = filter.data();
        boolean enough = data.count() >= TWO || lastFall > RiseTest.MUCH;
        // where the best fit is no more than half of that, there is no need to ask
        return enough && data.rate() > bands.leak() / 2 && rateOf(filter, data).leaks() >= SURELY_LEAKS;
    }

    private LossRate rateOf(LossFilter pace, LossSums data) {
        int earlier = filter.data().count() - data.count();
        double degrees = gauge.degrees() + earlier;
        double square = (gauge.sum() + earlier * filter.noise().square()) / degrees;
        return new LossRate(pace.data(), new GaugeNoise(degrees, square), bands);
    }

    private LossRate presentRate(RiseTest.Verdict change) {
        LossFilter since = since(change);
        return rateOf(since, since.data());
    }

    /** The filter as it stands with what was read since a change alone. */
    private LossFilter since(RiseTest.Verdict change) {
        LossFilter since = new LossFilter(prior, gauge, false);
        rows.subList(change.row(), rows.size())
                .forEach(row -> since.read(row.reading, row.kpa, row.begins, row.begins ? null : row.kind));
        return since;
    }

    private void conclude() {
        if (rows.isEmpty()) {
            return;
        }
        verdict = test.verdict(filter.sums(), gauge, lastFall).orElse(null);
        boolean rises = verdict != null && verdict.told();
        present = rises ? since(verdict) : filter;
        if (present.data().count() > 0 && sudden == null && foundFlat == null) {
            rate = rateOf(present, present.data());
        }
    }

    /** How fast it loses air now; empty while no two readings tell, and where it went flat. */
    public Optional<LossRate> rate() {
        return Optional.ofNullable(rate);
    }

    /** The same as a number with its doubt. */
    public Optional<LossPace> pace() {
        return rate().map(LossRate::pace);
    }

    /** What a loss is called on this wheel. */
    public LeakBands bands() {
        return bands;
    }

    /** By the rate, or by how it went flat. */
    public LeakClass named() {
        if (sudden != null) {
            return LeakClass.FAST;
        }
        return foundFlat != null ? foundFlat.named() : rate == null ? LeakClass.UNSURE : rate.named();
    }

    /** That it loses more than before; also where that is long known. */
    public Optional<PaceRise> rise() {
        return Optional.ofNullable(told)
                .map(found ->
                        PaceRise.of(found, rows.get(found.row() + 1).reading.at()));
    }

    /** How it went flat at once since the last inflation. */
    public Optional<SuddenLoss> sudden() {
        return Optional.ofNullable(sudden);
    }

    /** How it was found flat since the last inflation. */
    public Optional<FoundFlat> foundFlat() {
        return Optional.ofNullable(foundFlat);
    }

    /** Where somebody must have pumped without noting it, oldest first. */
    public List<UnloggedPumping> unlogged() {
        return List.copyOf(unlogged);
    }

    /** Where air went at once and not at a pace, oldest first. */
    public List<GoneAtOnce> goneAtOnce() {
        return List.copyOf(gone);
    }

    /** Since when the leak is to be looked for: once told it stays so until it is mended. */
    public Optional<Instant> dueSince() {
        return Optional.ofNullable(due);
    }

    /** The reading that told it; null where nothing is due. */
    public Instant dueTold() {
        return dueTold;
    }

    /** What the test for a rise says of all that was read; null where nothing speaks for one. */
    RiseTest.Verdict verdict() {
        return verdict;
    }

    /** What the rider is told. */
    public Alarm alarm() {
        if (sudden != null) {
            return Alarm.SUDDEN;
        }
        if (due != null) {
            return Alarm.DUE;
        }
        if (told != null) {
            return Alarm.NOTE;
        }
        return verdict != null && verdict.onceMore() ? Alarm.READ_ONCE_MORE : Alarm.NONE;
    }

    /** What the gauge showed of itself here. */
    public GaugeNoise noise() {
        return filter.noise();
    }

    /**
     * What was lost between two readings.
     *
     * @param lost share of the gauge pressure (ratio), {@code usual} what was to be expected before that
     */
    public record LastFall(LeakReading before, LeakReading after, double lost, double usual) {}

    /** Between the last two readings with air; empty where it was pumped between. */
    public Optional<LastFall> lastFall() {
        int last = rows.size() - 1;
        if (last < 1 || rows.get(last).begins) {
            return Optional.empty();
        }
        Row before = rows.get(last - 1);
        Row after = rows.get(last);
        double days = after.reading.daysSince(before.reading);
        return Optional.of(new LastFall(
                before.reading, after.reading, 1 - after.kpa / before.kpa, -Math.expm1(-Math.max(0, usual) * days)));
    }

    /** When one more reading would name a class if all goes on alike; empty where one is named, or sixty days would not do. */
    public Optional<Instant> readAgain() {
        if (rate == null || rate.named() != LeakClass.UNSURE) {
            return Optional.empty();
        }
        Instant last = rows.get(rows.size() - 1).reading.at();
        for (int days = 1; days <= AGAIN_DAYS; days++) {
            LossSums then = present.withOneMore(days, rate.perDay());
            if (new LossRate(then, gauge, bands).named() != LeakClass.UNSURE) {
                return Optional.of(last.plus(Duration.ofDays(days)));
            }
        }
        return Optional.empty();
    }

    /** What it holds now and later; empty without a reading, and where the last one found no air. */
    public Optional<PressureOutlook> outlook() {
        if (rows.isEmpty() || sudden != null || foundFlat != null) {
            return Optional.empty();
        }
        Row last = rows.get(rows.size() - 1);
        return Optional.of(new PressureOutlook(
                last.reading.at(),
                Math.log(last.kpa),
                present.level(),
                // nothing is nothing, on either side
                present.levelExposure() + 0.0,
                present.levelVariance(),
                pace().orElse(null)));
    }

    /**
     * A stretch without pumping as it was fitted, all of it at one rate.
     *
     * @param logStart logarithm of the pressure at {@code start} and 20 C (kPa)
     * @param perDay rate (1/day)
     */
    public record Fit(Instant start, Instant end, double logStart, double perDay) {

        /** What was fitted there, at 20 C. */
        public GaugePressure at(Instant moment) {
            return GaugePressure.kpa(
                    Math.exp(logStart - perDay * Duration.between(start, moment).toMillis() / MILLIS_PER_DAY));
        }
    }

    /** Stretches without pumping, oldest first; empty while nothing tells a rate. */
    public List<Fit> fits() {
        List<Fit> fits = new ArrayList<>();
        if (rate == null) {
            return fits;
        }
        int change = present == filter ? 0 : verdict.row();
        int from = 0;
        for (int i = 1; i <= rows.size(); i++) {
            boolean ends = i == rows.size() || rows.get(i).kind != LossFilter.Kind.DATUM;
            if (ends || i == change) {
                double perDay = from < change ? Math.max(0, verdict.before()) : rate.perDay();
                int to = ends ? i : i + 1;
                if (to - from > 1) {
                    fits.add(fit(rows.subList(from, to), perDay));
                }
                from = i;
            }
        }
        return fits;
    }

    private static Fit fit(List<Row> span, double perDay) {
        Instant start = span.get(0).reading.at();
        double weights = 0;
        double logs = 0;
        for (Row row : span) {
            double scatter = GaugeNoise.ofLog(row.kpa);
            double days = Duration.between(start, row.reading.at()).toMillis() / MILLIS_PER_DAY;
            weights += 1 / (scatter * scatter);
            logs += (Math.log(row.kpa) + perDay * days) / (scatter * scatter);
        }
        return new Fit(start, span.get(span.size() - 1).reading.at(), logs / weights, perDay);
    }
}
