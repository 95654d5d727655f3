package org.stratopneum.web.door.account;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** How often signing in has failed lately, by name and by address. */
@Mapper
interface GuardMapper {

    /** Failures in a row, and when the last was. */
    record Failures(int failures, Instant lastFailure) {}

    @Select("select failures, last_failure from visits.sign_in_guard where key = #{key}")
    Optional<Failures> failures(String key);

    @Insert("""
            insert into visits.sign_in_guard as g (key, failures, last_failure) values (#{key}, 1, #{at})
            on conflict (key) do update
            set failures = case when g.last_failure < #{forgetBefore} then 1 else g.failures + 1 end,
                last_failure = excluded.last_failure
            """)
    void fail(String key, Instant at, Instant forgetBefore);

    @Delete("delete from visits.sign_in_guard where key = #{key} or last_failure < #{forgetBefore}")
    void succeed(String key, Instant forgetBefore);
}
