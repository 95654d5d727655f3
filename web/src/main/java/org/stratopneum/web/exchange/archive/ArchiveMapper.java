package org.stratopneum.web.exchange.archive;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.apache.ibatis.cursor.Cursor;

/**
 * Rows of whole tables as JSON. Names of tables and columns are those of {@link ArchiveTable} and of the database
 * itself; nothing of a file gets into a statement.
 */
@Mapper
interface ArchiveMapper {

    /** A row without its owner, and without what is worked out or counted by the database. */
    String ROW = "to_jsonb(t) - array['owner', 'sequence', 'nr', 'lexemes', 'stems', 'words', 'removed_at']"
            + "<if test='table.binary != null'> || jsonb_build_object('${table.binary}',"
            + " translate(encode(t.${table.binary}, 'base64'), E'\\n', ''))</if>";

    String FROM_ALL = " from ${table.table} t";

    String FROM = " from ${table.table} t<if test=\"table.name() == 'PHOTOS'\"> where removed_at is null</if>";

    /** Rows with the names that an archive gives them; made by the database, which is several times faster than here. */
    String NAMED_ROWS = """
            <script>
            select row_to_json(r)::text from (
              select <foreach collection="columns" item="column" separator=","><choose>
                <when test="column.name == table.binary">translate(encode(t."${column.name}", 'base64'), E'\\n', '')</when>
                <otherwise>t."${column.name}"</otherwise></choose> as "${column.json}"</foreach>
            """ + FROM + """
             order by ${table.order}) r
            </script>
            """;

    @Select(NAMED_ROWS)
    @Options(fetchSize = 1000)
    Cursor<String> rows(ArchiveTable table, List<Column> columns);

    /** The same where a row is large: fewer of them stand in memory. */
    @Select(NAMED_ROWS)
    @Options(fetchSize = 20)
    Cursor<String> largeRows(ArchiveTable table, List<Column> columns);

    /** A column, and what an archive calls it. */
    record Column(String name, String json) {}

    @Select(
            "select (to_jsonb(r) - array['id', 'created_at', 'demo_day', 'version'])::text from rider r where id = current_rider()")
    String rider();

    @Update("""
            update rider r
            set zone = s.zone, pressure_unit = s.pressure_unit, mass_unit = s.mass_unit, length_unit = s.length_unit,
                volume_unit = s.volume_unit, temperature_unit = s.temperature_unit, distance_unit = s.distance_unit,
                theme = s.theme, letter_keys = s.letter_keys, body_kg = s.body_kg, scoop_ml = s.scoop_ml,
                bench = coalesce(s.bench, r.bench), dates = coalesce(s.dates, r.dates),
                twelve_hours = coalesce(s.twelve_hours, r.twelve_hours),
                first_day = coalesce(s.first_day, r.first_day),
                decimal_comma = coalesce(s.decimal_comma, r.decimal_comma), language = coalesce(s.language, r.language),
                version = r.version + 1
            from jsonb_populate_record(null::rider, #{json}::jsonb) s
            where r.id = current_rider()
            """)
    int ways(String json);

    @Select("""
            select column_name from information_schema.columns
            where table_schema = 'public' and table_name = #{table} and is_generated = 'NEVER'
              and is_identity = 'NO' and column_name not in ('owner', 'stems', 'words', 'removed_at')
            order by ordinal_position
            """)
    List<String> columns(String table);

    /** Inserts those rows of a list that are not there yet, in their order; the number of them. */
    @Insert("""
            <script>
            insert into ${table.table} (<foreach collection="columns" item="column" separator=",">"${column}"</foreach>)
            select <foreach collection="columns" item="column" separator=","><choose>
              <when test="column == table.binary">decode(j.item ->> '${column}', 'base64')</when>
              <otherwise>r."${column}"</otherwise></choose></foreach>
            from jsonb_array_elements(#{json}::jsonb) with ordinality as j(item, nr),
              lateral jsonb_populate_record(null::${table.table}, j.item<if test="table.binary != null"> - '${table.binary}'</if>) r
            order by j.nr
            on conflict do nothing
            </script>
            """)
    int insert(ArchiveTable table, List<String> columns, String json);

    /** What a picture was made of anew differs a little each time: by its id and its entry it is the same. */
    String SAME =
            " - array['version'<if test=\"table.name() == 'PHOTOS'\">, 'bytes', 'width', 'height', 'media_type'</if>])";

    /** A row of a list that is not there as it stands in it, and what is there instead, or null. */
    record Different(String item, String here) {}

    @Select("<script>select j.item::text as item, (select (" + ROW + ")::text " + FROM_ALL
            + """
             where t."${table.key}"::text = j.item ->> '${table.key}') as here
            from (select jsonb_strip_nulls(item
            """
            + SAME + " as same, item from jsonb_array_elements(#{json}::jsonb) i(item)) j where j.same not in"
            + " (select jsonb_strip_nulls((" + ROW + ")" + SAME + FROM_ALL + """
             where t."${table.key}"::text in (
               select item ->> '${table.key}' from jsonb_array_elements(#{json}::jsonb) k(item)))
            </script>
            """)
    List<Different> different(ArchiveTable table, String json);

    /** Writes rows of a list over those of the same key. */
    @Update("""
            <script>
            update ${table.table} t
            set <foreach collection="columns" item="column" separator=",">"${column}" = <choose>
              <when test="column == 'version'">t.version + 1</when>
              <otherwise>r."${column}"</otherwise></choose></foreach>
            from jsonb_array_elements(#{json}::jsonb) j(item),
              lateral jsonb_populate_record(null::${table.table}, j.item) r
            where t."${table.key}" = r."${table.key}"
            </script>
            """)
    int replace(ArchiveTable table, List<String> columns, String json);

    /** Whether the pieces of one thing are just those of a list. */
    @Select("<script>with there as (select jsonb_strip_nulls((" + ROW + ")" + SAME + " as item" + FROM_ALL + """
             where t."${table.parentColumn}" = #{parent}), here as (select jsonb_strip_nulls(item
            """ + SAME
            + """
             as item from jsonb_array_elements(#{json}::jsonb) j(item))
            select not exists (select item from there except select item from here)
              and not exists (select item from here except select item from there)
            </script>
            """)
    boolean samePieces(ArchiveTable table, UUID parent, String json);

    @Delete("delete from ${table.table} where \"${table.parentColumn}\" = #{parent}")
    int deletePieces(ArchiveTable table, UUID parent);

    /**
     * Which ids are there.
     *
     * @param table one of ours
     * @param ids as PostgreSQL writes an array
     */
    @Select(
            "select i.id from unnest(#{ids}::uuid[]) i(id) join ${table} t on t.owner = current_rider() and t.id = i.id")
    Set<UUID> among(String table, String ids);

    /** A column that names a row of another table, or of the same. */
    record Reference(String column, String target) {}

    @Select("""
            select a.attname as column, r.relname as target
            from pg_constraint c
              join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[2]
              join pg_class r on r.oid = c.confrelid
              join pg_attribute k on k.attrelid = c.confrelid and k.attnum = c.confkey[2]
            where c.contype = 'f' and c.conrelid = #{table}::regclass and cardinality(c.conkey) = 2 and k.attname = 'id'
            """)
    List<Reference> references(String table);

    /** Whether there is anything in the garage. */
    @Select("""
            select not exists (select 1 from log_entry) and not exists (select 1 from bike)
              and not exists (select 1 from tire) and not exists (select 1 from shelf_item)
              and not exists (select 1 from gauge) and not exists (select 1 from place)
            """)
    boolean empty();
}
