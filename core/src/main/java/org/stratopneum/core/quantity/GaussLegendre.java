package org.stratopneum.core.quantity;

import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.LegendreRuleFactory;

/** Integrals of smooth functions, by Gauss's rule of so many points. */
public final class GaussLegendre {

    /** The library's factory of all rules reckons hundreds of digits of pi and e first, which takes a fifth of a second. */
    private final GaussIntegrator rule;

    /**
     * @param points how many; exact for polynomials of a degree below twice that
     */
    public GaussLegendre(int points) {
        rule = new GaussIntegrator(new LegendreRuleFactory().getRule(points));
    }

    /** Integral of {@code function} from {@code from} to {@code to}. */
    public double integral(DoubleUnaryOperator function, double from, double to) {
        double half = (to - from) / 2;
        double middle = (to + from) / 2;
        return half * rule.integrate(x -> function.applyAsDouble(middle + half * x));
    }
}
