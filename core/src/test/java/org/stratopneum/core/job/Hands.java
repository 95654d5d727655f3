package org.stratopneum.core.job;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What lies in a mechanic's hands on a way through a job: how many beads are over the rim, what is inside, whether the core
 * is in, whether there is air. A step that cannot be done with that is a contradiction.
 */
final class Hands {

    private static final Set<String> BEGUN_AT_THE_BENCH = Set.of("FIT_DRY", "FIT_WET");

    /** Rungs whose words begin with the core, out or in. */
    private static final Set<String> PUT_THE_CORE_IN =
            Set.of("seat-core-out", "seat-compressor", "seat-wetted", "seat-strap");

    private final Job job;
    private final Set<Condition> holding;
    private int beads;
    private boolean tube;
    private boolean liquid;
    private boolean insert;
    private boolean wheelOut;
    private boolean wasOut;
    private boolean coreOut;
    private boolean air;
    private String against = "";
    private final Set<String> texts = new HashSet<>();

    private Hands(Job job, Set<Condition> holding) {
        this.job = job;
        this.holding = holding;
        boolean on = holding.contains(Condition.TIRE_ON) || !job.asked().contains(Condition.TIRE_ON);
        beads = on ? 2 : 0;
        if (BEGUN_AT_THE_BENCH.contains(job.name()) && !on) {
            wheelOut = true;
            wasOut = true;
        }
        tube = holding.contains(Condition.TUBED)
                || on && job.goal() == Job.Goal.TUBE && !holding.contains(Condition.LIQUID_INSIDE);
        liquid = holding.contains(Condition.LIQUID_INSIDE);
        insert = holding.contains(Condition.INSERT_INSIDE);
        air = beads == 2;
    }

    static Hands after(Job job, Set<Condition> holding, Walk walk) {
        Hands hands = new Hands(job, holding);
        walk.taken().forEach(taken -> hands.did(taken.step(), taken.answer()));
        walk.open().ifPresent(hands::asked);
        return hands;
    }

    /** What the open step, or one behind, cannot be done with; empty where all goes together. */
    String against() {
        return against;
    }

    /** All that keeps two ways apart. */
    private List<Object> state() {
        return List.of(beads, tube, insert, wheelOut, coreOut, air, wasOut, against);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Hands hands && state().equals(hands.state());
    }

    @Override
    public int hashCode() {
        return state().hashCode();
    }

    boolean tireOn() {
        return beads == 2;
    }

    boolean tireOff() {
        return beads == 0;
    }

    boolean tubeIn() {
        return tube;
    }

    boolean insertIn() {
        return insert;
    }

    boolean wheelIn() {
        return !wheelOut;
    }

    boolean coreIn() {
        return !coreOut;
    }

    private void need(boolean holds, Step step, String what) {
        if (!holds && against.isEmpty()) {
            against = step.id() + ": " + what;
        }
    }

    private static String plain(Step step) {
        return step.text()
                .replaceAll("^(wheel-off|wheel-in)-.*$", "$1")
                .replaceAll("-(schrader|dunlop|narrow|gloves)$", "");
    }

    /** What must be so when a step is shown. */
    private void asked(Step step) {
        String text = plain(step);
        boolean pumps = step.task() instanceof Step.Task.Do && step.inflates() && !text.equals("chamber-charge");
        if (pumps) {
            need(beads == 2, step, "air with " + beads + " beads on");
            need(!coreOut || PUT_THE_CORE_IN.contains(text), step, "air through an open stem");
            need(!insert || !tube, step, "an insert and a tube");
        }
        switch (text) {
            case "wheel-off" -> need(!wheelOut, step, "it is out");
            case "wheel-in", "spacer-out", "brake-closed" ->
                need(wheelOut || text.equals("brake-closed"), step, "it is in");
            case "axle-tight" -> need(wasOut || job == Job.BEFORE_RIDING, step, "the wheel was not out");
            case "first-bead-off" -> {
                need(beads == 2, step, "beads on: " + beads);
                need(!air, step, "air is in it");
            }
            case "second-bead-off" -> need(beads == 1, step, "beads on: " + beads);
            case "tape-off", "tape-cut" -> need(beads == 0 || !tube, step, "old tape under a tube");
            case "first-bead", "arrow" -> need(beads == 0, step, "beads on: " + beads);
            case "first-bead-still-on" -> need(beads == 1, step, "beads on: " + beads);
            case "second-bead", "second-bead-tube" -> need(beads == 1, step, "beads on: " + beads);
            case "insert-out" -> need(insert && beads == 1, step, "insert " + insert + ", beads " + beads);
            case "insert-in" -> need(!insert && beads == 1, step, "insert " + insert + ", beads " + beads);
            case "tube-out" -> need(tube && beads <= 1, step, "tube " + tube + ", beads " + beads);
            case "tube-in" -> need(!tube && beads == 1, step, "tube " + tube + ", beads " + beads);
            case "core-out" -> {
                need(!coreOut, step, "it is out");
                need(!air, step, "with air in it");
            }
            case "core-in" -> need(coreOut || step.id().equals("core-washed-in"), step, "it is in");
            case "core-wash" -> need(coreOut || beads == 0, step, "the core is in");
            case "inject" -> need(coreOut, step, "the core is in");
            case "dip-first" -> need(coreOut && liquid, step, "core or liquid");
            case "extra-turn" -> need(!holding.contains(Condition.BED_SEALED), step, "a bed without tape");
            default -> {}
        }
    }

    private void did(Step step, Answer answer) {
        asked(step);
        if (step.task() instanceof Step.Task.Do && !texts.add(step.id())) {
            need(false, step, "comes twice");
        }
        switch (plain(step)) {
            case "wheel-off" -> {
                wheelOut = true;
                wasOut = true;
            }
            case "wheel-in" -> wheelOut = false;
            case "air-out",
                    "air-out-of-tube",
                    "mend-air-out",
                    "let-down",
                    "dip-let-out",
                    "air-out-at-once",
                    "tube-empty" -> air = false;
            case "first-bead-off" -> beads = 1;
            case "second-bead-off", "turn-round" -> beads = plain(step).equals("turn-round") ? beads : 0;
            case "first-bead" -> beads = 1;
            case "bead-over", "bead-over-by-hand", "bead-over-by-lever" -> {
                if (answer == Answer.OVER) {
                    beads = 2;
                }
            }
            case "close-stretch" -> beads = 2;
            case "second-bead-part" -> beads = 1;
            case "insert-out" -> insert = false;
            case "insert-in" -> insert = true;
            case "tube-out" -> tube = false;
            case "tube-in" -> {
                tube = true;
                coreOut = false;
            }
            case "core-out" -> coreOut = true;
            case "core-in", "thumb-and-core", "core-tighten" -> coreOut = false;
            case "seat-core-out" -> {
                coreOut = true;
                air = true;
            }
            case "seat-strap", "seat-wetted", "seat-pump", "seat-compressor", "seat-after-tape" -> {
                coreOut = false;
                air = true;
            }
            default -> {
                if (step.task() instanceof Step.Task.Do && step.inflates()) {
                    air = true;
                }
            }
        }
    }

    /** The wheel as the log shows it, by what was reached. */
    record Logged(boolean tireOn, Optional<Boolean> tube, Optional<Boolean> insert) {

        static Logged of(Hands begun, Walk walk, boolean withInsert) {
            boolean on = begun.beads == 2;
            Optional<Boolean> tube = Optional.empty();
            Optional<Boolean> insert = Optional.empty();
            for (Walk.Mark mark : walk.reached()) {
                switch (mark.milestone()) {
                    case TIRE_OFF -> on = false;
                    case TUBELESS_ON -> {
                        on = true;
                        tube = Optional.of(false);
                        insert = Optional.of(withInsert);
                    }
                    case TUBE_ON -> {
                        on = true;
                        tube = Optional.of(true);
                        insert = Optional.of(false);
                    }
                    default -> {}
                }
            }
            return new Logged(on, tube, insert);
        }
    }

    static Hands begin(Job job, Set<Condition> holding) {
        return new Hands(job, holding);
    }
}
