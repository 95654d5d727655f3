package org.stratopneum.web.parts.garage;

import org.stratopneum.web.fleet.bikes.BikeRider;

/**
 * What a form that was kept does to what riders weigh.
 *
 * @param ofBike what is kept with the bike (kg), or null where it follows its keeper
 * @param keeperFrom what the keeper weighed so far (kg), or null where nobody said
 * @param keeperTo what they weigh from now on (kg), or null where that stays
 */
record MassChange(Double ofBike, Double keeperFrom, Double keeperTo) {

    /**
     * A mass that nobody touched changes nothing; that of somebody else stays with the bike; any other is the keeper's.
     *
     * @param was who rode it, or null for a new bike
     * @param keeperKg what the keeper weighs (kg), or null
     */
    static MassChange of(BikeRider was, BikeSpec bike, Double keeperKg) {
        Double kg = bike.ride().mass().riderKg();
        if (bike.riderName() != null) {
            return new MassChange(kg, keeperKg, null);
        }
        if (kg.equals(keeperKg)) {
            return new MassChange(null, keeperKg, null);
        }
        if (was != null && kg.equals(was.kg()) && keeperKg != null) {
            return new MassChange(was.other() ? null : kg, keeperKg, null);
        }
        return new MassChange(null, keeperKg, kg);
    }

    /** Whether other bikes of the keeper get other pressures. */
    boolean reaches() {
        return keeperFrom != null && keeperTo != null;
    }
}
