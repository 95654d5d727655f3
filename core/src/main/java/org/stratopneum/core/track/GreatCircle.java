package org.stratopneum.core.track;

/** Distances over the ground on a sphere of the earth's mean radius; the true ellipsoid differs by at most 0.6 %. */
public final class GreatCircle {

    /** Mean radius of the earth by IUGG (m). */
    private static final double RADIUS_M = 6_371_008.8;

    private GreatCircle() {}

    /** @return distance between two points given in degrees (m), by the haversine formula */
    public static double metres(double latitude1, double longitude1, double latitude2, double longitude2) {
        double phi1 = Math.toRadians(latitude1);
        double phi2 = Math.toRadians(latitude2);
        double up = Math.sin((phi2 - phi1) / 2);
        double along = Math.sin(Math.toRadians(longitude2 - longitude1) / 2);
        double h = up * up + Math.cos(phi1) * Math.cos(phi2) * along * along;
        return 2 * RADIUS_M * Math.asin(Math.min(1, Math.sqrt(h)));
    }
}
