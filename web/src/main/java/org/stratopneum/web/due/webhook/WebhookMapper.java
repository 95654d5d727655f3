package org.stratopneum.web.due.webhook;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Webhooks and what they were told, as rows. */
@Mapper
interface WebhookMapper {

    @Select("select id, url, secret, made_at from webhook order by made_at, id")
    List<Webhook> all();

    @Select("select id, url, secret, made_at from webhook where id = #{id}")
    Optional<Webhook> webhook(UUID id);

    @Insert("""
            insert into webhook (id, url, secret, made_at, next_at)
            values (#{id}, #{url}, #{secret}, #{madeAt}, #{madeAt})
            on conflict do nothing
            """)
    int insert(Webhook webhook);

    @Delete("delete from webhook where id = #{id}")
    int delete(UUID id);

    String DELIVERIES = """
            select webhook_id, matter, id, what, body, made_at, attempts, answer, sent_at, given_up from webhook_delivery
            """;

    @Select(DELIVERIES + "where webhook_id = #{webhook} order by made_at desc, matter")
    List<Delivery> deliveries(UUID webhook);

    @Select(DELIVERIES + "where id = #{id}")
    Optional<Delivery> delivery(UUID id);

    @Insert("""
            insert into webhook_delivery (webhook_id, matter, id, what, body, made_at)
            values (#{webhookId}, #{matter}, #{id}, #{what}, #{body}, #{madeAt})
            on conflict do nothing
            """)
    int add(Delivery delivery);

    @Update("""
            update webhook_delivery
            set attempts = #{attempts}, answer = #{answer}, sent_at = #{sentAt}, given_up = #{givenUp}
            where id = #{id}
            """)
    int keep(Delivery delivery);

    @Delete("delete from webhook_delivery where id = #{id}")
    int forget(UUID id);

    /** Whose webhooks are to be looked after. */
    @Select("select claim_webhooks(#{now}, #{most})")
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    List<UUID> claim(Instant now, int most);
}
