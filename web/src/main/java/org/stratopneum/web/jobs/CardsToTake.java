package org.stratopneum.web.jobs;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** The open job cards in words, for a device that takes them to where there is no signal. */
@Service
public class CardsToTake {

    /** Nobody works on more at once. */
    private static final int MOST = 4;

    private final OpenCards open;
    private final CardReader reader;
    private final CardPages pages;
    private final Logbook logbook;
    private final Wording wording;

    CardsToTake(OpenCards open, CardReader reader, CardPages pages, Logbook logbook, Wording wording) {
        this.wording = wording;
        this.open = open;
        this.reader = reader;
        this.pages = pages;
        this.logbook = logbook;
    }

    /**
     * A card as it stands.
     *
     * @param wheel the wheel that is next
     * @param steps the open one and those that usually follow
     */
    public record Taken(UUID id, UUID wheel, String title, String bike, String where, List<Step> steps) {}

    /** A drawing of a part. */
    public record Symbol(String code, String words) {}

    /**
     * A step in words.
     *
     * @param symbol the drawing that goes with it, with its words, or null
     * @param answers the usual one first; empty where it needs the server
     */
    public record Step(
            String id, String text, String why, List<String> cautions, Symbol symbol, List<CardPage.Button> answers) {}

    /** The latest first. */
    @Transactional(readOnly = true)
    public List<Taken> all(Rider rider) {
        Instant now = logbook.now();
        List<Taken> taken = new ArrayList<>();
        open.all().stream()
                .map(OpenCards.OpenCard::card)
                .distinct()
                .limit(MOST)
                .map(id -> reader.card(id, rider))
                .forEach(card -> {
                    Card.Wheel wheel = card.next(now);
                    if (wheel.walk().open().isPresent()) {
                        taken.add(new Taken(
                                card.row().id(),
                                wheel.id(),
                                wording.of("job", card.row().job()),
                                card.row().bikeName(),
                                wording.of("position", wheel.row().position()),
                                pages.toTake(wheel, rider)));
                    }
                });
        return taken;
    }
}
