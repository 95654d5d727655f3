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

    /** Wheels that are gone meanwhile have nothing to keep. */
    @Insert("""
            <script>
            insert into kept_result (wheel_id, matter, made_from, result)
            select wheel.id, given.matter, given.made_from, given.result::jsonb
            from (values
              <foreach collection="rows" item="row" separator=",">
                (#{row.wheelId}, #{row.matter}, #{row.madeFrom}, #{row.result})
              </foreach>
            ) as given(wheel_id, matter, made_from, result)
            join wheel on wheel.id = given.wheel_id
            order by wheel.id
            on conflict (owner, wheel_id, matter) do update
            set made_from = excluded.made_from, result = excluded.result
            </script>
            """)
    void keep(List<Row> rows);
}
