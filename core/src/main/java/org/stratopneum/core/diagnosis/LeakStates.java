package org.stratopneum.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * What may be the matter with a wheel: one cause, or two that are not look-alikes, showing bubbles or silent. For each of
 * these the likelihood of every answer to every check. Tubes have one cause, and always bubble.
 */
final class LeakStates {

    /** Misread, misheard, mistyped: so much of each answer is chance (ratio). */
    private static final double CHANCE = 0.04;

    /** How often there is one cause, and how often it shows only when ridden, warm or at another pressure (ratios). */
    private static final double ONE = 0.85;

    private static final double SILENT = 0.05;

    /** No second cause. */
    private static final int NONE = -1;

    /** One of them, by numbers of causes. */
    private record State(int first, int second, boolean silent) {}

    private final List<Cause> causes;
    private final boolean tubeless;
    private final List<State> states = new ArrayList<>();

    /** By cause its group, by group its members: look-alikes that are first mended alike. */
    private final int[] groupOf;

    private final int[][] members;

    /** By check, answer and state. */
    private final double[][][] likelihood;

    /** By cause and group the states that hold them. */
    private final int[][] statesWith;

    private final int[][] statesOfGroup;

    LeakStates(LeakModel model) {
        causes = model.causes();
        tubeless = model.system() == AirSystem.TUBELESS;
        List<List<Cause>> groups = causes.stream().map(Cause::alike).distinct().toList();
        groupOf =
                causes.stream().mapToInt(cause -> groups.indexOf(cause.alike())).toArray();
        members = groups.stream()
                .map(group -> group.stream().mapToInt(causes::indexOf).toArray())
                .toArray(int[][]::new);
        enumerate();
        List<Check> checks = model.checks();
        likelihood = new double[checks.size()][][];
        for (int check = 0; check < likelihood.length; check++) {
            likelihood[check] = likelihoods(checks.get(check));
        }
        statesWith = new int[causes.size()][];
        for (int cause = 0; cause < statesWith.length; cause++) {
            statesWith[cause] = holding(new int[] {cause});
        }
        statesOfGroup = Arrays.stream(members).map(this::holding).toArray(int[][]::new);
    }

    private void enumerate() {
        for (boolean silent : tubeless ? new boolean[] {false, true} : new boolean[] {false}) {
            for (int i = 0; i < causes.size(); i++) {
                states.add(new State(i, NONE, silent));
                for (int j = i + 1; tubeless && j < causes.size(); j++) {
                    if (causes.get(i) != Cause.NORMAL && groupOf[i] != groupOf[j]) {
                        states.add(new State(i, j, silent));
                    }
                }
            }
        }
    }

    private int[] holding(int[] any) {
        List<Integer> found = new ArrayList<>();
        for (int state = 0; state < states.size(); state++) {
            State one = states.get(state);
            if (Arrays.stream(any).anyMatch(cause -> cause == one.first || cause == one.second)) {
                found.add(state);
            }
        }
        return found.stream().mapToInt(Integer::intValue).toArray();
    }

    private double[][] likelihoods(Check check) {
        int answers = check.answers().size();
        double[][] byAnswer = new double[answers][states.size()];
        for (int state = 0; state < states.size(); state++) {
            State one = states.get(state);
            for (int answer = 0; answer < answers; answer++) {
                byAnswer[answer][state] = likelihood(check, one, answer);
            }
        }
        return byAnswer;
    }

    private double likelihood(Check check, State state, int answer) {
        if (state.silent && check.kind().bubblesOnly()) {
            double chance = CHANCE / check.answers().size();
            return answer == 0 ? 1 - CHANCE + chance : chance;
        }
        double first = read(check, state.first, answer);
        if (state.second == NONE) {
            return first;
        }
        double second = read(check, state.second, answer);
        if (answer == 0) {
            return first * second;
        }
        double firstClear = read(check, state.first, 0);
        double secondClear = read(check, state.second, 0);
        return (first + firstClear * second + second + secondClear * first) / 2;
    }

    private double read(Check check, int cause, int answer) {
        double row = check.likelihood().get(causes.get(cause)).get(answer);
        return tubeless ? (1 - CHANCE) * row + CHANCE / check.answers().size() : row;
    }

    /** @param prior how likely each cause is (ratios that add up to 1) */
    double[] weights(double[] prior) {
        return states.stream()
                .mapToDouble(state -> {
                    double one = state.second == NONE
                            ? (tubeless ? ONE : 1) * prior[state.first]
                            : (1 - ONE) * 2 * prior[state.first] * prior[state.second];
                    return one * (!tubeless ? 1 : state.silent ? SILENT : 1 - SILENT);
                })
                .toArray();
    }

    /** What a failed hold test leaves of a mended cause alone: the mend failed, or the test was wrong (ratio). */
    static final double LEFT_AFTER_A_FIX = 0.20;

    /** How often a mend of one of two causes did not take (ratio). */
    private static final double MEND_FAILED = 0.15;

    /** What is believed after a cause was mended and the wheel still lost air. */
    double[] afterMendInVain(double[] before, int cause) {
        double[] after = new double[before.length];
        for (int state = 0; state < before.length; state++) {
            State one = states.get(state);
            boolean first = groupOf[one.first] == groupOf[cause];
            boolean second = one.second != NONE && groupOf[one.second] == groupOf[cause];
            if (!first && !second) {
                after[state] += before[state];
            } else if (one.second == NONE) {
                after[state] += LEFT_AFTER_A_FIX * before[state];
            } else {
                after[state] += MEND_FAILED * before[state];
                int other = first ? one.second : one.first;
                after[states.indexOf(new State(other, NONE, one.silent))] += (1 - MEND_FAILED) * before[state];
            }
        }
        return after;
    }

    double[] likelihoods(int check, int answer) {
        return likelihood[check][answer];
    }

    List<Cause> causes() {
        return causes;
    }

    int[] with(int cause) {
        return statesWith[cause];
    }

    int[] ofGroup(int group) {
        return statesOfGroup[group];
    }

    int groups() {
        return members.length;
    }

    int group(int cause) {
        return groupOf[cause];
    }

    int[] members(int group) {
        return members[group];
    }

    int size() {
        return states.size();
    }

    boolean isDouble(int state) {
        return states.get(state).second != NONE;
    }

    boolean isSilent(int state) {
        return states.get(state).silent;
    }

    /** The groups of the causes of a state; twice the same where it has one. */
    int firstGroup(int state) {
        return groupOf[states.get(state).first];
    }

    int secondGroup(int state) {
        State one = states.get(state);
        return groupOf[one.second == NONE ? one.first : one.second];
    }
}
