package org.stratopneum.core.job;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.quantity.GaugePressure;

/**
 * The set-up that a job is done on, with what was chosen for it.
 *
 * @param holding the conditions that hold
 * @param amounts quantities that follow from the set-up; those that cannot be told are absent
 * @param gauge how the gauge in hand stands to the reference
 */
public record JobCase(Set<Condition> holding, Map<Amount, Object> amounts, GaugeFit gauge) implements Facts {

    public JobCase {
        holding = Set.copyOf(holding);
        amounts = Map.copyOf(amounts);
        GaugePressure ceiling = (GaugePressure) amounts.get(Amount.CEILING);
        if (ceiling != null) {
            for (Amount asked : Set.of(Amount.SEATING, Amount.RIDING, Amount.CHAMBER_LEAVES)) {
                if (amounts.get(asked) instanceof GaugePressure pressure && pressure.isAbove(ceiling)) {
                    throw new IllegalArgumentException(asked + " of " + pressure + " is above the ceiling " + ceiling);
                }
            }
        }
    }

    @Override
    public boolean holds(Condition condition) {
        return holding.contains(condition);
    }

    @Override
    public Optional<GaugePressure> ceiling() {
        return Optional.ofNullable((GaugePressure) amounts.get(Amount.CEILING));
    }

    @Override
    public Optional<GaugePressure> riding() {
        return Optional.ofNullable((GaugePressure) amounts.get(Amount.RIDING));
    }

    @Override
    public Optional<List<GaugePressure>> target() {
        return amounts.containsKey(Amount.TARGET_LOW) && amounts.containsKey(Amount.TARGET_HIGH)
                ? Optional.of(List.of((GaugePressure) amounts.get(Amount.TARGET_LOW), (GaugePressure)
                        amounts.get(Amount.TARGET_HIGH)))
                : Optional.empty();
    }

    public Optional<Object> amount(Amount amount) {
        return Optional.ofNullable(amounts.get(amount));
    }

    /** Gathers a case. */
    public static final class Builder {
        private final Set<Condition> holding = EnumSet.noneOf(Condition.class);
        private final Map<Amount, Object> amounts = new EnumMap<>(Amount.class);
        private GaugeFit gauge = GaugeFit.NONE;

        public Builder readWith(GaugeFit fit) {
            gauge = fit;
            return this;
        }

        public Builder when(Condition condition, boolean holds) {
            if (holds) {
                holding.add(condition);
            }
            return this;
        }

        /** @param quantity null where it cannot be told */
        public Builder amount(Amount amount, Object quantity) {
            if (quantity != null) {
                amounts.put(amount, quantity);
            }
            return this;
        }

        public JobCase build() {
            return new JobCase(holding, amounts, gauge);
        }
    }
}
