package org.stratopneum.web.rider.tokens;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Keeps tokens by their digests. */
@Mapper
interface TokenMapper {

    /** Whose a digest is, and what it may do. */
    record Holder(UUID riderId, UUID tokenId, String scopes) {}

    @Select("select rider_id, token_id, scopes from token_by_digest(#{digest})")
    Optional<Holder> holder(String digest);

    @Select("""
            select id, name, array_to_string(scopes, ' ') as scopes, made_at, used_at from api_token
            where revoked_at is null order by made_at desc, id
            """)
    List<Token> all();

    @Insert("""
            insert into api_token (id, name, digest, scopes, made_at)
            values (#{token.id}, #{token.name}, #{digest}, string_to_array(#{token.scopes}, ' '), #{token.madeAt})
            on conflict do nothing
            """)
    int insert(Token token, String digest);

    @Update("update api_token set revoked_at = #{at} where id = #{id} and revoked_at is null")
    int revoke(UUID id, Instant at);

    @Update("""
            update api_token set used_at = #{at}
            where id = #{id} and (used_at is null or used_at < #{at}::timestamptz - interval '1 minute')
            """)
    int used(UUID id, Instant at);
}
