package org.stratopneum.web.fleet.kept;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Results as rows. */
@Mapper
interface KeptMapper {

    /** @param madeFrom digest of the model and of all that went into it, {@code result} as JSON */
    record Row(UUID wheelId, String matter, byte[] madeFrom, String result) {}

    @Select("select wheel_id, matter, made_from, result from kept_result")
    List<Row> all();

    /** A wheel that is gone meanwhile has nothing to keep. */
    @Insert("""
            insert into kept_result (wheel_id, matter, made_from, result)
            select id, #{matter}, #{madeFrom}, #{result}::jsonb from wheel where id = #{wheelId}
            on conflict (owner, wheel_id, matter) do update
            set made_from = excluded.made_from, result = excluded.result
            """)
    void keep(Row row);
}
