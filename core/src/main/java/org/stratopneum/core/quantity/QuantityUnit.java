package org.stratopneum.core.quantity;

/** A unit that a rider reads a quantity in, beside the one that the core reckons with. */
public interface QuantityUnit {

    /** @return {@code value} of this unit (in the core's unit of the quantity) */
    double toCore(double value);

    /** @return {@code value} of the core's unit (in this unit) */
    double fromCore(double value);

    /** @return how the unit is written behind a number */
    String symbol();

    /** @return decimals that a rider's number in this unit is shown with */
    int decimals();
}
