package org.stratopneum.web.sealant;

import java.lang.ref.WeakReference;
import java.util.function.Supplier;
import org.stratopneum.core.sealant.SealantForecast;

/** A forecast that is worked out again where nobody holds it any more: with its grids it takes 200 kB. */
final class ForecastAgain implements Supplier<SealantForecast> {

    private final Supplier<SealantForecast> work;
    private WeakReference<SealantForecast> last = new WeakReference<>(null);

    ForecastAgain(Supplier<SealantForecast> work) {
        this.work = work;
    }

    @Override
    public synchronized SealantForecast get() {
        SealantForecast forecast = last.get();
        if (forecast == null) {
            forecast = work.get();
            last = new WeakReference<>(forecast);
        }
        return forecast;
    }
}
