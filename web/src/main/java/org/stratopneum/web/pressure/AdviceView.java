package org.stratopneum.web.pressure;

import java.util.List;

/** What is recommended for both wheels and why, in words. */
public record AdviceView(WheelPanel rear, WheelPanel front, String system, String strikeGround) {

    public List<WheelPanel> wheels() {
        return List.of(rear, front);
    }
}
