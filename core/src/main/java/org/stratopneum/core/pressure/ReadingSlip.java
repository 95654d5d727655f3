package org.stratopneum.core.pressure;

import java.util.Optional;
import java.util.stream.Stream;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;

/**
 * Notices a reading that was probably typed in another unit, or without its decimal mark: one that this tire can hardly
 * have, while the same figures mean something that it can. Whoever typed it is asked; it may still be right, as of a tire
 * that is nearly flat.
 */
public final class ReadingSlip {

    /** Under this part of what is recommended nobody rides (our judgement). */
    private static final double LEAST_OF_RECOMMENDED = 0.4;

    /** The same where nothing is recommended, as a part of the most that may be in it (our judgement). */
    private static final double LEAST_OF_CEILING = 0.2;

    /** A floor pump passes the limit by so much before somebody notices (our judgement). */
    private static final double MOST_OF_CEILING = 1.25;

    private static final double DECIMAL = 10;

    private ReadingSlip() {}

    /** What was probably meant. */
    public record Meant(double value, PressureUnit unit) {}

    /**
     * Empty where the reading can be right, where nothing likelier can have been meant, and for a flat tire.
     *
     * @param typed the figures, 0 or more; {@code unit} what they were taken for
     * @param recommended what is recommended for the wheel, or null where that is not known
     * @param ceiling the most that may be in it
     */
    public static Optional<Meant> of(
            double typed, PressureUnit unit, GaugePressure recommended, GaugePressure ceiling) {
        double least =
                recommended == null ? LEAST_OF_CEILING * ceiling.kpa() : LEAST_OF_RECOMMENDED * recommended.kpa();
        double most = MOST_OF_CEILING * ceiling.kpa();
        if (typed == 0 || isBetween(least, new Meant(typed, unit), most)) {
            return Optional.empty();
        }
        return Stream.of(
                        new Meant(typed, PressureUnit.PSI),
                        new Meant(typed, PressureUnit.BAR),
                        new Meant(typed / DECIMAL, unit),
                        new Meant(typed, PressureUnit.KPA))
                .filter(meant -> isBetween(least, meant, most))
                .findFirst();
    }

    private static boolean isBetween(double leastKpa, Meant meant, double mostKpa) {
        double kpa = meant.unit.toKpa(meant.value);
        return kpa >= leastKpa && kpa <= mostKpa;
    }
}
