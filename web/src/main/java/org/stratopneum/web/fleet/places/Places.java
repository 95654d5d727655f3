package org.stratopneum.web.fleet.places;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What other services ask of the places. */
@Service
public class Places {

    private final PlaceMapper mapper;

    Places(PlaceMapper mapper) {
        this.mapper = mapper;
    }

    /** Those in use, the one where the bikes stand first. */
    @Transactional(readOnly = true)
    public List<Place> inUse() {
        return mapper.places().stream()
                .filter(place -> place.retiredOn() == null)
                .toList();
    }

    /** Where the bikes stand, among {@code places}. */
    public static Optional<Place> home(List<Place> places) {
        return places.stream().filter(Place::home).findFirst();
    }
}
