package org.stratopneum.core.diagnosis;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * A hidden fault that answers as the model says, and somebody who looks for it: what they spend until it holds. One cause
 * at a time; a mending of the right cause, or of one that looks alike and is first mended alike, always succeeds, and every
 * hold test tells the truth.
 */
public final class Trial {

    /** What the trade goes through, one after the other (common practice). */
    private static final List<String> TRADE = List.of(
            "look-over", "dip", "soap-valve-tip", "wiggle-nut", "soap-bead", "soap-flank", "soap-nipples", "tire-off");

    /** Nobody needs more; then somebody gives up. */
    private static final int MOST_STEPS = 60;

    private final LeakModel truth;
    private final Set<Circumstance> known;
    private final Random random;
    private final Cause fault;

    /** @param truth the model by which the fault was made and answers */
    public Trial(LeakModel truth, Set<Circumstance> known, Random random) {
        this.truth = truth;
        this.known = Set.copyOf(known);
        this.random = random;
        this.fault = draw();
    }

    private Cause draw() {
        Belief belief = truth.prior(known);
        double at = random.nextDouble();
        for (Cause cause : belief.causes()) {
            at -= belief.of(cause);
            if (at < 0) {
                return cause;
            }
        }
        return belief.leading();
    }

    public Cause fault() {
        return fault;
    }

    /** What is seen. */
    public String answer(Check check) {
        double at = random.nextDouble();
        for (String answer : check.answers()) {
            at -= truth.check(check.code()).likelihood(fault, answer);
            if (at < 0) {
                return answer;
            }
        }
        return check.answers().get(0);
    }

    /**
     * What it took.
     *
     * @param checking minutes of looking, {@code all} with mending and hold tests
     * @param fixes mendings until it held
     * @param opened whether the tire was opened only to look
     */
    public record Spent(double checking, double all, int fixes, boolean opened) {}

    /** The finder, by a model that may differ from the truth. */
    public Spent mendedBy(LeakModel model) {
        Diagnosis diagnosis = Diagnosis.begun(model, known);
        double checking = 0;
        double mending = 0;
        boolean opened = false;
        for (int step = 0; step < MOST_STEPS; step++) {
            Diagnosis.Next next = diagnosis.next(Diagnosis.Mode.MEND_SOON);
            if (next.check() != null) {
                checking += next.check().minutes();
                opened |= next.check().code().equals("tire-off");
                diagnosis = diagnosis.found(next.check().code(), answer(next.check()));
            } else {
                mending += model.fixMinutes(next.mend()) + Diagnosis.AROUND_A_FIX;
                if (holds(next.mend())) {
                    return new Spent(
                            checking,
                            checking + mending,
                            1 + diagnosis.failedFixes().size(),
                            opened);
                }
                diagnosis = diagnosis.mendedInVain(next.mend());
            }
        }
        return new Spent(checking, checking + mending, MOST_STEPS, opened);
    }

    private boolean holds(Cause mended) {
        return mended.alike().contains(fault);
    }

    /** The cause that is named, and the minutes until then. */
    public record Named(Cause cause, double minutes) {}

    public Named namedBy(LeakModel model) {
        Diagnosis diagnosis = Diagnosis.begun(model, known);
        double minutes = 0;
        while (true) {
            Diagnosis.Next next = diagnosis.next(Diagnosis.Mode.NAME_IT);
            if (next.check() == null) {
                return new Named(next.mend(), minutes);
            }
            minutes += next.check().minutes();
            diagnosis = diagnosis.found(next.check().code(), answer(next.check()));
        }
    }

    /** Every check that does not open the tire or take a night, and then the likeliest. */
    public Named namedByAllChecks() {
        Diagnosis diagnosis = Diagnosis.begun(truth, known);
        double minutes = 0;
        for (Check check : truth.checks()) {
            if (!check.code().equals("tire-off") && !check.code().equals("hold-test")) {
                minutes += check.minutes();
                diagnosis = diagnosis.found(check.code(), answer(check));
            }
        }
        return new Named(diagnosis.belief().leading(), minutes);
    }

    /** The trade's order: the first sign is mended; without one, the causes by how common they are. */
    public Spent mendedInTradesOrder() {
        return inOrder(TRADE);
    }

    /** The same checks in any order. */
    public Spent mendedInAnyOrder() {
        List<String> order = new ArrayList<>(TRADE);
        Collections.shuffle(order, random);
        return inOrder(order);
    }

    private Spent inOrder(List<String> order) {
        double checking = 0;
        double mending = 0;
        boolean opened = false;
        Set<Cause> mended = new HashSet<>();
        List<Cause> todo = new ArrayList<>();
        for (String code : order) {
            Check check = truth.check(code);
            checking += check.minutes();
            opened |= code.equals("tire-off");
            String seen = answer(check);
            if (!seen.equals(check.answers().get(0))) {
                todo.add(pointedAt(check, seen));
            }
            for (Cause cause : todo) {
                if (mended.add(cause)) {
                    mending += truth.fixMinutes(cause) + Diagnosis.AROUND_A_FIX;
                    if (holds(cause)) {
                        return new Spent(checking, checking + mending, mended.size(), opened);
                    }
                }
            }
            todo.clear();
        }
        for (Cause cause : truth.prior(Set.of()).ranking()) {
            if (mended.add(cause)) {
                mending += truth.fixMinutes(cause) + Diagnosis.AROUND_A_FIX;
                if (holds(cause)) {
                    break;
                }
            }
        }
        return new Spent(checking, checking + mending, mended.size(), opened);
    }

    /** The cause that a sign is usual for; of several, the most common one. */
    private Cause pointedAt(Check check, String seen) {
        Belief usual = truth.prior(Set.of());
        Cause best = truth.causes().get(0);
        double most = -1;
        for (Cause cause : truth.causes()) {
            double weight = check.likelihood(cause, seen) * usual.of(cause);
            if (weight > most) {
                most = weight;
                best = cause;
            }
        }
        return best;
    }
}
