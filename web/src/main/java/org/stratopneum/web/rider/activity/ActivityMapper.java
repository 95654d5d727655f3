package org.stratopneum.web.rider.activity;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** What was done at the door, as rows. */
@Mapper
interface ActivityMapper {

    @Insert("""
            insert into account_event (at, kind, device, address)
            values (#{at}, #{kind}, #{device}, #{address})
            """)
    int insert(AccountEvent event);

    @Select("select at, kind, device, address from account_event order by at desc, id desc limit #{most}")
    List<AccountEvent> newest(int most);

    /** What is old, and what is more than a flood of failures should leave. */
    @Delete("""
            delete from account_event
            where at < #{before}
               or id <= (select id from account_event order by id desc offset #{most} limit 1)
            """)
    int forget(Instant before, int most);
}
