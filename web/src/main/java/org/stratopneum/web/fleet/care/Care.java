package org.stratopneum.web.fleet.care;

import java.time.Instant;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.log.LogDetail.CareDone;

/** How wheels are looked after, and when they last were. */
@Service
public class Care {

    /** The names under which a core that was washed stands in the log. */
    private static final List<String> CORE = Stream.concat(
                    Stream.of(CareDone.Care.CORE_SERVICE.name()),
                    Stream.of(Job.values()).filter(Job::servicesCore).map(Job::name))
            .toList();

    private final CareMapper mapper;

    Care(CareMapper mapper) {
        this.mapper = mapper;
    }

    @Transactional(readOnly = true)
    public WheelCare of(UUID wheelId) {
        return mapper.of(wheelId).orElseGet(() -> WheelCare.usual(wheelId));
    }

    /** @return false when somebody else kept another one in the meantime */
    @Transactional
    public boolean keep(WheelCare care) {
        return (care.version() == 0 ? mapper.insert(care) : mapper.update(care)) == 1;
    }

    /** That of all wheels of which something is known. */
    @Transactional(readOnly = true)
    public CareStatus all() {
        Map<UUID, WheelCare> how = new HashMap<>();
        Map<UUID, Map<CareDone.Care, Instant>> last = new HashMap<>();
        for (CareMapper.CaredRow row : mapper.cared(CORE)) {
            if (row.dose() != null) {
                how.put(
                        row.wheelId(),
                        new WheelCare(
                                row.wheelId(),
                                row.dose(),
                                row.makerMl(),
                                row.plan(),
                                row.months(),
                                row.startsOn(),
                                row.lookEveryDays(),
                                row.version()));
            }
            Map<CareDone.Care, Instant> done = new EnumMap<>(CareDone.Care.class);
            if (row.coreAt() != null) {
                done.put(CareDone.Care.CORE_SERVICE, row.coreAt());
            }
            if (row.lookAt() != null) {
                done.put(CareDone.Care.PREVENTION_LOOK, row.lookAt());
            }
            last.put(row.wheelId(), done);
        }
        return new CareStatus(how, last);
    }
}
