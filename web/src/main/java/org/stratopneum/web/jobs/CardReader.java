package org.stratopneum.web.jobs;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.job.Amount;
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.JobCase;
import org.stratopneum.core.job.Milestone;
import org.stratopneum.core.pressure.BikeAdvice;
import org.stratopneum.core.pressure.PressureWindow;
import org.stratopneum.core.pressure.WheelAdvice;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelPosition;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.parts.garage.SpareParts;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.TargetSetup;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.sealant.SealantState;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Reads a job card and works out how far it has come. */
@Component
class CardReader {

    private static final TypeReference<Set<Condition>> CONDITIONS = new TypeReference<>() {};

    private final CardMapper mapper;
    private final Garage garage;
    private final SpareParts spares;
    private final Shelf shelf;
    private final TargetSetup target;
    private final CardSealant sealant;
    private final Bench bench;
    private final JsonMapper json;

    CardReader(
            CardMapper mapper,
            Garage garage,
            SpareParts spares,
            Shelf shelf,
            TargetSetup target,
            CardSealant sealant,
            Bench bench,
            JsonMapper json) {
        this.mapper = mapper;
        this.garage = garage;
        this.spares = spares;
        this.shelf = shelf;
        this.target = target;
        this.sealant = sealant;
        this.bench = bench;
        this.json = json;
    }

    /** What is asked once for all wheels of a card. */
    private record Asked(
            CardMapper.CardRow row,
            CardChoices choices,
            BikeState bike,
            ShelfItem bottle,
            Double tapeMm,
            List<CardMapper.AnswerRow> answers,
            Map<UUID, SealantState> liquid,
            Rider rider) {}

    /** @throws NotThereException when this rider has no such card */
    Card card(UUID id, Rider rider) {
        CardMapper.CardRow row = mapper.card(id).orElseThrow(NotThereException::new);
        CardChoices choices = bench.read(row.choices());
        List<CardMapper.WheelRow> wheels = mapper.wheels(id);
        List<CardMapper.AnswerRow> answers = mapper.answers(id);
        BikeState bike = garage.bikeOn(row.bikeId(), wheels.get(0).wheelsetId());
        boolean dipped = row.job().names(Amount.TOP_UP)
                && answers.stream().anyMatch(answer -> answer.step().equals(Job.LAST_DIP));
        Asked asked = new Asked(
                row,
                choices,
                bike,
                taken(choices.from().sealant()),
                tapeMm(row.job(), choices),
                answers,
                dipped ? sealant.of(bike, rider) : Map.of(),
                rider);
        return new Card(
                row,
                choices,
                bike.hand(),
                wheels.stream().map(wheel -> wheel(asked, wheel)).toList());
    }

    private ShelfItem taken(UUID item) {
        return Optional.ofNullable(item).flatMap(shelf::item).orElse(null);
    }

    /** Width of the tape that a card takes (mm), or null where none is named or none is laid. */
    Double tapeMm(Job job, CardChoices choices) {
        ShelfItem tape = job.names(Amount.TAPE_WIDTH) ? taken(choices.from().tape()) : null;
        return tape == null ? null : tape.widthMm();
    }

    private Card.Wheel wheel(Asked asked, CardMapper.WheelRow row) {
        Job job = asked.row.job();
        WheelState now = asked.bike.wheel(row.position()).orElseThrow();
        CardCase setUp = setUp(job, asked.choices, now, row.tireId(), asked.bike, asked.tapeMm);
        Map<String, CardMapper.AnswerRow> own = new HashMap<>();
        asked.answers.stream()
                .filter(answer -> answer.wheelId().equals(row.wheelId()))
                .forEach(answer -> own.put(answer.step(), answer));
        // a stick that was dipped on the way knows better than the forecast that the card was begun with
        SealantState liquid = own.containsKey(Job.LAST_DIP) ? asked.liquid.get(now.wheelId()) : null;
        JobCase facts = setUp.jobCase(
                holding(row.holding()),
                advised(asked.bike, setUp.goal(), asked.rider),
                liquid == null ? null : liquid.topUpMl(),
                asked.bottle,
                asked.bike.hand().fit());
        return Card.Wheel.of(row, now, setUp, facts, job, own);
    }

    /**
     * What a card on this wheel would be, or is, done with.
     *
     * @param tapeMm width of the tape that it takes (mm), or null
     */
    CardCase setUp(Job job, CardChoices choices, WheelState now, UUID tireId, BikeState bike, Double tapeMm) {
        boolean on = tireId == null
                || now.tire().filter(tire -> tire.id().equals(tireId)).isPresent();
        WheelState.Tire tire = on ? null : spares.tireFor(now.wheelId(), tireId).orElseThrow(NotThereException::new);
        return new CardCase(
                job,
                choices,
                now,
                tire,
                parts(job, choices, now, bike.openings().at(now.position())),
                tapeMm);
    }

    /** Valve and tube as they will be: those that the card takes, else those that are on. */
    private FitParts parts(Job job, CardChoices choices, WheelState now, Double openingMm) {
        List<ShelfItem> parts = new ArrayList<>();
        boolean tube = job.goal() == Job.Goal.TUBE || job.goal() == Job.Goal.AS_IT_IS && now.tubed();
        CardChoices.FromShelf from = choices.from();
        Stream.of(tube && job.reaches(Milestone.TUBE_ON) ? from.tube() : null, tube ? null : from.valve())
                .flatMap(Stream::ofNullable)
                .map(shelf::item)
                .flatMap(Optional::stream)
                .forEach(parts::add);
        shelf.onWheel(now.wheelId()).stream()
                .filter(item -> item.kind() == ShelfKind.VALVE && !tube || item.kind() == ShelfKind.TUBE && tube)
                .forEach(parts::add);
        return Shelf.fitParts(parts, openingMm);
    }

    private CardCase.Advised advised(BikeState bike, WheelState goal, Rider rider) {
        return target.advice(bike, goal)
                .flatMap(advice -> AdvisedPressures.settable(advice, rider.pressureUnit())
                        .map(told -> told.pressure(goal.position()))
                        .map(riding -> advised(advice, goal.position(), riding)))
                .orElse(null);
    }

    private static CardCase.Advised advised(BikeAdvice advice, WheelPosition position, GaugePressure riding) {
        WheelAdvice wheel = position == WheelPosition.REAR ? advice.rear() : advice.front();
        PressureWindow window = wheel.window();
        return new CardCase.Advised(
                riding, window == null ? null : window.low(), window == null ? null : window.high());
    }

    /** What speaks against what the card would make of the wheel. */
    List<Verdict> against(BikeState bike, CardCase setUp) {
        return setUp.becomesTubeless() ? target.against(bike, setUp.goal(), setUp.parts()) : setUp.against();
    }

    String write(Set<Condition> holding) {
        return json.writeValueAsString(holding.isEmpty() ? EnumSet.noneOf(Condition.class) : EnumSet.copyOf(holding));
    }

    /** What held when the card was begun, as it was kept. */
    Set<Condition> holding(String kept) {
        return json.readValue(kept, CONDITIONS);
    }
}
