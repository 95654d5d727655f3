package org.stratopneum.web.fleet.places;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Places as rows. */
@Mapper
interface PlaceMapper {

    String PLACES =
            "select id, name, height_m, home, indoor_c, indoor_humidity, latitude_deg, longitude_deg, retired_on, version from place ";

    /** The one where the bikes stand first, those that are out of use last. */
    @Select(PLACES + "order by retired_on is not null, home desc, name, id")
    List<Place> places();

    @Select(PLACES + "where id = #{id}")
    Optional<Place> place(UUID id);

    @Insert("""
            insert into place (id, name, height_m, indoor_c, indoor_humidity, latitude_deg, longitude_deg)
            values (#{id}, #{name}, #{heightM}, #{indoorC}, #{indoorHumidity}, #{latitudeDeg}, #{longitudeDeg})
            on conflict do nothing
            """)
    int insert(Place place);

    @Update("""
            update place
            set name = #{name}, height_m = #{heightM}, indoor_c = #{indoorC}, indoor_humidity = #{indoorHumidity},
                latitude_deg = #{latitudeDeg}, longitude_deg = #{longitudeDeg}, version = version + 1
            where id = #{id} and version = #{version}
            """)
    int update(Place place);

    @Update("""
            update place
            set retired_on = #{on}, home = home and #{on}::date is null, version = version + 1
            where id = #{id}
            """)
    int retire(UUID id, LocalDate on);

    @Update("update place set home = false where home")
    int clearHome();

    @Update("update place set home = true where id = #{id} and retired_on is null")
    int makeHome(UUID id);
}
