package org.stratopneum.web.leak;

import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Range;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.LeakContext;
import org.stratopneum.core.leak.LeakBands;
import org.stratopneum.core.leak.LeakClass;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.FormReader;

/** Reads what is known of a wheel before anything is looked at. */
final class StartForm {

    /** Sealant older than this counts as old (days). */
    static final int OLD_DAYS = 120;

    /** How long it may have gone down (h): from a minute to two months. */
    private static final Range HOURS = Range.closed(1.0 / 60, 1440, "h");

    private static final double HOURS_PER_DAY = 24;

    private final FormReader reader;
    private final Search search;

    /** Whether a tire is new on the wheel, or the liquid in it old. */
    private enum Lately {
        NEW,
        FRESH,
        OLD
    }

    private StartForm(FormReader reader, Search search) {
        this.reader = reader;
        this.search = search;
    }

    FormReader reader() {
        return reader;
    }

    /** Empty while the form is faulty. */
    Optional<Search> search() {
        return Optional.ofNullable(search);
    }

    /**
     * @param system what holds the air, or null where the form says
     * @param unit of pressures where the form does not say
     */
    static StartForm of(Map<String, String> parameters, AirSystem system, PressureUnit unit) {
        Map<String, String> typed = new TreeMap<>(parameters);
        typed.putIfAbsent("unit", unit.name());
        FormReader form = new FormReader(typed);
        Optional<AirSystem> asked = system != null ? Optional.of(system) : form.choice("system", AirSystem.class);
        if (asked.isEmpty() && form.isBlank("system")) {
            form.add(Problem.of("system", Problem.MISSING));
        }
        Optional<Lately> setup = form.choice("setup", Lately.class);
        Optional<Lately> sealant = form.choice("sealant", Lately.class);
        Optional<LeakClass> chosen = form.choice("rate", LeakClass.class);
        Optional<LeakClass> told = chosen.or(() -> speed(
                form,
                LeakBands.of(
                        asked.filter(AirSystem.TUBE::equals).isPresent() ? SetupKind.BUTYL_TUBE : SetupKind.TUBELESS,
                        setup.filter(Lately.NEW::equals).isPresent())));
        if (!form.problems().isEmpty()) {
            return new StartForm(form, null);
        }
        LeakContext context = new LeakContext(
                setup.map(Lately.NEW::equals).orElse(null),
                sealant.map(age -> age == Lately.OLD ? OLD_DAYS + 1.0 : 0.0).orElse(null),
                form.ticked("lever"),
                form.ticked("low"),
                form.ticked("hit"),
                form.ticked("co2"),
                form.ticked("insert"),
                form.ticked("casing") ? false : null,
                form.ticked("sealed"),
                form.ticked("newTape"),
                told.orElse(null));
        return new StartForm(form, Search.begun(asked.orElseThrow(), context.circumstances()));
    }

    /** From how much to how much in what time; nothing where nobody typed it. */
    private static Optional<LeakClass> speed(FormReader form, LeakBands bands) {
        if (form.isBlank("from") && form.isBlank("to") && form.isBlank("hours")) {
            return Optional.empty();
        }
        PressureUnit unit = form.choice("unit", PressureUnit.class).orElse(PressureUnit.PSI);
        Optional<Double> from = form.requiredQuantity("from", GaugePressure.TIRE_KPA, unit, null);
        Optional<Double> to = form.requiredQuantity("to", GaugePressure.TIRE_KPA, unit, null);
        Optional<Double> hours = form.requiredNumber("hours", HOURS);
        if (from.isEmpty() || to.isEmpty() || hours.isEmpty()) {
            return Optional.empty();
        }
        if (!(from.get() > to.get())) {
            form.add(new Problem("to", "not-falling", unit.fromKpa(from.get()), unit.fromKpa(to.get()), unit.symbol()));
            return Optional.empty();
        }
        double left = Math.pow(to.get() / from.get(), HOURS_PER_DAY / hours.get());
        return Optional.of(bands.named(1 - left));
    }
}
