package org.stratopneum.web.leak;

import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;

/** Keeps the searches of a rider. */
@Component
class Searches {

    private final SearchMapper mapper;
    private final Logbook logbook;

    Searches(SearchMapper mapper, Logbook logbook) {
        this.mapper = mapper;
        this.logbook = logbook;
    }

    /** A search as it is kept. */
    record Kept(SearchMapper.SearchRow row, Search search) {
        boolean ended() {
            return row.endedAt() != null;
        }
    }

    /** The id of the search that stands open on a wheel. */
    @Transactional(readOnly = true)
    Optional<UUID> openOn(UUID wheelId) {
        return mapper.openOn(wheelId).map(SearchMapper.SearchRow::id);
    }

    /** @throws NotThereException when this rider has no such search */
    @Transactional(readOnly = true)
    Kept kept(UUID id) {
        return kept(mapper.search(id).orElseThrow(NotThereException::new));
    }

    /** The same, held until the transaction ends. */
    @Transactional
    Kept held(UUID id) {
        return kept(mapper.held(id).orElseThrow(NotThereException::new));
    }

    private Kept kept(SearchMapper.SearchRow row) {
        Set<Circumstance> known = Stream.of(row.known().split(" "))
                .filter(code -> !code.isEmpty())
                .map(SearchAct::circumstance)
                .collect(Collectors.toSet());
        return new Kept(
                row, new Search(row.system(), known, row.mode(), mapper.steps(row.id()), mapper.spots(row.id())));
    }

    /** Begins a search; where one stands open on the wheel, it goes on. */
    @Transactional
    UUID begin(UUID newId, UUID wheelId, Search search) {
        SearchMapper.SearchRow row = new SearchMapper.SearchRow(
                newId, wheelId, search.system(), search.mode(), codes(search), logbook.now(), null, null);
        mapper.insert(row);
        return mapper.openOn(wheelId).map(SearchMapper.SearchRow::id).orElse(newId);
    }

    @Transactional
    void keep(UUID id, Search search) {
        mapper.change(id, search.mode(), codes(search));
        mapper.deleteSteps(id);
        search.steps().forEach(step -> mapper.insertStep(id, step));
        mapper.deleteSpots(id);
        search.spots().forEach(spot -> mapper.insertSpot(id, spot));
    }

    private static String codes(Search search) {
        return search.known().stream().map(Circumstance::code).sorted().collect(Collectors.joining(" "));
    }

    /** @param found entry of the log, or null where it is given up */
    @Transactional
    boolean end(UUID id, UUID found) {
        return mapper.end(id, logbook.now(), found) == 1;
    }

    /** Goes on with one that was ended; not where another one was begun on the wheel since. */
    @Transactional
    boolean reopen(UUID id) {
        return mapper.reopen(id) == 1;
    }

    /** How often this rider found each cause. */
    @Transactional(readOnly = true)
    Map<Cause, Integer> own() {
        Map<Cause, Integer> times = new EnumMap<>(Cause.class);
        mapper.found().forEach(found -> times.put(found.cause(), found.times()));
        return Collections.unmodifiableMap(times);
    }
}
