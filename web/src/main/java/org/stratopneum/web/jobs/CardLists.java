package org.stratopneum.web.jobs;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Lists the jobs that there are, and the cards that were begun. */
@Service
class CardLists {

    private static final int LATEST = 60;

    private final CardMapper mapper;
    private final OpenCards open;
    private final Garage garage;
    private final Riders riders;
    private final Wording wording;

    CardLists(CardMapper mapper, OpenCards open, Garage garage, Riders riders, Wording wording) {
        this.mapper = mapper;
        this.open = open;
        this.garage = garage;
        this.riders = riders;
        this.wording = wording;
    }

    /** The jobs for a wheel, those that are in the middle of being done first. */
    public record Jobs(UUID wheel, String where, String bike, List<Line> open, List<Choice> jobs) {}

    /** A job to choose. */
    public record Choice(String job, String name, String what) {}

    /** A card. */
    public record Line(UUID id, String name, String bike, String when, String state) {}

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    Jobs jobs(UUID wheelId) {
        WheelPlace place = garage.place(wheelId);
        List<UUID> onIt = open.all().stream()
                .filter(card -> card.wheelId().equals(wheelId))
                .map(OpenCards.OpenCard::card)
                .toList();
        return new Jobs(
                wheelId,
                wording.of("position", place.position()),
                place.bikeName(),
                all().stream().filter(line -> onIt.contains(line.id())).toList(),
                Stream.of(Job.values())
                        .map(job -> new Choice(
                                job.name(), wording.of("job", job), wording.text("job." + job.name() + ".for")))
                        .toList());
    }

    /** The latest cards, open ones first. */
    @Transactional(readOnly = true)
    List<Line> all() {
        Rider rider = riders.self();
        return mapper.latest(LATEST).stream()
                .map(card -> new Line(
                        card.id(),
                        wording.of("job", card.job()),
                        card.bikeName(),
                        DateText.moment(card.begunAt(), rider.zoneId()),
                        wording.text(
                                card.endedAt() == null ? "card.open" : card.leftOff() ? "card.left" : "card.ended")))
                .toList();
    }
}
