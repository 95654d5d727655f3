package org.stratopneum.web.pressure.ridden;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Recorded rides as rows, their files in pieces. */
@Mapper
interface TrackMapper {

    String TRACKS = """
            select id, name, bytes, sha256, kept_at, points, distance_m, climb_m, started_at, ended_at, latitude_deg,
                   longitude_deg, start_m, highest_m, temperature_c
            from track
            """;

    @Select(TRACKS + "where id = #{id}")
    Optional<KeptTrack> track(UUID id);

    @Select(TRACKS + "where highest_m is not null order by started_at desc nulls last, kept_at desc limit #{limit}")
    List<KeptTrack> highest(int limit);

    @Select("select exists (select 1 from log_current where kind = 'RIDDEN' and detail ->> 'track' = #{id})")
    boolean ridden(String id);

    @Select("select id from track where sha256 = #{sha256}")
    Optional<UUID> sameFile(byte[] sha256);

    @Insert("""
            insert into track (id, name, bytes, sha256, kept_at, points, distance_m, climb_m, started_at, ended_at,
                               latitude_deg, longitude_deg, start_m, highest_m, temperature_c)
            values (#{id}, #{name}, #{bytes}, #{sha256}, #{keptAt}, #{points}, #{distanceM}, #{climbM}, #{startedAt},
                    #{endedAt}, #{latitudeDeg}, #{longitudeDeg}, #{startM}, #{highestM}, #{temperatureC})
            on conflict do nothing
            """)
    int insert(KeptTrack track);

    @Insert("insert into track_piece (track_id, number, content) values (#{trackId}, #{number}, #{content})")
    int insertPiece(UUID trackId, int number, byte[] content);

    @Select("select content from track_piece where track_id = #{trackId} and number = #{number}")
    Optional<Piece> piece(UUID trackId, int number);

    /** A piece of a file: an array of its own would be taken for a list of rows. */
    record Piece(byte[] content) {}
}
