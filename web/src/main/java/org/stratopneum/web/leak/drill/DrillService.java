package org.stratopneum.web.leak.drill;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.web.leak.SearchWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Rounds of practice: drawn, looked into, named, and counted. */
@Service
class DrillService {

    private static final int LATEST = 200;

    private final DrillMapper mapper;
    private final DrillPages pages;
    private final SearchWording words;
    private final Wording wording;
    private final Logbook logbook;
    private final Riders riders;
    private final RandomGenerator seeds = RandomGenerator.getDefault();

    DrillService(
            DrillMapper mapper,
            DrillPages pages,
            SearchWording words,
            Wording wording,
            Logbook logbook,
            Riders riders) {
        this.mapper = mapper;
        this.pages = pages;
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

    /** Begins the fault of the day, or goes on with it; its round. */
    @Transactional
    UUID beginDaily() {
        LocalDate today = today(riders.self());
        UUID id = daily(today);
        mapper.insert(id, seedOf(today), logbook.now());
        return id;
    }

    private LocalDate today(Rider rider) {
        return LocalDate.ofInstant(logbook.now(), rider.zoneId());
    }

    /** The same wheel for everybody on a day. */
    static long seedOf(LocalDate day) {
        return day.toEpochDay();
    }

    /** A rider has one round of a day, under an id that the day gives. */
    private static UUID daily(LocalDate day) {
        return UUID.nameUUIDFromBytes(("fault of " + day).getBytes(StandardCharsets.UTF_8));
    }

    private DrillRound round(UUID id) {
        DrillMapper.RoundRow row = mapper.round(id).orElseThrow(NotThereException::new);
        return DrillRound.of(
                row.seed(),
                mapper.steps(id).stream().map(DrillMapper.StepRow::step).toList());
    }

    /** @throws NotThereException when this rider has no such round, or there is no such check */
    @Transactional
    void look(UUID id, String check) {
        DrillRound round = round(id);
        DrillRound.check(check);
        if (!round.ended()) {
            mapper.insertStep(new DrillMapper.StepRow(id, DrillStep.Kind.LOOKED, check));
        }
    }

    /** Mends what is named, and lets the hold test say. */
    @Transactional
    void name(UUID id, String code) {
        DrillRound round = round(id);
        Cause cause = DrillRound.cause(code);
        if (round.ended()) {
            return;
        }
        mapper.insertStep(new DrillMapper.StepRow(id, DrillStep.Kind.NAMED, code));
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
        String here = "/rounds/" + id;
        boolean ofToday = id.equals(daily(today(riders.self())));
        return pages.page(
                round(id),
                wording.text(ofToday ? "drill.daily" : "drill.round"),
                new DrillPage.Ways("post", here + "/look", here + "/name", "/drill", here + "/drop", List.of()));
    }

    /**
     * A round with its row.
     *
     * @param points null before its end
     */
    private record Kept(DrillMapper.RoundRow row, DrillRound round, Integer points) {

        static Kept of(DrillMapper.RoundRow row, DrillRound round) {
            return new Kept(
                    row,
                    round,
                    row.endedAt() == null ? null : round.drill().findersWay().points(round.minutes()));
        }
    }

    /** All rounds so far, and what the rider mixes up. */
    @Transactional(readOnly = true)
    DrillPage.History history() {
        Rider rider = riders.self();
        Map<UUID, List<DrillStep>> steps = mapper.allSteps().stream()
                .collect(Collectors.groupingBy(
                        DrillMapper.StepRow::roundId,
                        Collectors.mapping(DrillMapper.StepRow::step, Collectors.toList())));
        List<Kept> rounds = mapper.latest(LATEST).stream()
                .map(row -> Kept.of(row, DrillRound.of(row.seed(), steps.getOrDefault(row.id(), List.of()))))
                .toList();
        List<Kept> ended =
                rounds.stream().filter(kept -> kept.row.endedAt() != null).toList();
        UUID ofToday = daily(today(rider));
        return new DrillPage.History(
                dailyOf(rounds, rider),
                rounds.stream()
                        .filter(kept ->
                                kept.row.endedAt() == null && !kept.row.id().equals(ofToday))
                        .map(kept -> kept.row.id())
                        .findFirst()
                        .orElse(null),
                ended.stream().map(kept -> line(kept, rider)).toList(),
                mixed(ended),
                ended.isEmpty() ? null : sums(ended));
    }

    private DrillPage.Line line(Kept kept, Rider rider) {
        return new DrillPage.Line(
                kept.row.id(),
                DateText.moment(kept.row.begunAt(), rider.zoneId()),
                wording.of("story", kept.round.drill().story()),
                words.cause(kept.round.drill().fault()),
                kept.points());
    }

    private DrillPage.Daily dailyOf(List<Kept> rounds, Rider rider) {
        LocalDate today = today(rider);
        Set<UUID> found = new HashSet<>();
        rounds.stream().filter(kept -> kept.row.endedAt() != null).forEach(kept -> found.add(kept.row.id()));
        LocalDate day = found.contains(daily(today)) ? today : today.minusDays(1);
        int streak = 0;
        while (found.contains(daily(day.minusDays(streak)))) {
            streak++;
        }
        int row = streak;
        return rounds.stream()
                .filter(kept -> kept.row.id().equals(daily(today)))
                .findFirst()
                .map(kept -> ofToday(kept, row))
                .orElse(new DrillPage.Daily(null, null, row));
    }

    private static DrillPage.Daily ofToday(Kept kept, int streak) {
        return new DrillPage.Daily(kept.row.id(), kept.points, streak);
    }

    private static DrillPage.Sums sums(List<Kept> ended) {
        var points = ended.stream().mapToInt(Kept::points).summaryStatistics();
        long first =
                ended.stream().filter(kept -> kept.round.mixedUp().isEmpty()).count();
        return new DrillPage.Sums(ended.size(), (int) Math.round(points.getAverage()), points.getMax(), first);
    }

    private List<String> mixed(List<Kept> ended) {
        Map<String, Long> times = ended.stream()
                .filter(kept -> kept.round.mixedUp().isPresent())
                .collect(Collectors.groupingBy(
                        kept -> wording.text(
                                "drill.mixed",
                                words.cause(kept.round.drill().fault()),
                                words.cause(kept.round.mixedUp().orElseThrow())),
                        Collectors.counting()));
        List<String> lines = new ArrayList<>();
        times.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue(Comparator.reverseOrder())
                        .thenComparing(Map.Entry.comparingByKey()))
                .forEach(entry -> lines.add(wording.text("drill.mixed.times", entry.getKey(), entry.getValue())));
        return lines;
    }
}
