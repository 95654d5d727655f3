package org.stratopneum.core.diagnosis;

import java.util.function.IntToDoubleFunction;

/**
 * Mending without looking any more: groups of look-alikes one after the other, by how likely they are over what they cost,
 * until it holds. Two causes hold once both are mended.
 *
 * @param minutes expected until it holds (min)
 * @param first the cause that is mended first
 */
record MendingOrder(double minutes, Cause first) {

    /** @param cost of mending a cause, by its number, with its hold test (min) */
    static MendingOrder of(Belief belief, IntToDoubleFunction cost) {
        LeakStates states = belief.states();
        int groups = states.groups();
        double[] likely = new double[groups];
        double[] minutes = new double[groups];
        for (int group = 0; group < groups; group++) {
            likely[group] = belief.ofGroup(group);
            minutes[group] = cost.applyAsDouble(belief.likeliestOf(group));
        }
        int[] order = byWorth(likely, minutes);
        double[] until = new double[groups];
        double sum = 0;
        for (int group : order) {
            sum += minutes[group];
            until[group] = sum;
        }
        double expected = 0;
        for (int state = 0; state < states.size(); state++) {
            expected +=
                    belief.ofState(state) * Math.max(until[states.firstGroup(state)], until[states.secondGroup(state)]);
        }
        return new MendingOrder(expected, belief.causes().get(belief.likeliestOf(order[0])));
    }

    private static int[] byWorth(double[] likely, double[] minutes) {
        int[] order = new int[likely.length];
        for (int i = 0; i < order.length; i++) {
            int place = i;
            while (place > 0 && likely[order[place - 1]] / minutes[order[place - 1]] < likely[i] / minutes[i]) {
                order[place] = order[place - 1];
                place--;
            }
            order[place] = i;
        }
        return order;
    }
}
