package org.stratopneum.web.due.digest;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Digests as rows. */
@Mapper
interface DigestMapper {

    @Select("select address, every, secret, confirmed_at, next_at from digest")
    Optional<Digest> own();

    @Insert("""
            insert into digest (address, every, secret, confirmed_at, next_at)
            values (#{address}, #{every}, #{secret}, #{confirmedAt}, #{nextAt})
            on conflict (owner) do update
            set address = excluded.address, every = excluded.every, secret = excluded.secret,
                confirmed_at = excluded.confirmed_at, next_at = excluded.next_at
            """)
    int keep(Digest digest);

    @Update("update digest set next_at = #{at}")
    int sendNext(Instant at);

    @Delete("delete from digest")
    int forget();

    /** Whose digest it is, whoever asks; null where the secret is nobody's. */
    @Select("select rider_of_digest(#{secret})")
    UUID riderOf(String secret);

    /** Whose digests are to be sent, each handed out once in an hour. */
    @Select("select claim_digests(#{now}, #{most})")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<UUID> claim(Instant now, int most);
}
