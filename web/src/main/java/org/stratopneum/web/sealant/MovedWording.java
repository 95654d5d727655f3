package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.ForecastMoves;
import org.stratopneum.core.sealant.SealantEvent;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Says what moved the forecast of a tire. */
@Component
class MovedWording {

    private final Wording wording;

    MovedWording(Wording wording) {
        this.wording = wording;
    }

    List<String> said(
            SealantForecast now,
            WheelSealant liquid,
            SealantRecord record,
            DryingClimate climate,
            LocalDate today,
            Rider rider) {
        List<String> said = new ArrayList<>();
        ForecastMoves.of(now, liquid.followed(record), climate, record.events(), today)
                .forEach(move -> said.add(wording.text(
                        move.days() > 0 ? "sealant.moved.later" : "sealant.moved.sooner",
                        wording.text(
                                "sealant.moved." + what(move.event()),
                                DateText.date(move.event().on())),
                        Math.abs(move.days()))));
        ForecastMoves.drySpell(now, climate, today)
                .ifPresent(spell -> said.add(wording.text(
                        "sealant.moved.dry",
                        DateText.shortDay(spell.first()),
                        DateText.shortDay(spell.last()),
                        QuantityText.text(spell.extraMl(), rider.volumeUnit()))));
        return said;
    }

    private static String what(SealantEvent event) {
        if (event instanceof SealantEvent.Dipped) {
            return "dip";
        }
        if (event instanceof SealantEvent.Loss) {
            return event instanceof SealantEvent.Spent ? "hole" : "loss";
        }
        return "sound";
    }
}
