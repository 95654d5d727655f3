package org.stratopneum.web.door.account;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** The second step of a rider's sign-in, as a row. */
@Mapper
interface SecondStepMapper {

    /** @param confirmedAt null until a code has shown that the authenticator has the secret */
    record Row(byte[] secret, Instant confirmedAt, long lastStep) {}

    @Select("select secret, confirmed_at, last_step from second_step")
    Optional<Row> own();

    /** 0 where one is in force already. */
    @Insert("""
            insert into second_step as s (secret, made_at) values (#{secret}, #{at})
            on conflict (owner) do update set secret = excluded.secret, made_at = excluded.made_at
            where s.confirmed_at is null
            """)
    int prepare(byte[] secret, Instant at);

    /** Uses the code of a time step up; 0 where it, or a later one, was used before. */
    @Update("""
            update second_step set last_step = #{step}, confirmed_at = coalesce(confirmed_at, #{at})
            where last_step < #{step}
            """)
    int use(long step, Instant at);

    @Delete("delete from second_step")
    int remove();
}
