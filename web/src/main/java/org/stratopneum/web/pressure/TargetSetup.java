package org.stratopneum.web.pressure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Level;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.FitCheck;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;

/** Whether a wheel may become what a job would make of it: by its parts, and by what its rider would have to pump. */
@Component
public class TargetSetup {

    private final BikeAdvisor advisor;

    TargetSetup(BikeAdvisor advisor) {
        this.advisor = advisor;
    }

    /**
     * What speaks against the set-up, the worst first; fine ones are left out. What needs the rider's weight and ground is
     * left out where nobody said.
     *
     * @param bike the bike as it stands
     * @param goal its wheel as it would stand
     */
    public List<Verdict> against(BikeState bike, WheelState goal, FitParts parts) {
        List<Verdict> found = new ArrayList<>();
        goal.fitCase(null, parts).map(FitCheck::of).ifPresent(check -> found.addAll(check.verdicts()));
        advice(bike, goal).ifPresent(advice -> {
            boolean rear = goal.position() == WheelPosition.REAR;
            (rear ? advice.rear() : advice.front())
                    .verdicts().stream()
                            .filter(verdict -> verdict.level().compareTo(Level.WARNS_STRONGLY) >= 0)
                            .forEach(found::add);
        });
        return found.stream()
                .filter(verdict -> verdict.level() != Level.FINE)
                .sorted((one, other) -> other.level().compareTo(one.level()))
                .toList();
    }

    /** What would be advised then; empty while something for it is missing. */
    public Optional<BikeAdvice> advice(BikeState bike, WheelState goal) {
        return advisor.adviseUsual(bike.with(goal));
    }

    /** Whether it must not be begun. */
    public static boolean blocks(List<Verdict> against) {
        return against.stream().anyMatch(verdict -> verdict.level() == Level.BLOCKS);
    }
}
