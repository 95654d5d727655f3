package org.stratopneum.web.pressure.livegauge;

import java.util.UUID;
import org.stratopneum.web.fleet.bikes.WheelHead;

/**
 * A wheel whose gauge is watched.
 *
 * @param head what stands over every page of the wheel
 * @param told what to set, in words, or null
 * @param gauge name of the gauge in hand, or null
 * @param tire what the gauge is put on: volume (l) and pressure now (kPa)
 * @param ceiling the most that tire and rim allow, as the gauge in hand shows it (kPa); empty without a limit
 * @param fault what is wrong with what was sent, or null
 */
record LiveGaugePage(
        WheelHead head,
        String told,
        String gauge,
        String unit,
        String symbol,
        String tire,
        String ceiling,
        UUID entry,
        String fault) {}
