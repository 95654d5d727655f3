package org.stratopneum.web.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Circumstance;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.HolePlace;
import org.stratopneum.core.diagnosis.Reason;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.core.job.Caution;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.Wording;

/** Puts causes, checks, and what speaks for them into words. */
@Component
public class SearchWording {

    private static final double PERCENT = 100;

    /** A mess from here on is worth a word (of 10). */
    private static final double MESSY = 2;

    private final Wording wording;

    SearchWording(Wording wording) {
        this.wording = wording;
    }

    public String cause(Cause cause) {
        return wording.of("cause", cause);
    }

    /** Several that look alike, joined. */
    public String causes(List<Cause> causes) {
        return causes.stream().map(this::cause).collect(Collectors.joining(wording.text("cause.or")));
    }

    public String signs(Cause cause) {
        return wording.text("cause." + cause.name() + ".signs");
    }

    public String fix(Cause cause) {
        return wording.text("cause." + cause.name() + ".fix");
    }

    public String check(String code) {
        return wording.text("check." + code);
    }

    public String how(Check check) {
        return wording.text("check." + check.code() + ".how");
    }

    public String answer(String check, String answer) {
        return wording.text("check." + check + "." + answer);
    }

    /** "5 min", with a word where it is messy or takes a night. */
    public String cost(Check check) {
        String minutes = wording.text("search.minutes", Numbers.fixed(check.minutes(), 0));
        if (check.overnight()) {
            return wording.text("search.night", minutes);
        }
        return check.mess() >= MESSY ? wording.text("search.messy", minutes) : minutes;
    }

    /** What can hurt somebody, in words; null where nothing can. */
    public String caution(Optional<Caution> caution) {
        return caution.map(found -> wording.of("caution", found)).orElse(null);
    }

    /** Why a cause, with those that look alike, is worth mending now. */
    public String worthMending(List<Cause> causes, double likely) {
        return wording.text("search.worth", causes(causes), percent(likely), fix(causes.get(0)));
    }

    public static String percent(double ratio) {
        double percent = PERCENT * ratio;
        return (percent > 0 && percent < 1 ? "< 1" : Numbers.fixed(percent, 0)) + " %";
    }

    /** "If bubbles (12 %): most likely the core, 93 %". */
    public String prospect(Check check, Diagnosis.Prospect prospect) {
        return wording.text(
                "search.prospect",
                answer(check.code(), prospect.answer()),
                percent(prospect.expected()),
                cause(prospect.leading()),
                percent(prospect.likely()));
    }

    /** "bubbles at the tip: 30 times likelier under this". */
    public String reason(Reason reason) {
        String what = switch (reason.kind()) {
            case KNOWN -> known(SearchAct.circumstance(reason.code()));
            case SEEN -> check(reason.code()) + ": " + answer(reason.code(), reason.answer());
            case MENDED -> wording.text("search.mended-in-vain");
        };
        return reason.times() >= 1
                ? wording.text("search.reason.for", what, times(reason.times()))
                : wording.text("search.reason.against", what, times(1 / reason.times()));
    }

    private static String times(double times) {
        return Numbers.fixed(times, times < 10 ? 1 : 0);
    }

    public String known(Circumstance circumstance) {
        return wording.of("known", circumstance);
    }

    public String zone(Spot.Zone zone) {
        return wording.of("zone", zone);
    }

    /** "left flank at 4 o'clock". */
    String spot(Spot spot, Integer spokes) {
        if (spot.zone().once()) {
            return zone(spot.zone());
        }
        String at = wording.text("search.spot", zone(spot.zone()), hour(spot.hour()));
        return spot.zone() == Spot.Zone.SPOKE_HOLE && spokes != null
                ? wording.text("search.spot.spoke", at, new HolePlace(spot.hour()).spokeHole(spokes))
                : at;
    }

    private static String hour(double hour) {
        return Numbers.upTo(hour, 1);
    }

    /**
     * What lies at a hole in the tube.
     *
     * @param bead diameter of the bead seat (mm), or null where nobody knows the wheel
     * @param outer diameter of the tire (mm), or null
     */
    List<String> places(HolePlace place, boolean sideKnown, Double bead, Double outer, Integer spokes) {
        List<String> places = new ArrayList<>();
        places.add(place(place, bead, outer, spokes));
        Optional.of(place.turnedRound())
                .filter(other -> !sideKnown && other.hour() != place.hour())
                .ifPresent(other -> places.add(wording.text("search.hole.or", place(other, bead, outer, spokes))));
        return places;
    }

    private String place(HolePlace place, Double bead, Double outer, Integer spokes) {
        String at = wording.text("search.hole.at", hour(place.hour()));
        if (bead == null) {
            return at;
        }
        String on = outer == null
                ? wording.text("search.hole.rim", at, mm(place.fromValveMm(bead)))
                : wording.text("search.hole.both", at, mm(place.fromValveMm(bead)), mm(place.fromValveMm(outer)));
        return spokes == null ? on : wording.text("search.hole.spoke", on, place.spokeHole(spokes));
    }

    private static String mm(double mm) {
        return Numbers.fixed(mm / 10, 0) + " cm";
    }
}
