package org.stratopneum.web.support;

import java.time.Instant;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogEntry;
import org.stratopneum.web.log.LogSubject;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.Ridden;
import org.stratopneum.web.log.WheelNote;

/** One bike with one wheelset, made inside a test rider's transaction; ids are made by the caller's rider. */
public record TestGarage(UUID bike, UUID wheelset, UUID rear, UUID front, UUID rearTire, UUID frontTire) {

    public static TestGarage make(JdbcTemplate jdbc, Logbook logbook, Instant at) {
        TestGarage garage = new TestGarage(id(), id(), id(), id(), id(), id());
        jdbc.update(
                "insert into bike (id, name, posture, bike_kg, drop_school) values (?, 'Test bike', 'MOUNTAIN', 13, 'BALANCED')",
                garage.bike);
        jdbc.update("insert into bike_ground (bike_id, ground, share) values (?, 'CROSS_COUNTRY', 1)", garage.bike);
        jdbc.update("insert into wheelset (id, bike_id, name) values (?, ?, 'Set one')", garage.wheelset, garage.bike);
        garage.wheel(jdbc, garage.rear, garage.wheelset, "REAR");
        garage.wheel(jdbc, garage.front, garage.wheelset, "FRONT");
        tire(jdbc, garage.rearTire, "Rear tire");
        tire(jdbc, garage.frontTire, "Front tire");
        logbook.write(entry(at, LogSubject.wheelset(garage.bike, garage.wheelset), new LogDetail.WheelsetMounted()));
        garage.fit(logbook, garage.rear, garage.rearTire, at);
        garage.fit(logbook, garage.front, garage.frontTire, at);
        return garage;
    }

    public void fit(Logbook logbook, UUID wheel, UUID tire, Instant at) {
        logbook.write(entry(
                at, LogSubject.wheel(bike, wheel, tire), new LogDetail.TireFitted(SetupKind.TUBELESS, false, null)));
    }

    public void wheel(JdbcTemplate jdbc, UUID wheel, UUID set, String position) {
        UUID rim = id();
        jdbc.update(
                "insert into rim (id, name, bsd_mm, internal_width_mm, tubeless_bed, max_kpa)"
                        + " values (?, 'Rim', 622, 30, 'TAPED', 400)",
                rim);
        jdbc.update(
                "insert into wheel (id, wheelset_id, position, rim_id) values (?, ?, ?, ?)", wheel, set, position, rim);
    }

    public static void tire(JdbcTemplate jdbc, UUID tire, String name) {
        jdbc.update(
                "insert into tire (id, name, nominal_width_mm, bsd_mm, casing, max_kpa)"
                        + " values (?, ?, 57, 622, 'STANDARD', 350)",
                tire,
                name);
    }

    /** A ride of which no more was said than how the wheels felt, null where nothing was. */
    public static Ridden ridden(WheelNote rear, WheelNote front) {
        return new Ridden(null, null, null, Map.of(), false, PressureUnit.PSI, null, rear, front);
    }

    public static LogEntry entry(Instant at, LogSubject subject, LogDetail detail) {
        return LogEntry.of(id(), at, at, "Europe/Vienna", subject, detail);
    }

    public static UUID id() {
        return UUID.randomUUID();
    }
}
