package org.stratopneum.web.rider.quota;

import java.time.LocalDate;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What a rider has sent, as rows. */
@Mapper
interface QuotaMapper {

    /** All that came on a day. */
    record Sent(int files, long bytes, long rows) {}

    @Select("select files, bytes, rows from sent_on_day where day = #{day}")
    Optional<Sent> on(LocalDate day);

    /** Adds to what came on a day; 0 where that is more than may come. */
    @Insert("""
            insert into sent_on_day as s (day, files, bytes) values (#{day}, 1, #{bytes})
            on conflict (owner, day) do update set files = s.files + 1, bytes = s.bytes + excluded.bytes
            where s.files < #{mostFiles} and s.bytes + excluded.bytes <= #{mostBytes}
            """)
    int addFile(LocalDate day, long bytes, int mostFiles, long mostBytes);

    @Insert("""
            insert into sent_on_day as s (day, rows) values (#{day}, #{rows})
            on conflict (owner, day) do update set rows = s.rows + excluded.rows
            """)
    int addRows(LocalDate day, int rows);

    @Delete("delete from sent_on_day where day < #{day}")
    int forgetBefore(LocalDate day);
}
