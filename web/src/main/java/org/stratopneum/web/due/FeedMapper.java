package org.stratopneum.web.due;

import java.time.Instant;
import java.util.List;
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

    @Select("select matter, due, what, path, sequence, changed_at, alarm_at, gone_at from feed_entry")
    List<FeedEntry> entries();

    @Insert("""
            insert into feed_entry (matter, due, what, path, sequence, changed_at, alarm_at, gone_at)
            values (#{matter}, #{due}, #{what}, #{path}, #{sequence}, #{changedAt}, #{alarmAt}, #{goneAt})
            on conflict (owner, matter) do update
            set due = excluded.due, what = excluded.what, path = excluded.path, sequence = excluded.sequence,
                changed_at = excluded.changed_at, alarm_at = excluded.alarm_at, gone_at = excluded.gone_at
            """)
    int keepEntry(FeedEntry entry);

    @Delete("delete from feed_entry where gone_at < #{before}")
    int forgetGone(Instant before);

    /** Whose agenda it is, whoever asks; null where the secret is nobody's. */
    @Select("select rider_of_feed(#{secret})")
    UUID riderOf(String secret);
}
