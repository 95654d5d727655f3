package org.stratopneum.web.leak;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.HolePlace;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.job.Milestone;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelPlace;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LeakFound;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Searches for leaks on the wheels of the garage: begun, answered, left, gone on with, and ended in the log. */
@Service
class SearchService {

    private static final int LATEST = 40;

    private final Searches searches;
    private final SearchPages pages;
    private final SearchWording words;
    private final WheelContexts contexts;
    private final WheelHeads heads;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final ProblemWording problemWording;

    SearchService(
            Searches searches,
            SearchPages pages,
            SearchWording words,
            WheelContexts contexts,
            WheelHeads heads,
            Riders riders,
            Logbook logbook,
            Wording wording,
            ProblemWording problemWording) {
        this.searches = searches;
        this.pages = pages;
        this.words = words;
        this.contexts = contexts;
        this.heads = heads;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** A wheel where it stands. */
    private record Stand(WheelHead head, WheelPlace place, BikeState bike, WheelState wheel) {
        AirSystem system() {
            return wheel.tubed() ? AirSystem.TUBE : AirSystem.TUBELESS;
        }
    }

    private Stand stand(UUID wheelId) {
        WheelHeads.Known known = heads.of(wheelId, riders.self());
        return new Stand(known.head(), known.place(), known.bike(), known.wheel());
    }

    private String title(Stand stand) {
        return wording.text("search.title", wording.of("position", stand.place.position()), stand.place.bikeName());
    }

    /** Where a search begins: the one that stands open on the wheel, or what is asked before a new one. */
    record Begins(UUID open, StartPage page) {}

    /** @throws NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    Begins start(UUID wheelId) {
        Optional<UUID> open = searches.openOn(wheelId);
        if (open.isPresent()) {
            return new Begins(open.get(), null);
        }
        Stand stand = stand(wheelId);
        Rider rider = riders.self();
        WheelContexts.Filled filled = contexts.of(stand.bike, stand.wheel, rider);
        filled.fields().put("unit", rider.pressureUnit().name());
        return new Begins(null, page(stand, filled, new FormView(filled.fields(), Map.of())));
    }

    private StartPage page(Stand stand, WheelContexts.Filled filled, FormView form) {
        return new StartPage(
                stand.head,
                stand.wheel.wheelId(),
                title(stand),
                stand.system(),
                stand.wheel.tire().isPresent(),
                filled.said(),
                UUID.randomUUID(),
                form);
    }

    /** What came of beginning: the search, or the page again. */
    record Begun(UUID search, StartPage again) {}

    /** @throws NotThereException when this rider has no such wheel, or it has no tire */
    @Transactional
    Begun begin(UUID wheelId, UUID newId, Map<String, String> typed) {
        Stand stand = stand(wheelId);
        if (stand.wheel.tire().isEmpty()) {
            throw new NotThereException();
        }
        Rider rider = riders.self();
        StartForm form = StartForm.of(typed, stand.system(), rider.pressureUnit());
        if (form.search().isEmpty()) {
            FormView view = new FormView(
                    form.reader().typed(),
                    problemWording.messages(form.reader().problems().list()));
            return new Begun(null, page(stand, contexts.of(stand.bike, stand.wheel, rider), view));
        }
        return new Begun(searches.begin(newId, wheelId, form.search().get()), null);
    }

    /**
     * @param check what the rider wants to look at instead, or null
     * @param typed what the page was asked with
     * @throws NotThereException when this rider has no such search
     */
    @Transactional(readOnly = true)
    SearchPage page(UUID id, String check, Map<String, String> typed) {
        Searches.Kept kept = searches.kept(id);
        Stand stand = stand(kept.row().wheelId());
        Rider rider = riders.self();
        String path = "/searches/" + id;
        Map<Cause, Integer> own = searches.own();
        SearchPages.Asked asked = new SearchPages.Asked(
                stand.head,
                SearchWheel.of(stand.wheel),
                title(stand),
                new SearchPage.Acts("post", path + "/acts", path + "/spots", path, List.of()),
                check,
                typed,
                end(kept, rider),
                kept.ended() ? null : tested(kept, rider));
        return pages.page(
                kept.search(), LeakModel.of(kept.search().system()).withOwn(own), counts(own, kept.search()), asked);
    }

    private static boolean counts(Map<Cause, Integer> own, Search search) {
        return own.keySet().stream().anyMatch(cause -> cause.system() == search.system());
    }

    private SearchPage.End end(Searches.Kept kept, Rider rider) {
        if (!kept.ended()) {
            return null;
        }
        String when = DateText.moment(kept.row().endedAt(), rider.zoneId());
        boolean reopens = searches.openOn(kept.row().wheelId()).isEmpty();
        UUID found = kept.row().found();
        if (found == null) {
            return new SearchPage.End(wording.text("search.given-up", when), null, null, reopens);
        }
        Cause cause = ((LeakFound) logbook.detailOf(logbook.entry(found))).cause();
        return new SearchPage.End(
                wording.text("search.found", words.cause(cause), when), words.caution(cause.caution()), found, reopens);
    }

    /** What a hold test on a card has said since the search was begun, or null. */
    private String tested(Searches.Kept kept, Rider rider) {
        return logbook.ofWheel(kept.row().wheelId(), List.of(LogKind.JOB_ENDED), LATEST).stream()
                .filter(row ->
                        !row.struck() && row.happenedAt().isAfter(kept.row().begunAt()))
                .findFirst()
                .flatMap(row -> tested(row, rider))
                .orElse(null);
    }

    private Optional<String> tested(LogRow row, Rider rider) {
        LogDetail.JobEnded ended = (LogDetail.JobEnded) logbook.detailOf(row);
        if (!ended.job().reaches(Milestone.HOLD_ENDED)) {
            return Optional.empty();
        }
        String job = wording.of("job", ended.job());
        String when = DateText.moment(row.happenedAt(), rider.zoneId());
        return switch (ended.ending()) {
            case DONE -> Optional.of(wording.text("search.tested.held", job, when));
            case LEAKS -> Optional.of(wording.text("search.tested.leaks", job, when));
            default -> Optional.empty();
        };
    }

    /** Says something more, or takes something back. */
    @Transactional
    void act(UUID id, String act) {
        Searches.Kept kept = searches.held(id);
        if (kept.ended()) {
            return;
        }
        Search then = SearchAct.apply(kept.search(), act);
        Stand stand = stand(kept.row().wheelId());
        then.diagnosis(LeakModel.of(then.system()), stand.wheel.rim().spokes());
        searches.keep(id, then);
    }

    /**
     * Bubbles at a spoke hole.
     *
     * @param number by the clock from the valve, from 1
     * @throws NotThereException when the wheel has no such hole, or nobody counted them
     */
    @Transactional
    void spokeHole(UUID id, int number) {
        Stand stand = stand(searches.kept(id).row().wheelId());
        Integer spokes = stand.wheel.rim().spokes();
        if (spokes == null || number < 1 || number > spokes) {
            throw new NotThereException();
        }
        act(id, "spot:" + SearchAct.text(HolePlace.spokeHole(number, spokes)));
    }
}
