package org.stratopneum.web.leak.drill;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Drill;
import org.stratopneum.web.leak.SearchWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Rounds of practice: drawn, looked into, named, and counted. */
@Service
class DrillService {

    private static final int LATEST = 200;

    /** As good as the finder is whoever needs no more than this times its mean (our judgement). */
    private static final double AS_GOOD = 1.1;

    private static final double TWICE = 2;

    private final DrillMapper mapper;
    private final SearchWording words;
    private final Wording wording;
    private final Logbook logbook;
    private final Riders riders;
    private final RandomGenerator seeds = RandomGenerator.getDefault();

    DrillService(DrillMapper mapper, SearchWording words, Wording wording, Logbook logbook, Riders riders) {
        this.mapper = mapper;
        this.words = words;
        this.wording = wording;
        this.logbook = logbook;
        this.riders = riders;
    }

    /** Draws a fault; the same id again changes nothing. */
    @Transactional
    void begin(UUID newId) {
        mapper.insert(newId, seeds.nextLong(), logbook.now());
    }

    private DrillRound round(UUID id) {
        DrillMapper.RoundRow row = mapper.round(id).orElseThrow(NotThereException::new);
        return DrillRound.of(row, mapper.steps(id));
    }

    /** @throws NotThereException when this rider has no such round, or there is no such check */
    @Transactional
    void look(UUID id, String check) {
        DrillRound round = round(id);
        try {
            DrillRound.MODEL.check(check);
        } catch (NoSuchElementException unknown) {
            throw new NotThereException();
        }
        if (!round.ended()) {
            mapper.insertStep(new DrillMapper.StepRow(id, DrillMapper.StepRow.Kind.LOOKED, check));
        }
    }

    /** Mends what is named, and lets the hold test say. */
    @Transactional
    void name(UUID id, String code) {
        DrillRound round = round(id);
        Cause cause =
                Cause.coded(code).filter(DrillRound.MODEL.causes()::contains).orElseThrow(NotThereException::new);
        if (round.ended()) {
            return;
        }
        mapper.insertStep(new DrillMapper.StepRow(id, DrillMapper.StepRow.Kind.NAMED, code));
        if (round.drill().holds(cause)) {
            mapper.end(id, logbook.now());
        }
    }

    /** Throws a round away that is not at its end. */
    @Transactional
    void drop(UUID id) {
        if (mapper.round(id).isEmpty()) {
            throw new NotThereException();
        }
        mapper.delete(id);
    }

    /** @throws NotThereException when this rider has no such round */
    @Transactional(readOnly = true)
    DrillPage page(UUID id) {
        DrillRound round = round(id);
        return new DrillPage(
                id,
                wording.of("story", round.drill().story()),
                wording.text("drill.spent", Numbers.fixed(round.minutes(), 0)),
                round.steps().stream().map(step -> said(step, round)).toList(),
                round.ended() ? List.of() : checks(round),
                round.ended() ? List.of() : causes(round),
                round.ended() ? end(round) : null);
    }

    private String said(DrillMapper.StepRow step, DrillRound round) {
        if (step.kind() == DrillMapper.StepRow.Kind.LOOKED) {
            Check check = DrillRound.MODEL.check(step.code());
            return wording.text(
                    "drill.looked",
                    words.check(check.code()),
                    words.answer(check.code(), round.drill().answer(check)),
                    words.cost(check));
        }
        Cause cause = Cause.coded(step.code()).orElseThrow(NotThereException::new);
        return wording.text(
                round.drill().holds(cause) ? "drill.named.right" : "drill.named.wrong",
                words.cause(cause),
                Numbers.fixed(Drill.minutes(cause), 0));
    }

    private List<DrillPage.Choice> checks(DrillRound round) {
        return DrillRound.MODEL.checks().stream()
                .filter(check -> !round.looked().contains(check))
                .map(check -> new DrillPage.Choice(check.code(), words.check(check.code()), words.cost(check)))
                .toList();
    }

    private List<DrillPage.Choice> causes(DrillRound round) {
        return DrillRound.MODEL.causes().stream()
                .filter(cause -> !round.named().contains(cause))
                .map(cause -> new DrillPage.Choice(
                        cause.code(),
                        words.cause(cause),
                        wording.text("search.minutes", Numbers.fixed(Drill.minutes(cause), 0))))
                .toList();
    }

    private DrillPage.End end(DrillRound round) {
        double ratio = round.minutes() / round.drill().par();
        return new DrillPage.End(
                wording.text("drill.found", words.cause(round.drill().fault())),
                ratio <= AS_GOOD ? "inside" : ratio <= TWICE ? "below" : "blocks",
                score(round),
                wording.text(
                        ratio <= AS_GOOD ? "drill.plan.good" : "drill.plan",
                        Numbers.fixed(round.drill().par(), 0)));
    }

    private String score(DrillRound round) {
        return wording.text(
                "drill.score",
                Numbers.fixed(round.minutes(), 0),
                Numbers.fixed(100 * round.minutes() / round.drill().par(), 0));
    }

    /** All rounds so far, and what the rider mixes up. */
    @Transactional(readOnly = true)
    DrillPage.History history() {
        Rider rider = riders.self();
        Map<UUID, List<DrillMapper.StepRow>> steps =
                mapper.allSteps().stream().collect(Collectors.groupingBy(DrillMapper.StepRow::roundId));
        List<DrillRound> rounds = mapper.latest(LATEST).stream()
                .map(row -> DrillRound.of(row, steps.getOrDefault(row.id(), List.of())))
                .toList();
        List<DrillRound> ended = rounds.stream().filter(DrillRound::ended).toList();
        return new DrillPage.History(
                rounds.stream()
                        .filter(round -> !round.ended())
                        .map(round -> round.row().id())
                        .findFirst()
                        .orElse(null),
                ended.stream()
                        .map(round -> new DrillPage.Line(
                                round.row().id(),
                                DateText.moment(round.row().begunAt(), rider.zoneId()),
                                wording.of("story", round.drill().story()),
                                wording.text(
                                        "drill.line", words.cause(round.drill().fault()), score(round))))
                        .toList(),
                mixed(ended),
                ended.isEmpty() ? null : mean(ended));
    }

    private String mean(List<DrillRound> ended) {
        double mean = ended.stream()
                .mapToDouble(round -> round.minutes() / round.drill().par())
                .average()
                .orElseThrow();
        long first = ended.stream().filter(round -> round.mixedUp().isEmpty()).count();
        return wording.text("drill.mean", ended.size(), Numbers.fixed(100 * mean, 0), first);
    }

    private List<String> mixed(List<DrillRound> ended) {
        Map<String, Long> times = ended.stream()
                .filter(round -> round.mixedUp().isPresent())
                .collect(Collectors.groupingBy(
                        round -> wording.text(
                                "drill.mixed",
                                words.cause(round.drill().fault()),
                                words.cause(round.mixedUp().orElseThrow())),
                        Collectors.counting()));
        List<String> lines = new ArrayList<>();
        times.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .forEach(entry -> lines.add(wording.text("drill.mixed.times", entry.getKey(), entry.getValue())));
        return lines;
    }
}
