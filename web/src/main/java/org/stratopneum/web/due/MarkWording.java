package org.stratopneum.web.due;

import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.Wording;

/** Says what a rider did about a matter without doing it. */
@Component
class MarkWording {

    private final Wording wording;

    MarkWording(Wording wording) {
        this.wording = wording;
    }

    String said(Mark mark) {
        if (mark.act() == Mark.Act.PUT_OFF) {
            return wording.text("todo.snoozed", DateText.date(mark.until()));
        }
        return mark.reason() == null
                ? wording.text("todo.skipped")
                : wording.text("todo.skipped.reason", mark.reason());
    }
}
