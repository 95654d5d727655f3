package org.stratopneum.web.trailside.kit;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.TrailMend;

/** The bags of all bikes, as counted and as used since. */
@Service
public class Kits {

    private final KitMapper mapper;
    private final Logbook logbook;

    Kits(KitMapper mapper, Logbook logbook) {
        this.mapper = mapper;
        this.logbook = logbook;
    }

    /** By bike; nothing for a bike whose bag nobody has counted. */
    @Transactional(readOnly = true)
    public Map<UUID, KitState> all() {
        Map<UUID, KitMapper.StopRow> stops =
                mapper.lastStops().stream().collect(Collectors.toMap(KitMapper.StopRow::bikeId, Function.identity()));
        return mapper.all().stream()
                .map(kit -> standing(kit, stops.get(kit.bikeId())))
                .collect(Collectors.toMap(standing -> standing.kit().bikeId(), Function.identity()));
    }

    @Transactional(readOnly = true)
    public Optional<KitState> of(UUID bikeId) {
        return Optional.ofNullable(all().get(bikeId));
    }

    private KitState standing(Kit kit, KitMapper.StopRow stop) {
        return stop == null
                ? new KitState(kit, null, null)
                : new KitState(
                        kit, ((TrailMend) logbook.detail(LogKind.TRAIL_MEND, stop.detail())).left(), stop.happenedAt());
    }

    /** @return false when somebody else kept another one in the meantime */
    @Transactional
    public boolean keep(Kit kit) {
        return (kit.version() == 0 ? mapper.insert(kit) : mapper.update(kit)) == 1;
    }
}
