package org.stratopneum.web.fleet.gauges;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.stratopneum.core.quantity.PressureUnit;

/** Gauges and their pairs as rows. */
@Mapper
interface GaugeMapper {

    /** A pair; pressures (kPa gauge). */
    record PairRow(
            UUID id,
            UUID gaugeId,
            UUID referenceId,
            double shownKpa,
            double referenceKpa,
            Instant readAt,
            boolean struck) {}

    String GAUGES = "select id, name, unit, reference, in_hand, offset_kpa, slope, retired_on, version from gauge ";

    @Select(GAUGES + "order by retired_on is not null, name, id")
    List<Gauge> gauges();

    @Select(GAUGES + "where id = #{id}")
    Optional<Gauge> gauge(UUID id);

    @Insert("insert into gauge (id, name, unit) values (#{id}, #{name}, #{unit}) on conflict do nothing")
    int insert(UUID id, String name, PressureUnit unit);

    @Update("""
            update gauge set name = #{name}, unit = #{unit}, version = version + 1
            where id = #{id} and version = #{version}
            """)
    int update(UUID id, String name, PressureUnit unit, int version);

    @Update("""
            update gauge
            set retired_on = #{on}, reference = reference and #{on}::date is null,
                in_hand = in_hand and #{on}::date is null, version = version + 1
            where id = #{id}
            """)
    int retire(UUID id, LocalDate on);

    @Update("update gauge set reference = false where reference")
    int clearReference();

    @Update("update gauge set reference = true where id = #{id} and retired_on is null")
    int makeReference(UUID id);

    @Update("update gauge set in_hand = false where in_hand")
    int clearHand();

    @Update("update gauge set in_hand = true where id = #{id} and retired_on is null")
    int takeInHand(UUID id);

    @Update("update gauge set offset_kpa = #{offsetKpa}, slope = #{slope} where id = #{id}")
    int fit(UUID id, double offsetKpa, double slope);

    @Select("""
            select id, gauge_id, reference_id, shown_kpa, reference_kpa, read_at, struck
            from gauge_pair order by read_at desc, id
            """)
    List<PairRow> pairs();

    @Insert("""
            insert into gauge_pair (id, gauge_id, reference_id, shown_kpa, reference_kpa, read_at)
            values (#{id}, #{gaugeId}, #{referenceId}, #{shownKpa}, #{referenceKpa}, #{readAt})
            on conflict do nothing
            """)
    int insertPair(PairRow pair);

    @Update("update gauge_pair set struck = #{struck} where id = #{id} and gauge_id = #{gaugeId}")
    int strike(UUID gaugeId, UUID id, boolean struck);
}
