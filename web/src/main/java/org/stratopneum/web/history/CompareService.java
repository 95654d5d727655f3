package org.stratopneum.web.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fleet.bikes.FittedTires;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Lays tires side by side. */
@Service
class CompareService {

    private static final int LEAST = 2;
    private static final int MOST = 4;

    private final PartHistories lives;
    private final Riders riders;
    private final HistoryWording lifeWording;
    private final Wording wording;

    CompareService(PartHistories lives, Riders riders, HistoryWording lifeWording, Wording wording) {
        this.lives = lives;
        this.riders = riders;
        this.lifeWording = lifeWording;
        this.wording = wording;
    }

    /** @param asked tires of the rider's; what is none of them is left out */
    @Transactional(readOnly = true)
    ComparePage page(List<UUID> asked) {
        Rider rider = riders.self();
        Set<UUID> wanted = new LinkedHashSet<>(asked);
        PartHistoryBook book = lives.bookOfTires(wanted, rider);
        List<HistoryMapper.TireRow> tires = lives.tires();
        List<ComparePage.Choice> choices = tires.stream()
                .map(tire ->
                        new ComparePage.Choice(tire.id(), tire.name(), where(tire, book), wanted.contains(tire.id())))
                .toList();
        List<ComparePage.Choice> chosen =
                choices.stream().filter(ComparePage.Choice::chosen).toList();
        List<ComparePage.Choice> columns = chosen.subList(0, Math.min(MOST, chosen.size()));
        if (columns.size() < LEAST) {
            String said = choices.isEmpty()
                    ? wording.text("compare.none-yet")
                    : asked.isEmpty() ? "" : wording.text("compare.choose");
            return new ComparePage(choices, said, List.of(), List.of(), List.of());
        }
        Instant now = lives.now();
        Map<UUID, HistoryFigures.Priced> priced = PartHistories.priced(book, tires);
        List<HistoryFigures> figures = columns.stream()
                .map(column -> HistoryFigures.of(book.ofTire(column.id()), priced, column.id(), now))
                .toList();
        return new ComparePage(
                choices,
                chosen.size() > MOST ? wording.text("compare.too-many") : "",
                columns,
                rows(figures, rider),
                chances(columns, figures));
    }

    private String where(HistoryMapper.TireRow tire, PartHistoryBook book) {
        if (tire.retiredOn() != null) {
            return wording.text("compare.retired");
        }
        return book.ofTire(tire.id()).stays().stream()
                .filter(stay -> stay.until() == null)
                .findFirst()
                .flatMap(stay -> book.fitted().wheel(stay.wheel()))
                .map(this::place)
                .orElse(wording.text("compare.shelf"));
    }

    private String place(FittedTires.Wheel wheel) {
        return wheel.bikeName() + ", " + wording.of("position", wheel.position());
    }

    private List<ComparePage.Row> rows(List<HistoryFigures> figures, Rider rider) {
        List<List<HistoryPage.Figure>> columns = new ArrayList<>();
        for (HistoryFigures life : figures) {
            List<HistoryPage.Figure> column = new ArrayList<>(lifeWording.figures(life, rider));
            column.add(worn(life, rider));
            columns.add(column);
        }
        List<ComparePage.Row> rows = new ArrayList<>();
        for (int i = 0; i < columns.get(0).size(); i++) {
            int row = i;
            rows.add(new ComparePage.Row(
                    columns.get(0).get(i).name(),
                    columns.stream().map(column -> column.get(row)).toList()));
        }
        return rows;
    }

    private HistoryPage.Figure worn(HistoryFigures life, Rider rider) {
        String name = wording.text("compare.wear", rider.units().distance().symbol());
        double each = rider.units().distance().toCore(1);
        return life.middle()
                .map(wear -> new HistoryPage.Figure(
                        name,
                        QuantityText.text(Math.max(0, wear.lostMm()) * each, rider.lengthUnit()),
                        wording.text(
                                "life.between",
                                QuantityText.number(Math.max(0, wear.lostLowMm()) * each, rider.lengthUnit()),
                                QuantityText.number(wear.lostHighMm() * each, rider.lengthUnit()))))
                .orElse(new HistoryPage.Figure(name, wording.text("compare.wear.none"), ""));
    }

    private List<String> chances(List<ComparePage.Choice> columns, List<HistoryFigures> figures) {
        List<String> chances = new ArrayList<>();
        for (int i = 0; i < columns.size(); i++) {
            for (int j = i + 1; j < columns.size(); j++) {
                if (figures.get(i).punctures().isPresent()
                        && figures.get(j).punctures().isPresent()) {
                    chances.add(lifeWording.compared(
                            named(columns.get(i)),
                            figures.get(i).punctures().get(),
                            named(columns.get(j)),
                            figures.get(j).punctures().get()));
                }
            }
        }
        return chances;
    }

    private static String named(ComparePage.Choice tire) {
        return tire.name() + " (" + tire.where() + ")";
    }
}
