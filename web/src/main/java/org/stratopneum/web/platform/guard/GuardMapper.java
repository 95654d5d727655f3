package org.stratopneum.web.platform.guard;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** How often something was tried lately, and from when on it may be tried again. */
@Mapper
interface GuardMapper {

    @Select("select heard_from from visits.sign_in_guard where key = #{key}")
    Optional<Instant> heardFrom(String key);

    /** Counts a try; 0 where it comes too soon, and is not counted. Whoever asks at the same time waits for the answer. */
    @Insert("""
            insert into visits.sign_in_guard as g (key, failures, last_failure, heard_from)
            values (#{limit.key}, 1, #{now},
                    case when #{limit.free} > 1 then '-infinity'::timestamptz
                         else #{now}::timestamptz + interval '1 second' * #{limit.firstS} end)
            on conflict (key) do update
            set failures = case when g.last_failure < #{forgetBefore} then 1 else g.failures + 1 end,
                last_failure = excluded.last_failure,
                heard_from = case
                  when g.last_failure < #{forgetBefore} or g.failures + 1 < #{limit.free} then '-infinity'
                  else excluded.last_failure + interval '1 second'
                       * least(#{limit.longestS}, #{limit.firstS} * power(2, least(g.failures + 1 - #{limit.free}, 20)))
                end
            where g.heard_from <= #{now}
            """)
    int reserve(Limit limit, Instant now, Instant forgetBefore);

    /** Takes a try back that was none. */
    @Update("""
            update visits.sign_in_guard set failures = greatest(1, failures - 1), heard_from = '-infinity'
            where key = #{key}
            """)
    int giveBack(String key);

    @Delete("delete from visits.sign_in_guard where key = #{key} or last_failure < #{forgetBefore}")
    int forget(String key, Instant forgetBefore);
}
