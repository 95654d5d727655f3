package org.stratopneum.web.jobs;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.DueReason;
import org.stratopneum.core.job.Facts;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.JobCase;
import org.stratopneum.core.job.Walk;
import org.stratopneum.web.fleet.bikes.WheelPosition;

/** The job cards that a rider is in the middle of. */
@Service
public class OpenCards {

    private final CardMapper mapper;
    private final CardReader reader;

    OpenCards(CardMapper mapper, CardReader reader) {
        this.mapper = mapper;
        this.reader = reader;
    }

    /**
     * An open card on a wheel.
     *
     * @param step the step it stands at, counted from 1, {@code steps} how many it usually takes
     * @param held whether a hold test stands, to be read again
     * @param waitsUntil when its wait is over, or null where something is to be done
     */
    public record OpenCard(
            UUID card,
            UUID wheelId,
            String bike,
            WheelPosition position,
            Job job,
            int step,
            int steps,
            boolean held,
            Instant waitsUntil) {

        boolean waits(Instant now) {
            return waitsUntil != null && now.isBefore(waitsUntil);
        }

        /** Where it goes on. */
        public String path() {
            return "/cards/" + card + "?wheel=" + wheelId;
        }

        /** What it makes due, and when. */
        public DueItem due(ZoneId zone, Instant now) {
            boolean waits = waits(now);
            LocalDate day = LocalDate.ofInstant(waits ? waitsUntil : now, zone);
            return new DueItem(
                    wheelId, held ? DueReason.HOLD_TEST : waits ? DueReason.JOB_WAIT : DueReason.JOB_CARD, day);
        }
    }

    /** Those on wheels that have not come to their end; how far they are is told by what held when they were begun. */
    @Transactional(readOnly = true)
    public List<OpenCard> all() {
        Map<List<UUID>, List<CardMapper.OpenRow>> wheels = mapper.open().stream()
                .collect(Collectors.groupingBy(
                        row -> List.of(row.cardId(), row.wheelId()), LinkedHashMap::new, Collectors.toList()));
        List<OpenCard> open = new ArrayList<>();
        for (List<CardMapper.OpenRow> rows : wheels.values()) {
            CardMapper.OpenRow wheel = rows.get(0);
            Walk walk = walk(wheel, rows);
            if (walk.open().isPresent()) {
                open.add(new OpenCard(
                        wheel.cardId(),
                        wheel.wheelId(),
                        wheel.bikeName(),
                        wheel.position(),
                        wheel.job(),
                        walk.taken().size() + 1,
                        walk.taken().size()
                                + 1
                                + walk.usuallyAhead(facts(wheel)).size(),
                        walk.inHoldTest(),
                        walk.waitsUntil(wheel.begunAt()).orElse(null)));
            }
        }
        return open;
    }

    private Facts facts(CardMapper.OpenRow wheel) {
        JobCase.Builder facts = new JobCase.Builder();
        reader.holding(wheel.holding()).forEach(condition -> facts.when(condition, true));
        return facts.build();
    }

    private Walk walk(CardMapper.OpenRow wheel, List<CardMapper.OpenRow> rows) {
        List<CardMapper.AnswerRow> answers = rows.stream()
                .map(CardMapper.OpenRow::answered)
                .filter(Objects::nonNull)
                .toList();
        return Walk.of(wheel.job().script(), facts(wheel), CardMapper.AnswerRow.given(answers));
    }
}
