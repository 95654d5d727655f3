package org.stratopneum.web.jobs;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.log.Logbook;
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

    CardsToTake(OpenCards open, CardReader reader, CardPages pages, Logbook logbook) {
        this.open = open;
        this.reader = reader;
        this.pages = pages;
        this.logbook = logbook;
    }

    /**
     * A card as it stands.
     *
     * @param step what is to be done now
     * @param ahead what usually comes then
     */
    public record Taken(
            UUID id,
            String title,
            String bike,
            String where,
            String step,
            String why,
            List<String> cautions,
            List<String> ahead) {}

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
                    CardPage page = pages.page(card, card.next(now), null, null, rider, now);
                    if (page.step() != null) {
                        taken.add(new Taken(
                                page.id(),
                                page.title(),
                                page.bike(),
                                page.shown().where(),
                                page.step().text(),
                                page.step().why(),
                                page.step().cautions(),
                                page.ahead()));
                    }
                });
        return taken;
    }
}
