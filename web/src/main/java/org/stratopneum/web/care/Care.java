package org.stratopneum.web.care;

import java.time.Instant;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.job.Job;
import org.stratopneum.web.fault.ChangedMeanwhileException;
import org.stratopneum.web.logbook.LogDetail.CareDone;

/** How wheels are looked after, and when they last were. */
@Service
public class Care {

    /** The names under which a core that was washed stands in the log. */
    private static final Set<String> CORE = Arrays.stream(Job.values())
            .filter(Job::servicesCore)
            .map(Job::name)
            .collect(Collectors.toUnmodifiableSet());

    private final CareMapper mapper;

    Care(CareMapper mapper) {
        this.mapper = mapper;
    }

    @Transactional(readOnly = true)
    public WheelCare of(UUID wheelId) {
        return mapper.of(wheelId).orElseGet(() -> WheelCare.usual(wheelId));
    }

    /** Those of all wheels that somebody said something of. */
    @Transactional(readOnly = true)
    public Map<UUID, WheelCare> all() {
        return mapper.all().stream().collect(Collectors.toMap(WheelCare::wheelId, Function.identity()));
    }

    /** @throws ChangedMeanwhileException when somebody else kept another one in the meantime */
    @Transactional
    public void keep(WheelCare care) {
        int kept = care.version() == 0 ? mapper.insert(care) : mapper.update(care);
        if (kept == 0) {
            throw new ChangedMeanwhileException();
        }
    }

    /** When each was last done, by wheel; what was never noted is absent. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<CareDone.Care, Instant>> lastDone() {
        return byWheel(mapper.done());
    }

    private static Map<UUID, Map<CareDone.Care, Instant>> byWheel(List<CareMapper.Done> done) {
        Map<UUID, Map<CareDone.Care, Instant>> last = new HashMap<>();
        for (CareMapper.Done one : done) {
            for (CareDone.Care care : CareDone.Care.values()) {
                boolean job = care == CareDone.Care.CORE_SERVICE
                        ? CORE.contains(one.what())
                        : one.what().equals(Job.PREVENTION_LOOK.name());
                if (job || one.what().equals(care.name())) {
                    last.computeIfAbsent(one.wheelId(), wheel -> new EnumMap<>(CareDone.Care.class))
                            .merge(care, one.at(), (a, b) -> a.isAfter(b) ? a : b);
                }
            }
        }
        return last;
    }
}
