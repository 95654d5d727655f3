package org.stratopneum.web.fleet.bikes;

/**
 * Who rides a bike.
 *
 * @param name null where it is whoever keeps it
 * @param kg what they weigh (kg), or null where nobody said
 * @param apart whether that mass is kept with the bike, so that a change of the keeper's does not reach it
 */
public record BikeRider(String name, Double kg, boolean apart) {

    /** Whoever keeps the bikes, at the mass that all of them share. */
    public static BikeRider keeper(Double kg) {
        return new BikeRider(null, kg, false);
    }

    /** Whether it is somebody else than whoever keeps it. */
    public boolean other() {
        return name != null;
    }
}
