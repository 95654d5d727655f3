package org.stratopneum.web.jobs;

import java.util.List;
import org.springframework.context.NoSuchMessageException;
import org.springframework.stereotype.Component;
import org.stratopneum.core.gauge.GaugeFit;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Answer;
import org.stratopneum.core.job.JobCase;
import org.stratopneum.core.job.Step;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.core.quantity.Length;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;

/** Puts the steps of a job card into words, with the amounts of its set-up. */
@Component
class CardWording {

    private static final double MM_PER_M = 1000;

    private final Wording wording;

    CardWording(Wording wording) {
        this.wording = wording;
    }

    String text(Step step, JobCase facts, Units units) {
        Object[] amounts = step.amounts().stream()
                .map(amount -> amount(amount, facts, units))
                .toArray();
        return wording.text("do." + step.text(), amounts);
    }

    String why(Step step) {
        return wording.text("do." + step.text() + ".why");
    }

    List<String> cautions(Step step) {
        return step.cautions().stream()
                .map(caution -> wording.of("caution", caution))
                .toList();
    }

    /** What an answer is called at a step. */
    String answer(Step step, Answer answer) {
        if (answer == Answer.DONE) {
            if (step.task() instanceof Step.Task.Heed) {
                return wording.text("answer.heed");
            }
            return wording.text(step.task() instanceof Step.Task.Rest ? "answer.rest" : "answer.DONE");
        }
        try {
            return wording.text("answer." + step.text() + "." + answer.name());
        } catch (NoSuchMessageException usual) {
            return wording.of("answer", answer);
        }
    }

    String amount(Amount amount, JobCase facts, Units units) {
        return facts.amount(amount)
                .map(quantity -> said(amount, quantity, facts.gauge(), units))
                .orElseGet(() -> wording.of("amount", amount));
    }

    private String said(Amount amount, Object quantity, GaugeFit gauge, Units units) {
        if (quantity instanceof GaugePressure pressure) {
            String told = PressureText.both(pressure, units.pressure());
            return gauge.changesNothing()
                    ? told
                    : wording.text("card.on-gauge", told, PressureText.text(gauge.toShown(pressure), units.pressure()));
        }
        if (quantity instanceof Length length) {
            return amount == Amount.TAPE_LENGTH
                    ? Numbers.fixed(length.mm() / MM_PER_M, 2) + " m"
                    : QuantityText.size(length.mm(), units.length());
        }
        return quantity instanceof Integer count
                ? String.valueOf(count)
                : QuantityText.text((Double) quantity, units.volume());
    }
}
