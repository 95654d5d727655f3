package org.stratopneum.web.platform.site;

import java.time.Instant;
import java.util.Optional;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** The key that all instances sign with. */
@Mapper
interface SigningKeyMapper {

    /** Bytes: an array of its own would be taken for a list of rows. */
    record Key(byte[] key) {}

    @Select("select key from visits.signing_key where name = 'usual'")
    Optional<Key> find();

    @Insert(
            "insert into visits.signing_key (name, key, made_at) values ('usual', #{key}, #{at}) on conflict do nothing")
    int keep(byte[] key, Instant at);
}
