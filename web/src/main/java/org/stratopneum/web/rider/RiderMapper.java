package org.stratopneum.web.rider;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Units;

/** The rider's own row; row security shows no other. */
@Mapper
public interface RiderMapper {

    @Select("""
            select id, name, zone, pressure_unit, mass_unit, length_unit, volume_unit, temperature_unit, distance_unit,
                   theme, letter_keys, body_kg, scoop_ml, dates, twelve_hours, first_day, decimal_comma, language,
                   demo_day, version
            from rider where id = current_rider()
            """)
    Optional<Rider> self();

    @Insert("""
            insert into rider (id, name, zone, pressure_unit, mass_unit, body_kg, dates, twelve_hours, first_day,
                               decimal_comma, language, demo_day, created_at)
            values (#{rider.id}, #{rider.name}, #{rider.zone}, #{rider.pressureUnit}, #{rider.massUnit},
                    #{rider.bodyKg}, #{rider.dates}, #{rider.twelveHours}, #{rider.firstDay}, #{rider.decimalComma},
                    #{rider.language}, #{rider.demoDay}, #{at})
            """)
    void insert(Rider rider, Instant at);

    @Update("""
            update rider set pressure_unit = #{unit}, version = version + 1
            where id = current_rider() and pressure_unit <> #{unit}
            """)
    int rememberUnit(PressureUnit unit);

    /** 0 when the row was changed since {@code version}. */
    @Update("""
            update rider
            set zone = #{zone}, pressure_unit = #{units.pressure}, mass_unit = #{units.mass},
                length_unit = #{units.length}, volume_unit = #{units.volume},
                temperature_unit = #{units.temperature}, distance_unit = #{units.distance}, theme = #{theme},
                letter_keys = #{letterKeys}, scoop_ml = #{scoopMl}, dates = #{region.dates},
                twelve_hours = #{region.twelveHours}, first_day = #{region.firstDay},
                decimal_comma = #{region.decimalComma}, language = #{region.language}, version = version + 1
            where id = current_rider() and version = #{version}
            """)
    int change(
            String zone,
            Units units,
            Rider.Theme theme,
            boolean letterKeys,
            Double scoopMl,
            Region region,
            int version);

    @Update("update rider set body_kg = #{kg}, version = version + 1 where id = current_rider()")
    void weigh(double kg);

    @Delete("delete from rider where id = current_rider()")
    void deleteSelf();

    /** Moves the demo rider's entries forward to {@code today}; the number of entries moved, 0 when they are there. */
    @Select("select move_demo_to(#{demoRider}, #{today})")
    int moveDemoTo(UUID demoRider, LocalDate today);
}
