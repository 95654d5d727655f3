package org.stratopneum.web.due;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The secret addresses of agendas as rows. */
@Mapper
interface FeedMapper {

    @Select("select secret from agenda_feed")
    Optional<String> secret();

    @Insert("""
            insert into agenda_feed (secret, made_at) values (#{secret}, #{madeAt})
            on conflict (owner) do update set secret = excluded.secret, made_at = excluded.made_at
            """)
    int keep(String secret, Instant madeAt);

    @Delete("delete from agenda_feed")
    int forget();

    /** Whose agenda it is, whoever asks; null where the secret is nobody's. */
    @Select("select rider_of_feed(#{secret})")
    UUID riderOf(String secret);
}
