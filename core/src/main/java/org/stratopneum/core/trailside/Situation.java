package org.stratopneum.core.trailside;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * A stop beside the trail as far as it has gone.
 *
 * @param where or null where it was not asked yet
 * @param liveSealant whether liquid sealant is in there
 * @param pressure what is likely in the tire
 * @param noted what answers have told
 * @param done rungs that were come to
 */
public record Situation(
        AirSystem system,
        Where where,
        CutSize size,
        boolean liveSealant,
        AirBudget budget,
        Bag bag,
        GaugePressure pressure,
        Set<Fact> noted,
        Set<String> done) {

    /** What air goes in with. */
    public enum By {
        PUMP,
        GAS
    }

    public Situation {
        noted = Set.copyOf(noted);
        done = Set.copyOf(done);
    }

    public static Situation begin(
            AirSystem system,
            Where where,
            CutSize size,
            boolean liveSealant,
            AirBudget budget,
            Bag bag,
            GaugePressure start) {
        return new Situation(system, where, size, liveSealant, budget, bag, start, Set.of(), Set.of());
    }

    String word(Fact.Field field) {
        return switch (field) {
            case SYSTEM -> system.name();
            case WHERE -> where == null ? "" : where.name();
            case SIZE -> size.name();
            case SEALANT -> liveSealant ? "LIVE" : "NONE";
        };
    }

    /** Of cartridges only those that can be let in without a risk of going over the ceiling. */
    int count(KitItem item) {
        return item == KitItem.GAS
                ? (int) bag.charges().stream()
                        .filter(charge -> budget.usable(charge, bag.headShuts(), pressure))
                        .count()
                : bag.count(item);
    }

    /** With what a rung puts air in, unless the rider chooses: the pump, which is not used up, where it will do. */
    public By usualBy(Rung rung) {
        return rung.gasOnly() || bag.pump() == null ? By.GAS : By.PUMP;
    }

    /** Whether the rung can be done this way. */
    public boolean can(Rung rung, By by) {
        return by == By.GAS ? count(KitItem.GAS) > 0 : bag.pump() != null && !rung.gasOnly();
    }

    /** What a rung puts in. */
    public Fill fill(Rung rung, By by) {
        return by == By.GAS
                ? budget.byGas(pressure, rung.air(), bag.charges(), bag.headShuts())
                : budget.byPump(pressure, rung.air(), bag.pump(), bag.charges());
    }

    /** After an answer; {@code by} says with what air went in, and is ignored where none did. */
    public Situation after(Rung rung, Rung.Reply reply, By by) {
        Set<Fact> notes = notes();
        notes.addAll(reply.notes());
        Bag left = bag;
        if (rung.uses() != null) {
            left = bag.without(rung.uses(), 1);
            notes.add(Fact.BAG_USED);
        }
        GaugePressure then = pressure;
        if (rung.air() != null) {
            Fill fill = fill(rung, by);
            left = left.with(fill.left());
            if (!fill.parts().isEmpty()) {
                notes.add(Fact.GAS_IN);
                notes.add(Fact.BAG_USED);
            }
            then = fill.likely();
            if (budget.enough(then)) {
                notes.remove(Fact.LITTLE_AIR);
            } else {
                notes.add(Fact.LITTLE_AIR);
            }
        }
        if (reply.airGone()) {
            then = GaugePressure.ZERO;
        }
        Set<String> over = new HashSet<>(done);
        over.add(rung.code());
        return new Situation(system, where, size, liveSealant, budget, left, then, notes, over);
    }

    /** What the rung needs is not there, whatever the list says. */
    public Situation lacking(Rung rung) {
        Bag left = rung.uses() == null
                ? rung.gasOnly() ? bag.with(List.of()) : bag.withoutAir()
                : bag.without(rung.uses(), bag.count(rung.uses()));
        return new Situation(system, where, size, liveSealant, budget, left, pressure, noted, done);
    }

    Situation noting(Fact fact) {
        Set<Fact> notes = notes();
        notes.add(fact);
        return new Situation(system, where, size, liveSealant, budget, bag, pressure, notes, done);
    }

    private Set<Fact> notes() {
        Set<Fact> notes = EnumSet.noneOf(Fact.class);
        notes.addAll(noted);
        return notes;
    }
}
