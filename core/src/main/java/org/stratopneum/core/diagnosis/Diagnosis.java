package org.stratopneum.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;

/**
 * A search for a leak as far as it has come: what is known, what was done, and what cannot be checked here. Two causes may
 * hold at once, and some leaks never bubble. It leaves out that two causes may come of one mishap, and that bubbles of a
 * slow leak are small.
 *
 * @param steps in the order in which they were made
 * @param notPossible codes of checks that cannot be made here
 */
public record Diagnosis(LeakModel model, Set<Circumstance> known, List<Step> steps, Set<String> notPossible) {

    /** Every mending ends in a hold test and its walk to the shed (min; our judgement). */
    static final double AROUND_A_FIX = 25;

    /** Once the tube is out, mending it takes no more than this (min; our judgement). */
    private static final double TUBE_IS_OUT = 8;

    /** Not worth a check (nat), and sure enough to be named (ratio). */
    private static final double LEAST_GAIN = 0.03;

    private static final double SURE = 0.85;

    /** @throws org.stratopneum.core.check.InvalidInputException when a check, an answer or a cause is not in the table */
    public Diagnosis {
        known = Set.copyOf(known);
        steps = List.copyOf(steps);
        notPossible = Set.copyOf(notPossible);
        Problems problems = new Problems();
        for (Step step : steps) {
            if (step instanceof Step.Seen seen) {
                boolean there = model.checks().stream()
                        .anyMatch(check -> check.code().equals(seen.check())
                                && check.answers().contains(seen.answer()));
                if (!there) {
                    problems.add(Problem.of("findings." + seen.check(), "unknown-value"));
                }
            } else if (step instanceof Step.MendedInVain mended
                    && !model.causes().contains(mended.cause())) {
                problems.add(Problem.of("failedFixes", "unknown-value"));
            }
        }
        problems.throwIfAny();
    }

    /** Nothing was looked at yet. */
    public static Diagnosis begun(LeakModel model, Set<Circumstance> known) {
        return new Diagnosis(model, known, List.of(), Set.of());
    }

    public Diagnosis found(String check, String answer) {
        return with(new Step.Seen(check, answer));
    }

    public Diagnosis mendedInVain(Cause cause) {
        return with(new Step.MendedInVain(cause));
    }

    private Diagnosis with(Step step) {
        List<Step> more = new ArrayList<>(steps);
        more.add(step);
        return new Diagnosis(model, known, more, notPossible);
    }

    /** The last answers by the code of their check, in the order in which they were given. */
    public Map<String, String> findings() {
        Map<String, String> findings = new LinkedHashMap<>();
        for (Step step : steps) {
            if (step instanceof Step.Seen seen) {
                findings.put(seen.check(), seen.answer());
            }
        }
        return findings;
    }

    /** Causes that were mended, and the wheel still lost air. */
    public List<Cause> failedFixes() {
        return steps.stream()
                .filter(Step.MendedInVain.class::isInstance)
                .map(step -> ((Step.MendedInVain) step).cause())
                .toList();
    }

    /** How to go on. */
    public enum Mode {
        /** A repair followed by a hold test is itself a test: least minutes until it holds. */
        MEND_SOON,
        /** Most is learned for each minute, until one cause can be named. */
        NAME_IT
    }

    /**
     * What is next: one of them, or neither once it can be named.
     *
     * @param check worth making next, or null
     * @param mend cause worth mending now, or null
     */
    public record Next(Check check, Cause mend) {}

    public Belief belief() {
        Belief belief = model.prior(known);
        for (Step step : steps) {
            if (step instanceof Step.Seen seen) {
                int check = model.number(seen.check());
                belief = belief.after(check, answer(check, seen.answer()));
            } else if (step instanceof Step.MendedInVain mended) {
                belief = belief.afterMendInVain(mended.cause());
            }
        }
        return belief;
    }

    private int answer(int check, String answer) {
        return model.checks().get(check).answers().indexOf(answer);
    }

    /** What can be checked: not yet, or again after a mending in vain; possible here; not before a sign that points to it. */
    public List<Check> open() {
        return model.checks().stream()
                .filter(check -> !notPossible.contains(check.code()))
                .filter(check -> !made(check.code()) || check.kind().repeated() && !madeSinceMending(check.code()))
                .filter(check ->
                        check.after().isEmpty() || check.after().stream().anyMatch(this::pointsThere))
                .toList();
    }

    boolean made(String check) {
        return steps.stream().anyMatch(step -> isOf(step, check));
    }

    private static boolean isOf(Step step, String check) {
        return step instanceof Step.Seen seen && seen.check().equals(check);
    }

    private boolean madeSinceMending(String check) {
        return steps.subList(sinceMending(), steps.size()).stream().anyMatch(step -> isOf(step, check));
    }

    /** Number of the first step after the last mending. */
    private int sinceMending() {
        int since = 0;
        for (int i = 0; i < steps.size(); i++) {
            since = steps.get(i) instanceof Step.MendedInVain ? i + 1 : since;
        }
        return since;
    }

    private boolean pointsThere(String sign) {
        String[] words = sign.split(" ");
        return words.length == 1
                ? known.stream().anyMatch(circumstance -> circumstance.code().equals(words[0]))
                : words[1].equals(findings().get(words[0]));
    }

    /** Causes that something seen points at: what may be looked at again counts only since the last mending. */
    List<Cause> signs() {
        int since = sinceMending();
        List<Cause> signs = new ArrayList<>();
        for (int i = 0; i < steps.size(); i++) {
            if (steps.get(i) instanceof Step.Seen seen
                    && (i >= since || !model.check(seen.check()).kind().repeated())) {
                model.sign(seen.check(), seen.answer()).ifPresent(signs::add);
            }
        }
        return signs;
    }

    public Next next(Mode mode) {
        return mode == Mode.MEND_SOON ? new MendSoon(this).next() : surest();
    }

    /** Expected minutes until it holds, with a check made first. */
    double minutesWith(Check check, Belief belief) {
        int number = model.number(check.code());
        double minutes = check.cost();
        for (int answer = 0; answer < check.answers().size(); answer++) {
            double expected = belief.expects(number, answer);
            if (expected > 0) {
                minutes += expected * mendingOrder(belief.after(number, answer)).minutes();
            }
        }
        return minutes;
    }

    /** Mending without another look. */
    MendingOrder mendingOrder(Belief belief) {
        boolean out = made(MendSoon.TUBE_IN_WATER);
        return MendingOrder.of(
                belief,
                cause -> AROUND_A_FIX + Math.min(model.fixMinutesAt(cause), out ? TUBE_IS_OUT : Double.MAX_VALUE));
    }

    private Next surest() {
        Belief belief = belief();
        if (belief.ofAlike(belief.leading()) >= SURE) {
            return new Next(null, belief.leading());
        }
        List<Check> quick = quickAtFirst();
        return (quick.isEmpty() ? open() : quick)
                .stream()
                        .filter(check -> gain(check, belief) >= (quick.isEmpty() ? LEAST_GAIN : 0))
                        .max(Comparator.comparingDouble(check -> gain(check, belief) / check.cost()))
                        .map(check -> new Next(check, null))
                        .orElseGet(() -> new Next(null, belief.leading()));
    }

    /** The looks of a minute that are left while nothing was done yet: one of them comes before any tub and any night. */
    List<Check> quickAtFirst() {
        return steps.isEmpty() ? open().stream().filter(Check::isQuick).toList() : List.of();
    }

    /** What a check is expected to tell (nat). */
    double gain(Check check, Belief belief) {
        int number = model.number(check.code());
        double gain = belief.doubt();
        for (int answer = 0; answer < check.answers().size(); answer++) {
            double expected = belief.expects(number, answer);
            if (expected > 0) {
                gain -= expected * belief.after(number, answer).doubt();
            }
        }
        return gain;
    }

    /** From so much on a reason is worth telling, and down to its inverse (ratio; our judgement). */
    private static final double WORTH_TELLING = 1.3;

    /** What moves a cause, the strongest first. */
    public List<Reason> reasons(Cause cause) {
        List<Reason> reasons = new ArrayList<>();
        for (Circumstance circumstance : known) {
            reasons.add(
                    new Reason(Reason.Kind.KNOWN, circumstance.code(), null, model.times(circumstance, cause, known)));
        }
        findings()
                .forEach((check, answer) ->
                        reasons.add(new Reason(Reason.Kind.SEEN, check, answer, speaksFor(cause, check))));
        if (failedFixes().contains(cause)) {
            reasons.add(new Reason(Reason.Kind.MENDED, cause.code(), null, LeakStates.LEFT_AFTER_A_FIX));
        }
        return reasons.stream()
                .filter(reason -> strength(reason) >= Math.log(WORTH_TELLING))
                .sorted(Comparator.comparingDouble(Diagnosis::strength).reversed())
                .toList();
    }

    private static double strength(Reason reason) {
        return Math.abs(Math.log(reason.times()));
    }

    /**
     * What an answer would mean.
     *
     * @param expected how likely it is (ratio)
     * @param leading the cause that would lead then, {@code likely} how likely it would be (ratio)
     */
    public record Prospect(String answer, double expected, Cause leading, double likely) {}

    /** What each answer to a check would mean. */
    public List<Prospect> prospects(Check check) {
        Belief belief = belief();
        int number = model.number(check.code());
        List<Prospect> prospects = new ArrayList<>();
        for (int answer = 0; answer < check.answers().size(); answer++) {
            Belief after = belief.after(number, answer);
            Cause leading = after.leading();
            prospects.add(new Prospect(
                    check.answers().get(answer), belief.expects(number, answer), leading, after.of(leading)));
        }
        return prospects;
    }

    /** Expected minutes from here until it holds, with a check made first, or mending at once where {@code next} is null. */
    public double minutesLeft(Check next) {
        Belief belief = belief();
        return next == null ? mendingOrder(belief).minutes() : minutesWith(next, belief);
    }

    /** What making a check first saves until it holds, all in all (min). */
    public double saves(Check check) {
        Belief belief = belief();
        return mendingOrder(belief).minutes() - minutesWith(check, belief);
    }

    /** Whether a cause can be named: it is as good as sure, together with those that look alike. */
    public boolean named() {
        Belief belief = belief();
        return belief.ofAlike(belief.leading()) >= SURE;
    }

    /** How a finding speaks: how many times likelier it is under {@code cause} than under all others together (ratio). */
    public double speaksFor(Cause cause, String check) {
        Check made = model.check(check);
        String answer = findings().get(check);
        Map<Cause, Double> prior = model.shares(known);
        double others = 0;
        double weight = 0;
        for (Cause other : model.causes()) {
            if (other != cause) {
                others += prior.get(other) * made.likelihood(other, answer);
                weight += prior.get(other);
            }
        }
        return made.likelihood(cause, answer) / (others / weight);
    }
}
