package org.stratopneum.core.tire;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.GaussIntegratorFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.stratopneum.core.check.InvalidInputException;

class LiquidPoolTest {

    private static TireSection section(double width, double measuring, double rim) {
        return new TireOnRim(width, 622, measuring, rim, null).section();
    }

    private static LiquidPool pool(double width, double measuring, double rim) {
        return LiquidPool.in(section(width, measuring, rim));
    }

    /** docs/handbook, page 1: worked values. */
    @ParameterizedTest
    @CsvSource({
        "60, 30, 30, 5, 8.04", "60, 30, 30, 10, 31.38", "60, 30, 30, 15, 68.75", "60, 30, 30, 20, 118.89",
        "28, 19, 21, 5, 5.20", "28, 19, 21, 10, 19.71", "28, 19, 21, 15, 41.74", "28, 19, 21, 20, 69.18"
    })
    void itHoldsWhatTheHandbookSays(double width, double measuring, double rim, double depth, double ml) {
        LiquidPool pool = pool(width, measuring, rim);
        assertThat(pool.volumeMl(depth)).isCloseTo(ml, within(0.005));
        assertThat(pool.depthMm(pool.volumeMl(depth))).isCloseTo(depth, within(1e-8));
    }

    /**
     * A second way: the torus cut by a level plane, in Cartesian slices, without the angle that the model integrates over.
     * The height is integrated outside, the length of the pool inside, the width of the casing there is exact.
     */
    @ParameterizedTest
    @CsvSource({"60, 30, 30", "28, 19, 21", "42, 25, 25"})
    void itAgreesWithThreeDimensions(double width, double measuring, double rim) {
        TireSection section = section(width, measuring, rim);
        for (double share = 0.05; share <= 1; share += 0.19) {
            double depth = share * section.height().mm();
            double exact = inSlices(section, depth);
            assertThat(LiquidPool.in(section).volumeMl(depth))
                    .as("depth " + depth)
                    .isCloseTo(exact, within(1e-6 * exact));
        }
    }

    private static double inSlices(TireSection section, double depth) {
        double r = section.arcRadiusMm();
        double centre = 311 + section.centreHeightMm();
        double tread = centre + r;
        GaussIntegrator rule = new GaussIntegratorFactory().legendre(120, 0, 1);
        double volume = rule.integrate(w -> {
            double z = tread - depth * w;
            double end = Math.sqrt(tread * tread - z * z);
            double area = rule.integrate(u -> {
                double phi = u * Math.PI / 2;
                double rho = Math.hypot(end * Math.sin(phi), z);
                double half = Math.sqrt(Math.max(0, r * r - (rho - centre) * (rho - centre)));
                return 2 * half * end * Math.cos(phi) * Math.PI / 2;
            });
            return 2 * area * depth;
        });
        return volume / 1000;
    }

    /** For a shallow pool the integral tends to pi sqrt(Ro r) D squared (docs/handbook, page 1). */
    @Test
    void aShallowPoolIsAParaboloid() {
        TireSection section = section(60, 30, 30);
        double tread = 311 + section.height().mm();
        double limit = Math.PI * Math.sqrt(tread * section.arcRadiusMm()) * 0.01 / 1000;
        assertThat(LiquidPool.in(section).volumeMl(0.1)).isCloseTo(limit, within(0.002 * limit));
    }

    @Test
    void theSlopeIsThatOfTheVolume() {
        LiquidPool pool = pool(57, 30, 30);
        for (double depth = 1; depth < 50; depth += 3) {
            double slope = (pool.volumeMl(depth + 1e-3) - pool.volumeMl(depth - 1e-3)) / 2e-3;
            assertThat(pool.mlPerMm(depth)).as("depth " + depth).isCloseTo(slope, within(1e-6 * slope));
        }
        assertThat(pool.volumeMl(0)).isZero();
        assertThat(pool.depthMm(0)).isZero();
    }

    @Test
    void deeperThanTheTireIsRefused() {
        LiquidPool pool = pool(60, 30, 30);
        assertThatThrownBy(() -> pool.volumeMl(56.1))
                .isInstanceOfSatisfying(
                        InvalidInputException.class,
                        exception ->
                                assertThat(exception.problems().get(0).limit()).isCloseTo(55.98, within(0.01)));
        assertThatThrownBy(() -> pool.volumeMl(-1)).isInstanceOf(InvalidInputException.class);
        assertThatThrownBy(() -> pool.depthMm(9000)).isInstanceOf(InvalidInputException.class);
    }
}
