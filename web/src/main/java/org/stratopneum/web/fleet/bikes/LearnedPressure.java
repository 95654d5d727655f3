package org.stratopneum.web.fleet.bikes;

/**
 * What is known of the pressure that suits the rider on a wheel.
 *
 * @param factor personal factor (ratio)
 * @param low lower end of its 80 % interval, {@code high} its upper end (ratios)
 * @param notes how many notes it was learned from
 * @param ownKpa the number that the rider sets whatever is told (kPa gauge), or null
 */
public record LearnedPressure(double factor, double low, double high, int notes, Double ownKpa) {

    /** Nobody has said anything: the chain is taken as it is. */
    public static final LearnedPressure NOTHING = new LearnedPressure(1, 1, 1, 0, null);
}
