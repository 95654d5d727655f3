package org.stratopneum.web.jobs;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.stratopneum.core.job.Answer;
import org.stratopneum.core.job.Given;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/** Job cards with their wheels and their answers, one row for each answer. */
@Mapper
interface CardMapper {

    /** @param choices as JSON */
    record CardRow(
            UUID id,
            Job job,
            UUID bikeId,
            String bikeName,
            String choices,
            Instant begunAt,
            Instant endedAt,
            boolean leftOff) {}

    /**
     * @param tireId the tire that goes on, or null for the one that is on
     * @param holding names of the conditions that held, as JSON
     */
    record WheelRow(UUID cardId, UUID wheelId, WheelPosition position, UUID wheelsetId, UUID tireId, String holding) {}

    record AnswerRow(
            UUID cardId,
            UUID wheelId,
            String step,
            Answer answer,
            Double value,
            Double temperatureC,
            PressureUnit readIn,
            Instant answeredAt) {

        /** Answers as the walk wants them, by the id of their step. */
        static Map<String, Given> given(Collection<AnswerRow> answers) {
            return answers.stream()
                    .collect(Collectors.toMap(
                            AnswerRow::step,
                            row -> new Given(row.answer, row.value, row.temperatureC, row.answeredAt)));
        }
    }

    String CARDS = """
            select c.id, c.job, c.bike_id, b.name as bike_name, c.choices::text as choices, c.begun_at, c.ended_at,
                   c.left_off
            from job_card c join bike b on b.id = c.bike_id
            """;

    @Select(CARDS + "where c.id = #{id}")
    Optional<CardRow> card(UUID id);

    @Select(CARDS + "order by c.ended_at is not null, c.begun_at desc, c.id limit #{limit}")
    List<CardRow> latest(int limit);

    String WHEELS = """
            select cw.card_id, cw.wheel_id, w.position, w.wheelset_id, cw.tire_id, cw.holding::text as holding
            from job_card_wheel cw join wheel w on w.id = cw.wheel_id
            """;

    @Select(WHEELS + "where cw.card_id = #{cardId} order by w.position desc")
    List<WheelRow> wheels(UUID cardId);

    /** A wheel of a card that is not at its end. */
    record OpenRow(
            UUID cardId,
            Job job,
            String bikeName,
            Instant begunAt,
            UUID wheelId,
            WheelPosition position,
            String holding,
            String step,
            Answer answer,
            Double value,
            Double temperatureC,
            PressureUnit readIn,
            Instant answeredAt) {

        /** What it says was answered, or null. */
        AnswerRow answered() {
            return step == null
                    ? null
                    : new AnswerRow(cardId, wheelId, step, answer, value, temperatureC, readIn, answeredAt);
        }
    }

    /** The wheels of all cards that are not at their ends, the latest card first: a row for each answer, or one without. */
    @Select("""
            select c.id as card_id, c.job, b.name as bike_name, c.begun_at, cw.wheel_id, w.position,
                   cw.holding::text as holding, a.step, a.answer, a.value, a.temperature_c, a.read_in, a.answered_at
            from job_card c
            join bike b on b.id = c.bike_id
            join job_card_wheel cw on cw.card_id = c.id
            join wheel w on w.id = cw.wheel_id
            left join job_card_answer a on a.card_id = c.id and a.wheel_id = cw.wheel_id
            where c.ended_at is null
            order by c.begun_at desc, c.id, w.position desc
            """)
    List<OpenRow> open();

    String ANSWERS = """
            select a.card_id, a.wheel_id, a.step, a.answer, a.value, a.temperature_c, a.read_in, a.answered_at
            from job_card_answer a
            """;

    @Select(ANSWERS + "where a.card_id = #{cardId}")
    List<AnswerRow> answers(UUID cardId);

    @Insert("""
            insert into job_card (id, job, bike_id, choices, begun_at)
            values (#{id}, #{job}, #{bikeId}, #{choices}::jsonb, #{begunAt})
            on conflict do nothing
            """)
    int insert(
            @Param("id") UUID id,
            @Param("job") Job job,
            @Param("bikeId") UUID bikeId,
            @Param("choices") String choices,
            @Param("begunAt") Instant begunAt);

    @Insert("""
            insert into job_card_wheel (card_id, wheel_id, tire_id, holding)
            values (#{cardId}, #{wheelId}, #{tireId}, #{holding}::jsonb)
            """)
    void insertWheel(
            @Param("cardId") UUID cardId,
            @Param("wheelId") UUID wheelId,
            @Param("tireId") UUID tireId,
            @Param("holding") String holding);

    /** Keeps an answer; 0 where the step was answered already. */
    @Insert("""
            insert into job_card_answer (card_id, wheel_id, step, answer, value, temperature_c, read_in, answered_at)
            values (#{cardId}, #{wheelId}, #{step}, #{answer}, #{value}, #{temperatureC}, #{readIn}, #{answeredAt})
            on conflict do nothing
            """)
    int insertAnswer(AnswerRow answer);

    @Delete("""
            delete from job_card_answer where card_id = #{cardId} and wheel_id = #{wheelId} and step = #{step}
            """)
    void deleteAnswer(@Param("cardId") UUID cardId, @Param("wheelId") UUID wheelId, @Param("step") String step);

    @Update("update job_card set ended_at = #{at}, left_off = #{leftOff} where id = #{id} and ended_at is null")
    int end(@Param("id") UUID id, @Param("at") Instant at, @Param("leftOff") boolean leftOff);

    @Update("update job_card set ended_at = null, left_off = false where id = #{id} and left_off")
    int reopen(UUID id);

    @Select("select choices::text from job_card order by begun_at desc, id limit 1")
    Optional<String> lastChoices();
}
