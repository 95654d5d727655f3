package org.stratopneum.web.bikes;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Reads the garage as it stood at a moment. */
@Mapper
interface GarageMapper {

    /**
     * The wheels that are in bikes at {@code at}, with what is fitted and last read, in the order of the bikes.
     *
     * @param bikeId only this bike, or null for all
     */
    List<StandingRow> standing(UUID bikeId, Instant at);

    @Select("select bike_id, ground, share from bike_ground order by bike_id, share desc, ground")
    List<GroundRow> grounds();

    /** The gauge that readings are taken with when nobody says otherwise. */
    @Select("select id from gauge where retired_on is null order by reference desc, name limit 1")
    UUID usualGauge();
}
