package org.stratopneum.web.fleet.bikes;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Reads the garage as it stood at a moment. */
@Mapper
interface GarageMapper {

    /**
     * The wheels that are in bikes at {@code at}, with what is fitted and last read, in the order of the bikes.
     *
     * @param bikeId only this bike, retired or not, or null for all that are not retired
     * @param wheelsetId as if this wheelset was in, or null for the one that is
     * @param each as if each wheelset of a bike was in it, of all bikes
     */
    List<WheelStateRow> standing(UUID bikeId, UUID wheelsetId, boolean each, Instant at);

    @Select("""
            select b.id as bike_id, b.rider_name is null as keepers, b.own_taste as alone, g.ground, g.share
            from bike b left join bike_ground g on g.bike_id = b.id
            order by b.id, g.share desc, g.ground
            """)
    List<TasteRow> tastes();

    /** 0 where there is no such bike. */
    @Update("update bike set own_taste = #{alone}, version = version + 1 where id = #{bikeId}")
    int standAlone(UUID bikeId, boolean alone);

    /**
     * Whoever learns about bikes waits until nobody else does, and then sees what they wrote. The entries that were just
     * written hold a bike's key, which this lock leaves alone: a stronger one would wait for itself.
     */
    @Select("select id from bike order by id for no key update")
    List<UUID> lock();

    @Insert("""
            insert into dialled (bike_id, position, model, factor, low, high, notes, own_kpa)
            values (#{bikeId}, #{position}, #{model}, #{dialled.factor}, #{dialled.low}, #{dialled.high},
                    #{dialled.notes}, #{dialled.ownKpa})
            on conflict (owner, bike_id, position) do update
            set model = excluded.model, factor = excluded.factor, low = excluded.low, high = excluded.high,
                notes = excluded.notes, own_kpa = excluded.own_kpa
            """)
    int keepDialled(UUID bikeId, WheelPosition position, int model, LearnedPressure dialled);

    /** Those of two tires that are light because nobody chose; either may be null. */
    @Select(
            "select id as tire, name from tire where id in (#{one}::uuid, #{other}::uuid) and casing_unchosen order by name")
    List<CasingQuestion> casingQuestions(UUID one, UUID other);

    @Select("select distinct bike_id from dialled")
    List<UUID> bikesDialled();

    /** Internal width of a wheel's rim (mm); null when there is no such wheel. */
    @Select("select r.internal_width_mm from wheel w join rim r on r.id = w.rim_id where w.id = #{wheelId}")
    Double rimWidthMm(UUID wheelId);

    @Select("""
            select b.id as bike_id, b.name as bike_name, s.id as wheelset_id, s.name as wheelset_name, w.position,
                   other.id as other_wheel,
                   coalesce(s.id = (select e.wheelset_id from log_current e
                                    where e.bike_id = b.id and e.kind = 'WHEELSET_MOUNTED'
                                    order by e.happened_at desc, e.sequence desc limit 1), false) as mounted
            from wheel w
            join wheelset s on s.id = w.wheelset_id
            join bike b on b.id = s.bike_id
            left join wheel other on other.wheelset_id = s.id and other.id <> w.id
            where w.id = #{wheelId}
            """)
    Optional<WheelPlace> place(UUID wheelId);
}
