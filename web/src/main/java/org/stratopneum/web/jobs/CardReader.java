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
import org.stratopneum.core.job.Condition;
import org.stratopneum.core.job.Job;
import org.stratopneum.core.job.JobCase;
import org.stratopneum.core.job.Milestone;
import org.stratopneum.core.quantity.GaugePressure;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.Garage;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.parts.garage.SpareParts;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.pressure.AdvisedPressures;
import org.stratopneum.web.pressure.BikeAdvisor;
import org.stratopneum.web.rider.Rider;
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
    private final BikeAdvisor advisor;
    private final JsonMapper json;

    CardReader(CardMapper mapper, Garage garage, SpareParts spares, Shelf shelf, BikeAdvisor advisor, JsonMapper json) {
        this.mapper = mapper;
        this.garage = garage;
        this.spares = spares;
        this.shelf = shelf;
        this.advisor = advisor;
        this.json = json;
    }

    /** @throws NotThereException when this rider has no such card */
    Card card(UUID id, Rider rider) {
        CardMapper.CardRow row = mapper.card(id).orElseThrow(NotThereException::new);
        CardChoices choices = json.readValue(row.choices(), CardChoices.class);
        List<CardMapper.WheelRow> wheels = mapper.wheels(id);
        List<CardMapper.AnswerRow> answers = mapper.answers(id);
        BikeState bike = garage.bikeOn(row.bikeId(), wheels.get(0).wheelsetId());
        List<Card.Wheel> standing = wheels.stream()
                .map(wheel -> wheel(row.job(), choices, wheel, bike, answers, rider))
                .toList();
        return new Card(row, choices, bike.hand(), standing);
    }

    private Card.Wheel wheel(
            Job job,
            CardChoices choices,
            CardMapper.WheelRow row,
            BikeState bike,
            List<CardMapper.AnswerRow> answers,
            Rider rider) {
        WheelState now = bike.wheel(row.position()).orElseThrow();
        CardCase setUp = setUp(job, choices, now, row.tireId(), bike);
        JobCase facts = setUp.jobCase(
                holding(row.holding()), riding(bike, now, rider), bike.hand().fit());
        Map<String, CardMapper.AnswerRow> own = new HashMap<>();
        answers.stream()
                .filter(answer -> answer.wheelId().equals(row.wheelId()))
                .forEach(answer -> own.put(answer.step(), answer));
        return Card.Wheel.of(row, now, setUp, facts, job, own);
    }

    /** What a card on this wheel would be, or is, done with. */
    CardCase setUp(Job job, CardChoices choices, WheelState now, UUID tireId, BikeState bike) {
        boolean on = tireId == null
                || now.tire().filter(tire -> tire.id().equals(tireId)).isPresent();
        WheelState.Tire tire = on ? null : spares.tireFor(now.wheelId(), tireId).orElseThrow(NotThereException::new);
        return new CardCase(
                job,
                choices,
                now,
                tire,
                parts(job, choices, now, bike.openings().at(now.position())));
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

    GaugePressure riding(BikeState bike, WheelState wheel, Rider rider) {
        return advisor.adviseUsual(bike)
                .flatMap(advice -> AdvisedPressures.settable(advice, rider.pressureUnit()))
                .map(told -> told.pressure(wheel.position()))
                .orElse(null);
    }

    String write(CardChoices choices) {
        return json.writeValueAsString(choices);
    }

    String write(Set<Condition> holding) {
        return json.writeValueAsString(holding.isEmpty() ? EnumSet.noneOf(Condition.class) : EnumSet.copyOf(holding));
    }

    /** What held when the card was begun, as it was kept. */
    Set<Condition> holding(String kept) {
        return json.readValue(kept, CONDITIONS);
    }

    /** How the rider did the last job, as what is usual for the next. */
    CardChoices usual() {
        return mapper.lastChoices()
                .map(text -> json.readValue(text, CardChoices.class))
                .orElse(CardChoices.USUAL);
    }
}
