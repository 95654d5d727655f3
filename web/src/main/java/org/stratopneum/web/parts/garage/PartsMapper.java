package org.stratopneum.web.parts.garage;

import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.stratopneum.core.fit.RimBed;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.pressure.Casing;
import org.stratopneum.core.pressure.Ground;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/** Bikes, wheelsets, wheels, rims and tires as rows; what is fitted where is in the log. */
@Mapper
interface PartsMapper {

    /** A bike's row as far as editing needs it. */
    record BikeRow(UUID id, String name, LocalDate retiredOn, int version) {}

    record WheelsetRow(UUID id, UUID bikeId, String bikeName, String name, LocalDate retiredOn, int version) {}

    record WheelRow(UUID id, UUID wheelsetId, WheelPosition position, UUID rimId, UUID bikeId, String bikeName) {}

    record RimRow(
            UUID id,
            String name,
            double bsdMm,
            double internalWidthMm,
            Double depthMm,
            Boolean hookless,
            RimBed tubelessBed,
            Double valveHoleMm,
            ValveBase valveSeat,
            boolean valveOffCentre,
            Double maxKpa,
            Integer spokes,
            LocalDate boughtOn,
            BigDecimal price,
            Boolean widthAssumed,
            LocalDate retiredOn,
            int version) {}

    record TireRow(
            UUID id,
            String name,
            double nominalWidthMm,
            double bsdMm,
            Double measuringRimWidthMm,
            Casing casing,
            Boolean tubelessMarked,
            Boolean hooklessAllowed,
            boolean directional,
            Double maxKpa,
            Double minKpa,
            Double maxLoadKg,
            LocalDate boughtOn,
            BigDecimal price,
            LocalDate retiredOn,
            int version) {}

    /** What a wheel carries now: the last thing that was fitted or taken off. */
    record Fitting(UUID wheelId, UUID tireId, boolean fitted, Instant at) {}

    @Insert("""
            insert into bike (id, name, position, posture, bike_kg, gear_kg, luggage_front_kg, luggage_middle_kg,
                              luggage_rear_kg, drop_school, wet, opening_rear_mm, opening_front_mm,
                              weighed_rear_kg, weighed_front_kg, rider_name, rider_kg)
            values (#{id}, #{bike.name}, (select coalesce(max(position), 0) + 1 from bike), #{bike.posture},
                    #{bike.ride.mass.bikeKg}, #{bike.ride.mass.gearKg}, #{bike.ride.mass.luggageFrontKg},
                    #{bike.ride.mass.luggageMiddleKg}, #{bike.ride.mass.luggageRearKg}, #{bike.ride.drop},
                    #{bike.ride.wet}, #{bike.openings.rearMm}, #{bike.openings.frontMm}, #{bike.weighed.rearKg},
                    #{bike.weighed.frontKg}, #{bike.riderName}, #{riderKg})
            on conflict do nothing
            """)
    int insertBike(UUID id, BikeSpec bike, Double riderKg);

    /** What the keeper weighed before stays with this bike. */
    @Update("update bike set rider_kg = #{kg}, version = version + 1 where id = #{id} and rider_kg is null")
    int keepMass(UUID id, double kg);

    @Update("""
            update bike
            set name = #{bike.name}, posture = #{bike.posture}, bike_kg = #{bike.ride.mass.bikeKg},
                gear_kg = #{bike.ride.mass.gearKg}, luggage_front_kg = #{bike.ride.mass.luggageFrontKg},
                luggage_middle_kg = #{bike.ride.mass.luggageMiddleKg},
                luggage_rear_kg = #{bike.ride.mass.luggageRearKg}, drop_school = #{bike.ride.drop},
                wet = #{bike.ride.wet}, opening_rear_mm = #{bike.openings.rearMm},
                opening_front_mm = #{bike.openings.frontMm}, weighed_rear_kg = #{bike.weighed.rearKg},
                weighed_front_kg = #{bike.weighed.frontKg}, rider_name = #{bike.riderName}, rider_kg = #{riderKg},
                version = version + 1
            where id = #{id} and version = #{version}
            """)
    int updateBike(UUID id, BikeSpec bike, Double riderKg, int version);

    @Delete("delete from bike_ground where bike_id = #{bikeId}")
    void clearGrounds(UUID bikeId);

    @Insert("insert into bike_ground (bike_id, ground, share) values (#{bikeId}, #{ground}, #{share})")
    void insertGround(UUID bikeId, Ground ground, double share);

    @Select("select id, name, retired_on, version from bike where id = #{id}")
    Optional<BikeRow> bike(UUID id);

    @Update("update bike set retired_on = #{on}, version = version + 1 where id = #{id}")
    int retireBike(UUID id, LocalDate on);

    @Insert("insert into wheelset (id, bike_id, name) values (#{id}, #{bikeId}, #{name}) on conflict do nothing")
    int insertWheelset(UUID id, UUID bikeId, String name);

    @Select("""
            select s.id, s.bike_id, b.name as bike_name, s.name, s.retired_on, s.version
            from wheelset s join bike b on b.id = s.bike_id where s.id = #{id}
            """)
    Optional<WheelsetRow> wheelset(UUID id);

    @Update("update wheelset set retired_on = #{on}, version = version + 1 where id = #{id}")
    int retireWheelset(UUID id, LocalDate on);

    @Insert("""
            insert into wheel (id, wheelset_id, position, rim_id) values (#{id}, #{wheelsetId}, #{position}, #{rimId})
            """)
    void insertWheel(UUID id, UUID wheelsetId, WheelPosition position, UUID rimId);

    @Select("""
            select w.id, w.wheelset_id, w.position, w.rim_id, s.bike_id, b.name as bike_name
            from wheel w join wheelset s on s.id = w.wheelset_id join bike b on b.id = s.bike_id where w.id = #{id}
            """)
    Optional<WheelRow> wheel(UUID id);

    @Select("""
            select w.id, w.wheelset_id, w.position, w.rim_id, s.bike_id, b.name as bike_name
            from wheel w join wheelset s on s.id = w.wheelset_id join bike b on b.id = s.bike_id where w.rim_id = #{rimId}
            """)
    List<WheelRow> wheelsOnRim(UUID rimId);

    @Insert("""
            insert into rim (id, name, bsd_mm, internal_width_mm, depth_mm, hookless, tubeless_bed, valve_hole_mm,
                             valve_seat, valve_off_centre, max_kpa, spokes, bought_on, price, width_assumed)
            values (#{id}, #{rim.name}, #{rim.beadSeatDiameterMm}, #{rim.internalWidthMm}, #{rim.depthMm},
                    #{rim.hookless}, #{rim.bed}, #{rim.valveHole.diameterMm}, #{rim.valveHole.seat},
                    #{rim.valveHole.offCentre}, #{rim.maxKpa}, #{rim.spokes}, #{rim.boughtOn},
                    #{rim.price}, #{rim.widthAssumed})
            on conflict do nothing
            """)
    int insertRim(UUID id, RimSpec rim);

    @Update("""
            update rim
            set name = #{rim.name}, bsd_mm = #{rim.beadSeatDiameterMm}, internal_width_mm = #{rim.internalWidthMm},
                depth_mm = #{rim.depthMm}, hookless = #{rim.hookless}, tubeless_bed = #{rim.bed},
                valve_hole_mm = #{rim.valveHole.diameterMm}, valve_seat = #{rim.valveHole.seat},
                valve_off_centre = #{rim.valveHole.offCentre}, max_kpa = #{rim.maxKpa}, spokes = #{rim.spokes},
                bought_on = #{rim.boughtOn}, price = #{rim.price}, width_assumed = #{rim.widthAssumed},
                version = version + 1
            where id = #{id} and version = #{version}
            """)
    int updateRim(UUID id, RimSpec rim, int version);

    @Select("""
            select * from rim where id = #{id}
            """)
    Optional<RimRow> rim(UUID id);

    @Select("""
            select * from rim r where not exists (select 1 from wheel w where w.rim_id = r.id)
            order by retired_on is not null, name, id
            """)
    List<RimRow> spareRims();

    @Select("select * from rim order by name, id")
    List<RimRow> rims();

    @Update("update rim set retired_on = #{on}, version = version + 1 where id = #{id}")
    int retireRim(UUID id, LocalDate on);

    /** A bed that was made for tubeless is taped now; any other stays what it is. */
    @Update("""
            update rim set tubeless_bed = 'TAPED', version = version + 1
            where id = #{id} and tubeless_bed = 'UNTAPED'
            """)
    int tapeRim(UUID id);

    @Insert("""
            insert into tire (id, name, nominal_width_mm, bsd_mm, measuring_rim_width_mm, casing, tubeless_marked,
                              hookless_allowed, directional, max_kpa, min_kpa, max_load_kg, bought_on, price)
            values (#{id}, #{tire.name}, #{tire.size.nominalWidthMm}, #{tire.size.beadSeatDiameterMm},
                    #{tire.measuringRimWidthMm}, #{tire.casing}, #{tire.tubelessMarked}, #{tire.hooklessAllowed},
                    #{tire.directional}, #{tire.maxKpa}, #{tire.minKpa}, #{tire.maxLoadKg}, #{tire.boughtOn},
                    #{tire.price})
            on conflict do nothing
            """)
    int insertTire(UUID id, TireSpec tire);

    @Update("""
            update tire
            set name = #{tire.name}, nominal_width_mm = #{tire.size.nominalWidthMm},
                bsd_mm = #{tire.size.beadSeatDiameterMm}, measuring_rim_width_mm = #{tire.measuringRimWidthMm},
                casing = #{tire.casing}, casing_unchosen = null, tubeless_marked = #{tire.tubelessMarked},
                hookless_allowed = #{tire.hooklessAllowed}, directional = #{tire.directional},
                max_kpa = #{tire.maxKpa}, min_kpa = #{tire.minKpa}, max_load_kg = #{tire.maxLoadKg},
                bought_on = #{tire.boughtOn}, price = #{tire.price}, version = version + 1
            where id = #{id} and version = #{version}
            """)
    int updateTire(UUID id, TireSpec tire, int version);

    /** Of two tires on one bike those are answered for together of which nobody knew, and that are called the same. */
    @Update("""
            update tire
            set tubeless_marked = coalesce(#{tubeless}::boolean, tubeless_marked),
                hookless_allowed = coalesce(#{hookless}::boolean, hookless_allowed), version = version + 1
            where id = #{id}
               or (id = #{twin}::uuid
                   and (name, nominal_width_mm) = (select name, nominal_width_mm from tire where id = #{id})
                   and case when #{tubeless}::boolean is null then hookless_allowed else tubeless_marked end is null)
            """)
    int answerOfTire(UUID id, UUID twin, Boolean tubeless, Boolean hookless);

    /** The same for the edge of a rim. */
    @Update("""
            update rim set hookless = #{hookless}, version = version + 1
            where id = #{id}
               or (id = #{twin}::uuid and hookless is null
                   and (name, internal_width_mm) = (select name, internal_width_mm from rim where id = #{id}))
            """)
    int answerOfRim(UUID id, UUID twin, boolean hookless);

    @Update("update tire set casing = #{casing}, casing_unchosen = null, version = version + 1 where id = #{id}")
    int chooseCasing(UUID id, Casing casing);

    /** Of the copy of a tire is asked what is asked of the tire. */
    @Update("""
            update tire
            set casing_unchosen = (select other.casing_unchosen from tire other where other.id = #{as})
            where id = #{id}
            """)
    void askAsOf(UUID id, UUID as);

    @Select("select * from tire where id = #{id}")
    Optional<TireRow> tire(UUID id);

    /** The width that a tire was last measured to have on the rim of a wheel (mm). */
    @Select("""
            select (e.detail ->> 'measuredWidthMm')::double precision
            from log_current e
            where e.tire_id = #{tireId} and e.wheel_id = #{wheelId} and e.kind = 'TIRE_FITTED'
            order by e.happened_at desc, e.sequence desc limit 1
            """)
    Optional<Double> measuredWidthMm(UUID tireId, UUID wheelId);

    @Select("select * from tire order by retired_on is not null, name, id")
    List<TireRow> tires();

    @Update("update tire set retired_on = #{on}, version = version + 1 where id = #{id}")
    int retireTire(UUID id, LocalDate on);

    /** For every wheel the last of what went on or came off it. */
    @Select("""
            select distinct on (wheel_id) wheel_id, tire_id, kind = 'TIRE_FITTED' as fitted, happened_at as at
            from log_current where kind in ('TIRE_FITTED', 'TIRE_REMOVED')
            order by wheel_id, happened_at desc, sequence desc
            """)
    List<Fitting> fittings();

    /** A wheel in its wheelset in its bike, each null where there is none below it. */
    record StandRow(
            UUID bikeId,
            String bikeName,
            LocalDate bikeRetiredOn,
            UUID wheelsetId,
            String wheelsetName,
            LocalDate wheelsetRetiredOn,
            Boolean mounted,
            UUID wheelId,
            WheelPosition position,
            String tireName,
            Double nominalWidthMm,
            Double bsdMm,
            Instant fittedSince,
            String rimName) {

        /** Whether this line tells that {@code wheelset} is in its bike. */
        boolean isIn(UUID wheelset) {
            return wheelset.equals(wheelsetId) && Boolean.TRUE.equals(mounted);
        }
    }

    /** All bikes with all their wheels, in or in the shed, those in use first. */
    List<StandRow> stands();
}
