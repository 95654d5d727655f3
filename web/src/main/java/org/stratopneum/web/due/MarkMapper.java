package org.stratopneum.web.due;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;

/** What was put off and skipped, as rows. */
@Mapper
interface MarkMapper {

    @Insert("""
            insert into agenda_mark (matter, act, due_on, until, reason, made_at)
            values (#{mark.matter}, #{mark.act}, #{mark.dueOn}, #{mark.until}, #{mark.reason}, #{at})
            on conflict (owner, matter) do update
            set act = excluded.act, due_on = excluded.due_on, until = excluded.until, reason = excluded.reason,
                made_at = excluded.made_at
            """)
    void keep(Mark mark, Instant at);

    @Delete("delete from agenda_mark where matter = #{matter}")
    int take(String matter);
}
