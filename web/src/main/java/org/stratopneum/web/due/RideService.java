package org.stratopneum.web.due;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.agenda.DueItem;
import org.stratopneum.core.agenda.RideReadiness;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.sealant.SealantState;

/** Says what must be done before a ride; what was put off or skipped too, since nobody rides on a decision. */
@Service
class RideService {

    private static final int DAYS_AHEAD = 365;
    private static final int PERCENT = 100;

    private final DueEntries matters;
    private final AgendaService agenda;
    private final BikeAdvisor advisor;
    private final Wording wording;
    private final ProblemWording problemWording;

    RideService(
            DueEntries matters,
            AgendaService agenda,
            BikeAdvisor advisor,
            Wording wording,
            ProblemWording problemWording) {
        this.matters = matters;
        this.agenda = agenda;
        this.advisor = advisor;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** @param typed bike and day; without them the first bike, and the Saturday that comes */
    @Transactional(readOnly = true)
    RidePage page(Map<String, String> typed) {
        DueEntries.All all = matters.all();
        FormReader reader = new FormReader(typed);
        LocalDate saturday = all.today().with(TemporalAdjusters.nextOrSame(DayOfWeek.SATURDAY));
        LocalDate day =
                reader.day("on", all.today(), all.today().plusDays(DAYS_AHEAD)).orElse(saturday);
        Optional<BikeState> bike = all.bikes().stream()
                .filter(found -> reader.isBlank("bike") || found.id().toString().equals(reader.text("bike")))
                .findFirst();
        if (bike.isEmpty() && !reader.isBlank("bike")) {
            reader.add(Problem.of("bike", "unknown-value"));
        }
        boolean faulty = !reader.problems().isEmpty();
        return new RidePage(
                all.bikes().stream()
                        .map(found -> new RidePage.Bike(found.id(), found.name()))
                        .toList(),
                new FormView(
                        Map.of(
                                "bike",
                                bike.map(found -> found.id().toString()).orElse(reader.text("bike")),
                                "on",
                                faulty ? reader.text("on") : day.toString()),
                        problemWording.messages(reader.problems().list())),
                bike.map(BikeState::id).orElse(null),
                bike.map(BikeState::name).orElse(null),
                DateText.day(day),
                faulty || bike.isEmpty() ? List.of() : wheels(bike.get(), day, all));
    }

    private List<RidePage.Wheel> wheels(BikeState bike, LocalDate day, DueEntries.All all) {
        Optional<BikeAdvice> advice = advisor.adviseUsual(bike);
        List<RidePage.Wheel> wheels = new ArrayList<>();
        for (WheelPosition position : WheelPosition.values()) {
            bike.wheel(position).ifPresent(wheel -> {
                List<DueItem> items = all.known().all(wheel, DueEntries.window(advice, position));
                wheels.add(new RidePage.Wheel(
                        wheel.wheelId(),
                        wording.of("position", position),
                        RideReadiness.of(items, day).stream()
                                .map(before -> line(before, day, all))
                                .toList(),
                        sealant(wheel, day, all)));
            });
        }
        return wheels;
    }

    private RidePage.Line line(RideReadiness.Before before, LocalDate day, DueEntries.All all) {
        boolean must = before.standing() == RideReadiness.Standing.MUST;
        List<String> notes = new ArrayList<>();
        if (before.latest().isBefore(day)) {
            notes.add(wording.text("ready.by", DateText.weekday(before.latest())));
        }
        Mark mark = all.known().marks().get(WheelDues.key(before.item()));
        if (mark != null && !mark.on(before.item()).equals(Optional.of(before.item()))) {
            notes.add(agenda.said(mark));
        }
        return new RidePage.Line(
                wording.of("due", before.item().reason()),
                DueEntries.path(before.item()),
                must ? "blocks" : "none",
                wording.of("ready", before.standing()),
                String.join("; ", notes));
    }

    private String sealant(WheelState wheel, LocalDate day, DueEntries.All all) {
        SealantState state = all.known().sealant().get(wheel.wheelId());
        if (state == null) {
            return null;
        }
        double percent = PERCENT * state.forecast().chanceTooLittle(day);
        return percent < 1
                ? wording.text("ready.sealant.enough")
                : wording.text("ready.sealant", Numbers.fixed(percent, 0));
    }
}
