package org.stratopneum.core.fit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;

/**
 * A size as it is printed on tubes (common practice, no source). A tube is stretched to the width of the tire, and thins
 * out as it is; it leaves out what a maker allows beyond what is printed, which wins.
 *
 * @param minWidthMm narrowest tire that it is printed for (mm)
 * @param maxWidthMm widest tire that it is printed for (mm)
 */
public record TubeSize(int minWidthMm, int maxWidthMm) {

    /** Stretched no further than this share of the widest that is printed (ratio). */
    public static final double MOST_STRETCH = 1.3;

    /** A tube for a wheel of this size lies well in these too (bead seat diameters, mm). */
    private static final List<Set<Integer>> SHARED = List.of(
            Set.of(622, 630, 635),
            Set.of(584, 590, 571),
            Set.of(540, 541, 547),
            Set.of(507, 520),
            Set.of(438, 440, 451),
            Set.of(400, 406, 419),
            Set.of(340, 349, 355));

    private static final List<TubeSize> PRINTED = List.of(
            new TubeSize(18, 25),
            new TubeSize(20, 28),
            new TubeSize(25, 32),
            new TubeSize(28, 38),
            new TubeSize(32, 47),
            new TubeSize(40, 50),
            new TubeSize(47, 57),
            new TubeSize(54, 65),
            new TubeSize(60, 75),
            new TubeSize(75, 100),
            new TubeSize(100, 127));

    /**
     * A size that takes a tire.
     *
     * @param stretch how far it is stretched beyond the widest that is printed (ratio; 1.0 is not at all)
     */
    public record Taking(TubeSize size, double stretch) {}

    /** @return the share to which a tire stretches it (ratio): 1.0 within what is printed */
    public double stretch(double tireMm) {
        return Math.max(1, tireMm / maxWidthMm);
    }

    /** Whether it takes the tire: not folded in it, and not stretched too far. */
    public boolean takes(double tireMm) {
        return tireMm >= minWidthMm && stretch(tireMm) <= MOST_STRETCH;
    }

    /** Those printed sizes that take a tire, the least stretched first. */
    public static List<Taking> taking(double tireMm) {
        List<Taking> taking = new ArrayList<>();
        for (TubeSize size : PRINTED) {
            if (size.takes(tireMm)) {
                taking.add(new Taking(size, size.stretch(tireMm)));
            }
        }
        taking.sort(Comparator.comparingDouble(Taking::stretch)
                .thenComparing(
                        each -> Math.abs(each.size().maxWidthMm() + each.size().minWidthMm() - 2 * tireMm)));
        return taking;
    }

    /** Bead seat diameters (mm) of the wheels whose tubes lie well in a wheel of this one, itself among them, ascending. */
    public static List<Integer> wheels(int bsdMm) {
        return SHARED.stream().filter(shared -> shared.contains(bsdMm)).findFirst().orElse(Set.of(bsdMm)).stream()
                .sorted()
                .toList();
    }
}
