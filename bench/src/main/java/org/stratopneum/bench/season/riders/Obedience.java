package org.stratopneum.bench.season.riders;

/**
 * How much of what the application says is done (ratios).
 *
 * @param looks on how many evenings the list is looked at, {@code does} what is due, each time it is seen
 * @param writes of what was read and done
 * @param notes of the rides, how each wheel felt
 * @param wrong of the answers
 */
public record Obedience(double looks, double does, double writes, double notes, double wrong) {
    public static final Obedience PERFECT = new Obedience(1, 1, 1, 1, 0);
    public static final Obedience USUAL = new Obedience(0.4, 0.85, 0.9, 0.25, 0.05);
    public static final Obedience SLOPPY = new Obedience(0.15, 0.5, 0.6, 0.08, 0.05);
}
