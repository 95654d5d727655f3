package org.stratopneum.web.log.entry;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Pictures beside entries. */
@Mapper
interface PhotoMapper {

    @Insert("""
            insert into photo (id, entry_id, media_type, width, height, bytes, added_at)
            values (#{id}, #{entry}, #{picture.mediaType}, #{picture.width}, #{picture.height}, #{picture.bytes}, #{at})
            on conflict do nothing
            """)
    int insert(UUID id, UUID entry, Picture picture, Instant at);

    @Select("""
            <script>
            select id, width, height from photo
            where removed_at is null
              and entry_id in <foreach collection="entries" item="entry" open="(" separator="," close=")">#{entry}</foreach>
            order by added_at, id
            </script>
            """)
    List<Photos.Shown> of(Collection<UUID> entries);

    @Select("select media_type, width, height, bytes from photo where id = #{id} and removed_at is null")
    Optional<Picture> picture(UUID id);

    /** The entry that a picture stands beside, whether it was taken away or not. */
    @Select("select entry_id from photo where id = #{id}")
    Optional<UUID> entryOf(UUID id);

    @Update("update photo set removed_at = #{at} where id = #{id}")
    int remove(UUID id, Instant at);

    @Update("update photo set removed_at = null where id = #{id}")
    int putBack(UUID id);

    @Delete("delete from photo where removed_at < #{before}")
    int forget(Instant before);
}
