package org.stratopneum.core.diagnosis;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * A hidden fault that answers as the model says, and somebody who looks for it: what they spend until it holds. How far the
 * world keeps to the model is said by {@link World}.
 */
public final class Trial {

    /** What the trade goes through, one after the other (common practice). */
    private static final List<String> TRADE = List.of(
            "look-over", "dip", "soap-valve-tip", "wiggle-nut", "soap-bead", "soap-flank", "soap-nipples", "tire-off");

    /** Nobody needs more; then somebody gives up. */
    private static final int MOST_STEPS = 60;

    /**
     * How a world differs from one where a fault has one cause, answers by the table, and holds once it was mended (all
     * ratios).
     *
     * @param twoCauses faults that have a second one
     * @param mendsFail mends of the right cause that do not take
     * @param neverBubble faults that no bubble shows
     * @param random answers that are anything
     * @param impossible checks that cannot be made
     */
    public record World(double twoCauses, double mendsFail, double neverBubble, double random, double impossible) {
        public static final World AS_THE_TABLE_SAYS = new World(0, 0, 0, 0, 0);
    }

    private final LeakModel truth;
    private final World world;
    private final Set<Circumstance> known;
    private final Random random;
    private final Cause fault;
    private final Cause second;
    private final boolean silent;
    private final Set<String> notPossible = new HashSet<>();
    private final List<Cause> left = new ArrayList<>();

    /** @param truth the model by which the fault was made and answers */
    public Trial(LeakModel truth, Set<Circumstance> known, World world, Random random) {
        this.truth = truth;
        this.world = world;
        this.known = Set.copyOf(known);
        this.random = random;
        this.fault = draw();
        this.second = random.nextDouble() < world.twoCauses ? other() : null;
        this.silent = random.nextDouble() < world.neverBubble;
        for (Check check : truth.checks()) {
            if (random.nextDouble() < world.impossible) {
                notPossible.add(check.code());
            }
        }
        left.add(fault);
        if (second != null) {
            left.add(second);
        }
    }

    private Cause draw() {
        Map<Cause, Double> shares = truth.shares(known);
        double at = random.nextDouble();
        Cause last = null;
        for (Cause cause : truth.causes()) {
            at -= shares.get(cause);
            if (at < 0) {
                return cause;
            }
            last = cause;
        }
        return last;
    }

    /** A second cause that is none of the first's look-alikes; null where nothing is the matter. */
    private Cause other() {
        if (fault == Cause.NORMAL) {
            return null;
        }
        Cause other = draw();
        while (other == Cause.NORMAL || other.alike().contains(fault)) {
            other = draw();
        }
        return other;
    }

    public Cause fault() {
        return fault;
    }

    /** What is seen of the causes that are left. */
    public String answer(Check check) {
        if (random.nextDouble() < world.random) {
            return check.answers().get(random.nextInt(check.answers().size()));
        }
        if (silent && check.kind().bubblesOnly()) {
            return check.answers().get(0);
        }
        List<String> seen = left.stream().map(cause -> answer(cause, check)).toList();
        List<String> signs = seen.stream()
                .filter(answer -> !answer.equals(check.answers().get(0)))
                .toList();
        return signs.isEmpty() ? seen.get(0) : signs.get(random.nextInt(signs.size()));
    }

    private String answer(Cause cause, Check check) {
        double at = random.nextDouble();
        for (String answer : check.answers()) {
            at -= truth.check(check.code()).likelihood(cause, answer);
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
     * @param messy whether a tub or an opened tire was needed to look, {@code night} whether the wheel stood for a night
     */
    public record Spent(double checking, double all, int fixes, boolean messy, boolean night) {}

    /** What the finder does next, remembered: the same findings are met again and again. */
    public static final class Finder {

        private final LeakModel model;
        private final Map<Diagnosis, Diagnosis.Next> known = new HashMap<>();

        /** @param model what the finder believes, which may differ from the truth */
        public Finder(LeakModel model) {
            this.model = model;
        }

        private Diagnosis.Next next(Diagnosis diagnosis) {
            return known.computeIfAbsent(diagnosis, asked -> asked.next(Diagnosis.Mode.MEND_SOON));
        }
    }

    /** The finder. */
    public Spent mendedBy(Finder finder) {
        Diagnosis diagnosis = new Diagnosis(finder.model, known, List.of(), notPossible);
        double checking = 0;
        double mending = 0;
        int fixes = 0;
        boolean messy = false;
        boolean night = false;
        for (int step = 0; step < MOST_STEPS; step++) {
            Diagnosis.Next next = finder.next(diagnosis);
            if (next.check() != null) {
                checking += next.check().minutes();
                night |= next.check().overnight();
                messy |= !next.check().isClean() && !next.check().overnight();
                diagnosis = diagnosis.found(next.check().code(), answer(next.check()));
            } else {
                fixes++;
                mending += truth.fixMinutes(next.mend()) + Diagnosis.AROUND_A_FIX;
                if (holds(next.mend())) {
                    break;
                }
                diagnosis = diagnosis.mendedInVain(next.mend());
            }
        }
        return new Spent(checking, checking + mending, left.isEmpty() ? fixes : MOST_STEPS, messy, night);
    }

    /** Mends a cause with its look-alikes, and says whether nothing is left. */
    private boolean holds(Cause mended) {
        if (random.nextDouble() >= world.mendsFail) {
            left.removeIf(cause -> mended.alike().contains(cause));
        }
        return left.isEmpty();
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
            if (!check.code().equals("tire-off") && !check.overnight()) {
                minutes += check.minutes();
                diagnosis = diagnosis.found(check.code(), answer(check));
            }
        }
        return new Named(diagnosis.belief().leading(), minutes);
    }

    /** The trade's order: the first sign is mended; without one, the causes by how common they are, and all of it again. */
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
        int fixes = 0;
        boolean messy = false;
        Set<Cause> mended = new HashSet<>();
        for (String code : order) {
            if (notPossible.contains(code)) {
                continue;
            }
            Check check = truth.check(code);
            checking += check.minutes();
            messy |= !check.isClean();
            String seen = answer(check);
            Cause pointed = pointedAt(check, seen);
            if (!seen.equals(check.answers().get(0)) && mended.add(pointed)) {
                fixes++;
                mending += truth.fixMinutes(pointed) + Diagnosis.AROUND_A_FIX;
                if (holds(pointed)) {
                    return new Spent(checking, checking + mending, fixes, messy, false);
                }
            }
        }
        List<Cause> common = byShare(truth.shares(Set.of()));
        while (fixes < MOST_STEPS) {
            for (Cause cause : common) {
                if (mended.add(cause)) {
                    fixes++;
                    mending += truth.fixMinutes(cause) + Diagnosis.AROUND_A_FIX;
                    if (holds(cause)) {
                        return new Spent(checking, checking + mending, fixes, messy, false);
                    }
                }
            }
            mended.clear();
        }
        return new Spent(checking, checking + mending, fixes, messy, false);
    }

    private static List<Cause> byShare(Map<Cause, Double> shares) {
        return shares.keySet().stream()
                .sorted(Comparator.comparingDouble(shares::get).reversed())
                .toList();
    }

    /** The cause that a sign is usual for; of several, the most common one. */
    private Cause pointedAt(Check check, String seen) {
        Map<Cause, Double> usual = truth.shares(Set.of());
        return truth.causes().stream()
                .max(Comparator.comparingDouble(cause -> check.likelihood(cause, seen) * usual.get(cause)))
                .orElseThrow();
    }
}
