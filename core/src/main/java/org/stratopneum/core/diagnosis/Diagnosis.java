package org.stratopneum.core.diagnosis;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;

/**
 * A search for a leak as far as it has come: what is known, what was seen, what cannot be checked here, and what was mended
 * without success. It leaves out that two causes may hold at once, but for the hold test after each mending.
 *
 * @param findings answers by the code of their check, in the order in which they were given
 * @param notPossible codes of checks that cannot be made here
 * @param failedFixes causes that were mended, and the wheel still lost air
 */
public record Diagnosis(
        LeakModel model,
        Set<Circumstance> known,
        Map<String, String> findings,
        Set<String> notPossible,
        List<Cause> failedFixes) {

    /** Every mending ends in a hold test and its walk to the shed (min; our judgement). */
    static final double AROUND_A_FIX = 25;

    /** What a failed hold test leaves of the cause that was mended (ratio; our judgement). */
    private static final double LEFT_AFTER_A_FIX = 0.08;

    /** Not worth a check (nat), and sure enough to be named (ratio). */
    private static final double LEAST_GAIN = 0.03;

    private static final double SURE = 0.85;

    /** @throws org.stratopneum.core.check.InvalidInputException when a check or an answer is not in the table */
    public Diagnosis {
        known = Set.copyOf(known);
        findings = new LinkedHashMap<>(findings);
        notPossible = Set.copyOf(notPossible);
        failedFixes = List.copyOf(failedFixes);
        Problems problems = new Problems();
        for (Map.Entry<String, String> finding : findings.entrySet()) {
            boolean there = model.checks().stream()
                    .anyMatch(check -> check.code().equals(finding.getKey())
                            && check.answers().contains(finding.getValue()));
            if (!there) {
                problems.add(Problem.of("findings." + finding.getKey(), "unknown-value"));
            }
        }
        for (Cause cause : failedFixes) {
            if (!model.causes().contains(cause)) {
                problems.add(Problem.of("failedFixes", "unknown-value"));
            }
        }
        problems.throwIfAny();
    }

    /** Nothing was looked at yet. */
    public static Diagnosis begun(LeakModel model, Set<Circumstance> known) {
        return new Diagnosis(model, known, Map.of(), Set.of(), List.of());
    }

    public Diagnosis found(String check, String answer) {
        Map<String, String> more = new LinkedHashMap<>(findings);
        more.put(check, answer);
        return new Diagnosis(model, known, more, notPossible, failedFixes);
    }

    public Diagnosis mendedInVain(Cause cause) {
        List<Cause> more = new ArrayList<>(failedFixes);
        more.add(cause);
        return new Diagnosis(model, known, findings, notPossible, more);
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
        for (Map.Entry<String, String> finding : findings.entrySet()) {
            belief = belief.after(model.check(finding.getKey()), finding.getValue());
        }
        for (Cause cause : failedFixes) {
            belief = belief.weighed(other -> other == cause ? LEFT_AFTER_A_FIX : 1);
        }
        return belief;
    }

    /** What can be checked: not yet, possible here, and not before a sign that points to it. */
    public List<Check> open() {
        return model.checks().stream()
                .filter(check -> !findings.containsKey(check.code()) && !notPossible.contains(check.code()))
                .filter(check ->
                        check.after().isEmpty() || check.after().stream().anyMatch(this::pointsThere))
                .toList();
    }

    private boolean pointsThere(String sign) {
        String[] words = sign.split(" ");
        return words.length == 1
                ? known.stream().anyMatch(circumstance -> circumstance.code().equals(words[0]))
                : words[1].equals(findings.get(words[0]));
    }

    public Next next(Mode mode) {
        return mode == Mode.MEND_SOON ? soonest() : surest();
    }

    private Next soonest() {
        Belief belief = belief();
        double mending = minutesOfMending(belief);
        Optional<Check> best = open().stream()
                .min(Comparator.comparingDouble(check -> minutesWith(check, belief)))
                .filter(check -> minutesWith(check, belief) < mending);
        return best.map(check -> new Next(check, null)).orElseGet(() -> new Next(null, worthMending(belief)));
    }

    private double minutesWith(Check check, Belief belief) {
        double minutes = check.cost();
        for (String answer : check.answers()) {
            double expected = belief.expects(check, answer);
            if (expected > 0) {
                minutes += expected * minutesOfMending(belief.after(check, answer));
            }
        }
        return minutes;
    }

    /** Expected minutes until it holds when causes are mended one after the other, by probability over cost. */
    double minutesOfMending(Belief belief) {
        double left = 1;
        double minutes = 0;
        for (int i : byWorth(belief)) {
            minutes += left * cost(i);
            left -= belief.at(i);
        }
        return minutes;
    }

    /** Numbers of the causes, by probability over cost, best first: few of them, and asked for often. */
    private int[] byWorth(Belief belief) {
        int[] order = new int[model.causes().size()];
        for (int i = 0; i < order.length; i++) {
            int place = i;
            while (place > 0 && worth(belief, order[place - 1]) < worth(belief, i)) {
                order[place] = order[place - 1];
                place--;
            }
            order[place] = i;
        }
        return order;
    }

    private double worth(Belief belief, int cause) {
        return belief.at(cause) / cost(cause);
    }

    private double cost(int cause) {
        return model.fixMinutesAt(cause) + AROUND_A_FIX;
    }

    /** The cause that is mended first. */
    Cause worthMending(Belief belief) {
        return belief.causes().get(byWorth(belief)[0]);
    }

    private Next surest() {
        Belief belief = belief();
        if (belief.ofAlike(belief.leading()) >= SURE) {
            return new Next(null, belief.leading());
        }
        return open().stream()
                .filter(check -> gain(check, belief) >= LEAST_GAIN)
                .max(Comparator.comparingDouble(check -> gain(check, belief) / check.cost()))
                .map(check -> new Next(check, null))
                .orElseGet(() -> new Next(null, belief.leading()));
    }

    /** What a check is expected to tell (nat). */
    double gain(Check check, Belief belief) {
        double gain = belief.doubt();
        for (String answer : check.answers()) {
            double expected = belief.expects(check, answer);
            if (expected > 0) {
                gain -= expected * belief.after(check, answer).doubt();
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
        findings.forEach(
                (check, answer) -> reasons.add(new Reason(Reason.Kind.SEEN, check, answer, speaksFor(cause, check))));
        if (failedFixes.contains(cause)) {
            reasons.add(new Reason(Reason.Kind.MENDED, cause.code(), null, LEFT_AFTER_A_FIX));
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
        return check.answers().stream()
                .map(answer -> {
                    Belief after = belief.after(check, answer);
                    Cause leading = after.leading();
                    return new Prospect(answer, belief.expects(check, answer), leading, after.of(leading));
                })
                .toList();
    }

    /** What making a check first saves until it holds, all in all (min). */
    public double saves(Check check) {
        Belief belief = belief();
        return minutesOfMending(belief) - minutesWith(check, belief);
    }

    /** Whether a cause can be named: it is as good as sure, together with those that look alike. */
    public boolean named() {
        Belief belief = belief();
        return belief.ofAlike(belief.leading()) >= SURE;
    }

    /** How a finding speaks: how many times likelier it is under {@code cause} than under all others together (ratio). */
    public double speaksFor(Cause cause, String check) {
        Check made = model.check(check);
        String answer = findings.get(check);
        Belief prior = model.prior(known);
        double others = 0;
        double weight = 0;
        for (Cause other : model.causes()) {
            if (other != cause) {
                others += prior.of(other) * made.likelihood(other, answer);
                weight += prior.of(other);
            }
        }
        return made.likelihood(cause, answer) / (others / weight);
    }
}
