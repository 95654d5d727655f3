package org.stratopneum.web.leak;

import java.util.Arrays;
import java.util.Optional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.web.platform.fault.NotThereException;

/**
 * What a rider does on the page of a search, as the buttons name it: a step itself, "back:" and a step, "unknown:" and a
 * circumstance, "mode:" and a way of going on, "spot:" and a place with its hour, "no-spot:" and the same.
 */
final class SearchAct {

    private SearchAct() {}

    /** @throws NotThereException when no button says so */
    static Search apply(Search search, String act) {
        int colon = act.indexOf(':');
        if (colon < 0) {
            return search.with(step(act));
        }
        String what = act.substring(colon + 1);
        return switch (act.substring(0, colon)) {
            case "back" -> search.without(step(what));
            case "unknown" -> search.without(circumstance(what));
            case "mode" -> search.goingOn(mode(what));
            case "spot" -> search.with(spot(what));
            case "no-spot" -> search.without(spot(what));
            default -> throw new NotThereException();
        };
    }

    private static SearchStep step(String text) {
        return SearchStep.parse(text).orElseThrow(NotThereException::new);
    }

    static Circumstance circumstance(String code) {
        return Arrays.stream(Circumstance.values())
                .filter(circumstance -> circumstance.code().equals(code))
                .findFirst()
                .orElseThrow(NotThereException::new);
    }

    static Diagnosis.Mode mode(String name) {
        return Arrays.stream(Diagnosis.Mode.values())
                .filter(mode -> mode.name().equals(name))
                .findFirst()
                .orElseThrow(NotThereException::new);
    }

    static String text(Spot spot) {
        return spot.zone() + "@" + spot.hour();
    }

    /** A place as {@link #text} writes it. */
    static Spot spot(String text) {
        String[] parts = text.split("@", -1);
        Optional<Spot.Zone> zone = Arrays.stream(Spot.Zone.values())
                .filter(found -> found.name().equals(parts[0]))
                .findFirst();
        try {
            return new Spot(zone.orElseThrow(NotThereException::new), Double.parseDouble(parts[1]));
        } catch (NumberFormatException | ArrayIndexOutOfBoundsException | InvalidInputException notAPlace) {
            throw new NotThereException();
        }
    }
}
