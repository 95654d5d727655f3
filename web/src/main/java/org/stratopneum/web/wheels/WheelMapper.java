package org.stratopneum.web.wheels;

import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.stratopneum.web.bikes.WheelPosition;

/** Which bike and which pair a wheel belongs to. */
@Mapper
interface WheelMapper {

    /** @param mounted whether its pair is in the bike */
    record Place(
            UUID bikeId,
            String bikeName,
            UUID wheelsetId,
            String wheelsetName,
            WheelPosition position,
            UUID otherWheel,
            boolean mounted) {}

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
    Optional<Place> place(UUID wheelId);
}
