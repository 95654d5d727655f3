package org.stratopneum.bench.web;

import java.util.Collection;

/** How long answers took (ms, sorted). */
record Times(double[] ms) {

    static Times of(Collection<Double> ms) {
        return new Times(ms.stream().mapToDouble(Double::doubleValue).sorted().toArray());
    }

    int count() {
        return ms.length;
    }

    /** The smallest time that at least {@code percent} of all stay within (nearest rank). */
    double percentile(double percent) {
        return ms[(int) Math.ceil(percent / 100 * ms.length) - 1];
    }

    double median() {
        return percentile(50);
    }

    double p95() {
        return percentile(95);
    }

    double longest() {
        return ms[ms.length - 1];
    }
}
