package org.stratopneum.web.pressure;

import java.util.List;

/** What to set on both wheels and why, in words. */
public record AdviceView(WheelPanel rear, WheelPanel front, List<StepRow> steps, String system, String strikeGround) {

    public List<WheelPanel> wheels() {
        return List.of(rear, front);
    }
}
