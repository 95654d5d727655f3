package org.stratopneum.core.diagnosis;

import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * The next step of who wants it to hold soon: what is expected to save most minutes, within rules of order that keep hands
 * clean, take a sign for what it is, and mend nothing on a hunch alone (starting values, common practice, no source).
 */
final class MendSoon {

    private static final String LOOK_OVER = "look-over";
    private static final String LOOK_RIM = "look-rim";
    private static final String VALVE_TIP = "soap-valve-tip";
    static final String TUBE_IN_WATER = "tube-in-water";

    /** So sure a sign makes it before it is mended (ratio): less for what is plugged in a minute. */
    private static final double SURE_OF_A_HOLE = 0.60;

    private static final double SURE_BY_A_SIGN = 0.75;

    /** Less sure than this, no cause is mended before one of its own checks (ratio). */
    private static final double SURE_UNSEEN = 0.90;

    /** What a messy or long check must save beside the best clean one (min). */
    private static final double WORTH_A_MESS = 8;

    /** A check that is done so soon comes before a night (min). */
    private static final double AT_ONCE = 1;

    /** So sure, a tube stays in, or the spot is looked for before it goes into water (ratio). */
    private static final double SURE_OF_A_TUBE = 0.70;

    private static final Set<Circumstance> RATES =
            Set.of(Circumstance.RATE_NORMAL, Circumstance.RATE_LEAK, Circumstance.RATE_FAST);

    private final Diagnosis diagnosis;
    private final Belief belief;
    private final List<Check> open;

    MendSoon(Diagnosis diagnosis) {
        this.diagnosis = diagnosis;
        this.belief = diagnosis.belief();
        this.open = diagnosis.open();
    }

    Diagnosis.Next next() {
        return diagnosis.model().system() == AirSystem.TUBE ? ofTube() : ofTubeless();
    }

    private Diagnosis.Next ofTube() {
        for (String first : List.of(VALVE_TIP, LOOK_OVER)) {
            boolean sure = belief.ofAlike(belief.leading()) >= SURE_OF_A_TUBE;
            Optional<Check> check = isOpen(first).filter(found -> !sure && !diagnosis.made(first));
            if (check.isPresent()) {
                return look(check.get());
            }
        }
        Optional<Check> water = isOpen(TUBE_IN_WATER);
        return water.isPresent() && belief.of(belief.leading()) < SURE_OF_A_TUBE
                ? look(water.get())
                : new Diagnosis.Next(null, diagnosis.mendingOrder(belief).first());
    }

    private Diagnosis.Next ofTubeless() {
        Optional<Check> over = isOpen(LOOK_OVER);
        if (over.isPresent()) {
            return look(over.get());
        }
        Optional<Check> quick = diagnosis.quickAtFirst().stream()
                .min(Comparator.comparingDouble(check -> diagnosis.minutesWith(check, belief)));
        if (quick.isPresent()) {
            return look(quick.get());
        }
        Optional<Cause> seen = bySign();
        if (seen.isPresent()) {
            return mend(seen.get());
        }
        MendingOrder mending = diagnosis.mendingOrder(belief);
        Optional<Check> worth = worthMaking(mending.minutes());
        if (worth.isPresent()) {
            return look(worth.get());
        }
        Optional<Check> own = ownCheckOf(mending.first());
        return own.isPresent() ? look(own.get()) : mend(mending.first());
    }

    /** The likeliest of the causes that something seen points at, where it is likely enough. */
    private Optional<Cause> bySign() {
        LeakStates states = belief.states();
        return diagnosis.signs().stream()
                .map(cause -> states.group(states.causes().indexOf(cause)))
                .distinct()
                .filter(group ->
                        belief.ofGroup(group) >= sureEnough(states.causes().get(states.members(group)[0])))
                .max(Comparator.comparingDouble(belief::ofGroup))
                .map(group -> states.causes().get(belief.likeliestOf(group)));
    }

    private static double sureEnough(Cause cause) {
        return cause.alike().contains(Cause.TREAD_HOLE) ? SURE_OF_A_HOLE : SURE_BY_A_SIGN;
    }

    /** @param mending what it takes without another look (min) */
    private Optional<Check> worthMaking(double mending) {
        Map<Check, Double> minutes = new HashMap<>();
        open.forEach(check -> minutes.put(check, diagnosis.minutesWith(check, belief)));
        Optional<Check> clean = best(minutes, Check::isClean).filter(check -> minutes.get(check) < mending);
        double limit = clean.map(check -> minutes.get(check) - WORTH_A_MESS).orElse(mending);
        Optional<Check> messy = best(minutes, check -> !check.isClean() && !check.overnight())
                .filter(check -> minutes.get(check) < limit);
        if (messy.isPresent() || clean.isPresent()) {
            return messy.or(() -> clean);
        }
        boolean wait = diagnosis.known().stream().noneMatch(RATES::contains)
                && open.stream().noneMatch(check -> check.minutes() <= AT_ONCE);
        return best(minutes, Check::overnight).filter(check -> wait && minutes.get(check) < mending);
    }

    private Optional<Check> best(Map<Check, Double> minutes, Predicate<Check> wanted) {
        return open.stream().filter(wanted).min(Comparator.comparingDouble(minutes::get));
    }

    /** What tells of a cause that is likely, and was not looked at yet. */
    private Optional<Check> ownCheckOf(Cause cause) {
        if (belief.ofAlike(cause) >= SURE_UNSEEN) {
            return Optional.empty();
        }
        List<String> own = diagnosis.model().ownChecks(cause);
        return own.stream().anyMatch(diagnosis::made) ? Optional.empty() : isOpen(own.get(0));
    }

    /** After a hit the rim is looked at before anything is mended: a crack is not to be ridden. */
    private Diagnosis.Next mend(Cause cause) {
        Optional<Check> rim = isOpen(LOOK_RIM).filter(check -> diagnosis.known().contains(Circumstance.HIT));
        return rim.map(MendSoon::look).orElseGet(() -> new Diagnosis.Next(null, cause));
    }

    private static Diagnosis.Next look(Check check) {
        return new Diagnosis.Next(check, null);
    }

    private Optional<Check> isOpen(String code) {
        return open.stream().filter(check -> check.code().equals(code)).findFirst();
    }
}
