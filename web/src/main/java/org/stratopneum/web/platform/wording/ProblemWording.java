package org.stratopneum.web.platform.wording;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Problem;

/** Says what is wrong with an entered value, with the limit and the unit. */
@Component
public class ProblemWording {

    private final Wording wording;

    ProblemWording(Wording wording) {
        this.wording = wording;
    }

    public String message(Problem problem) {
        return wording.text(
                "problem." + problem.code(),
                number(problem.limit(), problem.unit()),
                number(problem.value(), problem.unit()));
    }

    /** The first message of each faulty field. */
    public Map<String, String> messages(List<Problem> problems) {
        Map<String, String> messages = new LinkedHashMap<>();
        problems.forEach(problem -> messages.putIfAbsent(problem.field(), message(problem)));
        return messages;
    }

    private static String number(Double value, String unit) {
        if (value == null) {
            return "";
        }
        if (FormReader.DATE.equals(unit)) {
            return DateText.date(LocalDate.ofEpochDay(value.longValue()));
        }
        String number = Numbers.upTo(value, 3);
        return unit == null || unit.isEmpty() ? number : number + " " + unit;
    }
}
