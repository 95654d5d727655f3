package org.stratopneum.web.parts.garage;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Units;

/** Takes tires and rims that come from elsewhere, and gives them out, in the words of their forms. */
@Service
public class PartIntake {

    private final PartsMapper parts;

    PartIntake(PartsMapper parts) {
        this.parts = parts;
    }

    /** What keeps the tire, and says whether it was new; empty with faults in {@code reader}. */
    public Optional<BooleanSupplier> tire(FormReader reader, Units units, UUID id) {
        return new PartFields(units)
                .tire(reader, null)
                .filter(tire -> reader.problems().isEmpty())
                .map(tire -> () -> parts.insertTire(id, tire) == 1);
    }

    /** The same for a rim. */
    public Optional<BooleanSupplier> rim(FormReader reader, Units units, UUID id) {
        return new PartFields(units)
                .rim(reader, null, null, RimBed.UNTAPED, null)
                .filter(rim -> reader.problems().isEmpty())
                .map(rim -> () -> parts.insertRim(id, rim) == 1);
    }

    /** All tires that are in use, as they would stand in their form. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, String>> tires(Units units) {
        PartFields fields = new PartFields(units);
        Map<UUID, Map<String, String>> all = new LinkedHashMap<>();
        parts.tires().stream().filter(tire -> tire.retiredOn() == null).forEach(tire -> {
            Map<String, String> texts = new TreeMap<>();
            fields.fill(texts, PartService.specOf(tire));
            all.put(tire.id(), texts);
        });
        return all;
    }

    /** All rims that are in use, built into a wheel or not. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<String, String>> rims(Units units) {
        PartFields fields = new PartFields(units);
        Map<UUID, Map<String, String>> all = new LinkedHashMap<>();
        parts.rims().stream().filter(rim -> rim.retiredOn() == null).forEach(rim -> {
            Map<String, String> texts = new TreeMap<>();
            fields.fill(texts, PartService.specOf(rim));
            all.put(rim.id(), texts);
        });
        return all;
    }
}
