package org.stratopneum.web.leak;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Belief;
import org.stratopneum.core.diagnosis.Cause;
import org.stratopneum.core.diagnosis.Check;
import org.stratopneum.core.diagnosis.Diagnosis;
import org.stratopneum.core.diagnosis.HolePlace;
import org.stratopneum.core.diagnosis.LeakModel;
import org.stratopneum.core.diagnosis.Reason;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.web.fleet.bikes.WheelHead;
import org.stratopneum.web.platform.drawing.PartSymbols;
import org.stratopneum.web.platform.drawing.WheelMapDrawing;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;

/** Lays a search out. */
@Component
class SearchPages {

    /** Causes below this are not listed (ratio). */
    private static final double TOO_UNLIKELY = 0.004;

    /** Nobody knows how long it takes to a minute. */
    private static final double FIVE = 5;

    /** From so much on it is said that some leaks never bubble (ratio; our judgement). */
    private static final double MAY_BE_SILENT = 0.15;

    private final Wording wording;
    private final SearchWording words;
    private final ProblemWording problemWording;

    SearchPages(Wording wording, SearchWording words, ProblemWording problemWording) {
        this.wording = wording;
        this.words = words;
        this.problemWording = problemWording;
    }

    /**
     * What a page is made for.
     *
     * @param head what stands over the pages of the wheel, or null for a visitor
     * @param wheel the wheel, or null for a visitor
     * @param asked the check that the rider chose instead, or null
     * @param typed what the page was asked with
     * @param end how it ended, or null
     * @param tested what a hold test has said since, or null
     */
    record Asked(
            WheelHead head,
            SearchWheel wheel,
            String title,
            SearchPage.Acts acts,
            String asked,
            Map<String, String> typed,
            SearchPage.End end,
            String tested) {
        Integer spokes() {
            return wheel == null ? null : wheel.spokes();
        }
    }

    SearchPage page(Search search, LeakModel model, boolean own, Asked asked) {
        Diagnosis diagnosis = search.diagnosis(model, asked.spokes());
        boolean open = asked.end == null;
        Diagnosis.Next next = diagnosis.next(search.mode());
        Optional<Check> chosen = diagnosis.open().stream()
                .filter(check -> check.code().equals(asked.asked))
                .findFirst();
        Check look = chosen.orElse(next.check());
        Belief belief = diagnosis.belief();
        return new SearchPage(
                asked.head,
                asked.wheel == null ? null : asked.wheel.id(),
                asked.title,
                asked.acts,
                diagnosis.findings().entrySet().stream()
                        .flatMap(found -> model.check(found.getKey()).cautions().after(found.getValue()).stream())
                        .map(caution -> words.caution(Optional.of(caution)))
                        .distinct()
                        .toList(),
                open && look != null ? look(look, diagnosis, chosen.isPresent()) : null,
                open && look == null ? mend(next.mend(), diagnosis, belief, search.mode()) : null,
                asked.end,
                open ? others(diagnosis, look) : List.of(),
                ranking(diagnosis, belief),
                own ? wording.text("search.own") : null,
                open ? notes(diagnosis, belief) : List.of(),
                belief.ofTwo() > 0 ? wording.text("search.two", SearchWording.percent(belief.ofTwo())) : null,
                said(search),
                search.system() == AirSystem.TUBELESS ? map(search, asked) : null,
                search.system() == AirSystem.TUBE ? hole(asked) : null,
                open ? progress(diagnosis, look) : null,
                search.mode() == Diagnosis.Mode.NAME_IT,
                asked.tested,
                belief.ranking().stream()
                        .map(cause -> new SearchPage.Named(cause.name(), words.cause(cause)))
                        .toList());
    }

    private SearchPage.Look look(Check check, Diagnosis diagnosis, boolean chosen) {
        return new SearchPage.Look(
                check.code(),
                words.check(check.code()),
                words.how(check),
                words.cost(check),
                words.caution(check.cautions().looking()),
                PartSymbols.ofCheck(check.code()).orElse(null),
                why(check, diagnosis, chosen),
                check.answers().stream()
                        .map(answer -> new SearchPage.Button(
                                SearchStep.seen(check.code(), answer).text(),
                                words.answer(check.code(), answer),
                                PartSymbols.ofAnswer(answer).orElse(null)))
                        .toList(),
                SearchStep.notHere(check.code()).text(),
                diagnosis.prospects(check).stream()
                        .map(prospect -> words.prospect(check, prospect))
                        .toList());
    }

    private String progress(Diagnosis diagnosis, Check look) {
        String left = Numbers.fixed(FIVE * Math.ceil(diagnosis.minutesLeft(look) / FIVE), 0);
        return look == null
                ? wording.text("search.progress.mend", left)
                : wording.text(
                        "search.progress", diagnosis.findings().size() + 1, Numbers.fixed(look.minutes(), 0), left);
    }

    private String why(Check check, Diagnosis diagnosis, boolean chosen) {
        double saves = diagnosis.saves(check);
        if (chosen) {
            return wording.text("search.why.chosen");
        }
        return saves > 0
                ? wording.text(
                        "search.why.saves", Numbers.fixed(check.minutes(), 0), Numbers.fixed(saves + check.cost(), 0))
                : wording.text("search.why.tells", Numbers.fixed(check.minutes(), 0));
    }

    private SearchPage.Mend mend(Cause cause, Diagnosis diagnosis, Belief belief, Diagnosis.Mode mode) {
        List<Cause> group = group(cause, diagnosis);
        double likely = likely(cause, group, belief);
        String why = mode == Diagnosis.Mode.MEND_SOON
                ? wording.text(
                        bySeenObject(cause, diagnosis) ? "search.mend.object" : "search.mend.why",
                        SearchWording.percent(likely))
                : wording.text(diagnosis.named() ? "search.named" : "search.not-named", SearchWording.percent(likely));
        return new SearchPage.Mend(
                cause.name(),
                words.causes(group),
                SearchWording.percent(likely),
                words.fix(cause),
                group.stream()
                        .map(found -> words.caution(found.caution()))
                        .filter(Objects::nonNull)
                        .distinct()
                        .toList(),
                why,
                group.stream()
                        .flatMap(member -> member.jobs().stream())
                        .distinct()
                        .map(job -> new SearchPage.Card(job, wording.of("job", job)))
                        .toList(),
                cause != Cause.RIM_CRACK,
                SearchStep.mended(cause.code()).text());
    }

    private static boolean bySeenObject(Cause cause, Diagnosis diagnosis) {
        return cause.alike().contains(Cause.TREAD_HOLE)
                && "object".equals(diagnosis.findings().get("look-over"));
    }

    private static double likely(Cause cause, List<Cause> group, Belief belief) {
        return group.size() > 1 ? belief.ofAlike(cause) : belief.of(cause);
    }

    /** What is worth knowing beside the next step. */
    private List<String> notes(Diagnosis diagnosis, Belief belief) {
        List<String> notes = new ArrayList<>();
        if (!diagnosis.failedFixes().isEmpty()) {
            notes.add(wording.text("search.note.in-vain"));
        }
        if (belief.ofSilent() >= MAY_BE_SILENT) {
            notes.add(wording.text("search.note.silent"));
        }
        return notes;
    }

    /** Those that look alike, until the remedy that they share was tried. */
    private static List<Cause> group(Cause cause, Diagnosis diagnosis) {
        if (cause.alike().stream().anyMatch(diagnosis.failedFixes()::contains)) {
            return List.of(cause);
        }
        return cause.alike().stream()
                .sorted(Comparator.comparingDouble(diagnosis.belief()::of).reversed())
                .toList();
    }

    private List<SearchPage.Other> others(Diagnosis diagnosis, Check look) {
        return diagnosis.open().stream()
                .filter(check -> check != look)
                .map(check -> new SearchPage.Other(check.code(), words.check(check.code()), words.cost(check)))
                .toList();
    }

    private List<SearchPage.Ranked> ranking(Diagnosis diagnosis, Belief belief) {
        List<SearchPage.Ranked> ranking = new ArrayList<>();
        Set<Cause> told = new HashSet<>();
        for (Cause cause : belief.ranking()) {
            List<Cause> group = group(cause, diagnosis);
            if (!told.add(cause)) {
                continue;
            }
            told.addAll(group);
            double likely = likely(cause, group, belief);
            if (likely >= TOO_UNLIKELY) {
                ranking.add(ranked(cause, group, likely, diagnosis));
            }
        }
        return ranking.stream()
                .sorted((one, other) -> Double.compare(other.width(), one.width()))
                .toList();
    }

    private SearchPage.Ranked ranked(Cause cause, List<Cause> group, double likely, Diagnosis diagnosis) {
        List<String> reasons = group.stream()
                .flatMap(member -> diagnosis.reasons(member).stream()
                        .filter(reason -> reason.kind() != Reason.Kind.KNOWN || reason.times() != 1)
                        .map(words::reason)
                        .map(reason -> group.size() > 1 ? words.cause(member) + " · " + reason : reason))
                .toList();
        return new SearchPage.Ranked(
                words.causes(group), SearchWording.percent(likely), 100 * likely, words.signs(cause), reasons);
    }

    private List<SearchPage.Said> said(Search search) {
        Stream<SearchPage.Said> known = search.known().stream()
                .sorted()
                .map(circumstance -> new SearchPage.Said(words.known(circumstance), "unknown:" + circumstance.code()));
        Stream<SearchPage.Said> steps =
                search.steps().stream().map(step -> new SearchPage.Said(said(step), "back:" + step.text()));
        return Stream.concat(known, steps).toList();
    }

    private String said(SearchStep step) {
        return switch (step.kind()) {
            case SEEN -> words.check(step.code()) + ": " + words.answer(step.code(), step.answer());
            case NOT_HERE -> wording.text("search.said.not-here", words.check(step.code()));
            case MENDED ->
                wording.text(
                        "search.said.mended",
                        Cause.coded(step.code()).map(words::cause).orElse(step.code()));
        };
    }

    private SearchPage.WheelMap map(Search search, Asked asked) {
        List<SearchPage.Said> spots = search.spots().stream()
                .map(spot -> new SearchPage.Said(words.spot(spot, asked.spokes()), "no-spot:" + SearchAct.text(spot)))
                .toList();
        return new SearchPage.WheelMap(
                WheelMapDrawing.of(search.spots()),
                spots,
                Stream.of(Spot.Zone.values())
                        .map(zone -> new SearchPage.Named(zone.name(), words.zone(zone)))
                        .toList(),
                asked.spokes());
    }

    private SearchPage.Hole hole(Asked asked) {
        FormReader form = new FormReader(asked.typed);
        Optional<Double> hour = form.number("hour", Spot.HOURS);
        List<Problem> problems = form.problems().list();
        boolean sideKnown = form.ticked("side");
        SearchWheel wheel = asked.wheel;
        return new SearchPage.Hole(
                new FormView(asked.typed, problemWording.messages(problems)),
                hour.filter(found -> problems.isEmpty())
                        .map(found -> words.places(
                                new HolePlace(found),
                                sideKnown,
                                wheel == null ? null : wheel.beadMm(),
                                wheel == null ? null : wheel.outerMm(),
                                asked.spokes()))
                        .orElse(List.of()));
    }
}
