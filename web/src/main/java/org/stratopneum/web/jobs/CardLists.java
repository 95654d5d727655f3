package org.stratopneum.web.jobs;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Lists the jobs that there are, and the cards that were started. */
@Service
class CardLists {

    private static final int LATEST = 30;

    private final CardMapper mapper;
    private final OpenCards open;
    private final Garage garage;
    private final WheelHeads heads;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;

    CardLists(
            CardMapper mapper,
            OpenCards open,
            Garage garage,
            WheelHeads heads,
            Riders riders,
            Logbook logbook,
            Wording wording) {
        this.mapper = mapper;
        this.open = open;
        this.garage = garage;
        this.heads = heads;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    JobsPage ofWheel(UUID wheelId, String search) {
        Rider rider = riders.self();
        WheelHead head = heads.of(wheelId, rider).head();
        return page(head, List.of(), wheelId, search, card -> card.wheelId().equals(wheelId), rider);
    }

    /** @param asked the wheel that was chosen, or null; one that is not there is none */
    @Transactional(readOnly = true)
    JobsPage all(UUID asked, String search) {
        List<JobsPage.Wheel> wheels =
                garage.bikes().stream().flatMap(this::wheels).toList();
        Optional<UUID> wheel = wheels.stream()
                .map(JobsPage.Wheel::id)
                .filter(id -> asked == null || id.equals(asked))
                .findFirst()
                .or(() -> wheels.stream().map(JobsPage.Wheel::id).findFirst());
        return page(null, wheels, wheel.orElse(null), search, card -> true, riders.self());
    }

    private Stream<JobsPage.Wheel> wheels(BikeState bike) {
        return Stream.of(WheelPosition.values())
                .flatMap(position -> bike.wheel(position).stream())
                .map(wheel -> new JobsPage.Wheel(
                        wheel.wheelId(), bike.name() + " " + wording.of("position", wheel.position())));
    }

    private JobsPage page(
            WheelHead head,
            List<JobsPage.Wheel> wheels,
            UUID wheel,
            String search,
            Predicate<OpenCards.OpenCard> shown,
            Rider rider) {
        Instant now = logbook.now();
        return new JobsPage(
                head,
                open.all().stream()
                        .filter(shown)
                        .collect(Collectors.groupingBy(
                                OpenCards.OpenCard::card, LinkedHashMap::new, Collectors.toList()))
                        .values()
                        .stream()
                        .map(together -> open(together, rider, now))
                        .toList(),
                wheels,
                wheel,
                search,
                Stream.of(JobGroup.values())
                        .map(group -> group(group, search))
                        .filter(group -> !group.jobs().isEmpty())
                        .toList(),
                head == null ? earlier(rider) : List.of());
    }

    /** A card at the wheel that is to be gone on with: the first that does not wait. */
    private JobsPage.Open open(List<OpenCards.OpenCard> wheels, Rider rider, Instant now) {
        OpenCards.OpenCard card =
                wheels.stream().filter(wheel -> !wheel.waits(now)).findFirst().orElse(wheels.get(0));
        return new JobsPage.Open(
                card.path(),
                wording.of("job", card.job()),
                wheels.size() > 1
                        ? wording.text("todo.both", card.bike())
                        : card.bike() + " " + wording.of("position", card.position()),
                card.step(),
                card.steps(),
                card.waits(now)
                        ? wording.text("card.waits", DateText.moment(card.waitsUntil(), rider.zoneId()))
                        : null);
    }

    private JobsPage.Group group(JobGroup group, String search) {
        return new JobsPage.Group(
                wording.of("job-group", group),
                group.icon(),
                group.jobs().stream()
                        .map(job -> new JobsPage.Choice(
                                job.name(), wording.of("job", job), wording.text("job." + job.name() + ".for")))
                        .filter(job -> matches(job, search))
                        .toList());
    }

    /** Whether every word that is looked for stands in the name of a job, or in what it is for. */
    private static boolean matches(JobsPage.Choice job, String search) {
        String text =
                (job.name() + " " + job.what()).toLowerCase(Region.current().words());
        return Stream.of(search.toLowerCase(Region.current().words()).strip().split("\\s+"))
                .allMatch(text::contains);
    }

    private List<JobsPage.Line> earlier(Rider rider) {
        return mapper.latest(LATEST).stream()
                .filter(card -> card.endedAt() != null)
                .map(card -> new JobsPage.Line(
                        card.id(),
                        wording.of("job", card.job()),
                        card.bikeName(),
                        DateText.date(card.begunAt(), rider.zoneId()),
                        wording.text(card.leftOff() ? "card.left" : "card.ended")))
                .toList();
    }
}
