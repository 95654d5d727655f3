package org.stratopneum.web.sealant;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.core.sealant.DryingClimate;
import org.stratopneum.core.sealant.SealantForecast;
import org.stratopneum.web.fleet.care.CareForm;
import org.stratopneum.web.fleet.care.WheelCare;
import org.stratopneum.web.fleet.kept.RiderMemory;
import org.stratopneum.web.log.LogKind;
import org.stratopneum.web.log.LogOutcome;
import org.stratopneum.web.log.LogRow;
import org.stratopneum.web.log.LogWording;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.log.WheelLine;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfKind;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderChanges;

/** Puts the page of a wheel's sealant together. */
@Component
class SealantPages {

    private static final int ENTRIES = 200;
    private static final int SHOWN = 12;
    private static final int MOST_REMEMBERED = 200;

    private final Logbook logbook;
    private final Storage storage;
    private final Shelf shelf;
    private final Wording wording;
    private final SealantWording said;
    private final LogWording logWording;
    private final MovedWording movedWording;
    private final DoseWording doseWording;
    private final RiderMemory.Of<UUID, Noted> remembered;
    private final RiderMemory.Of<String, List<ShelfItem>> onShelf;

    SealantPages(
            Logbook logbook,
            Storage storage,
            Shelf shelf,
            Wording wording,
            SealantWording said,
            LogWording logWording,
            MovedWording movedWording,
            DoseWording doseWording,
            RiderMemory memory) {
        remembered = memory.of("SEALANT_PAGE", MOST_REMEMBERED);
        onShelf = memory.of("BOTTLES", MOST_REMEMBERED);
        this.logbook = logbook;
        this.storage = storage;
        this.shelf = shelf;
        this.wording = wording;
        this.said = said;
        this.logWording = logWording;
        this.movedWording = movedWording;
        this.doseWording = doseWording;
    }

    /** What was typed into each form, null for a fresh one, and whether the care was changed in the meantime. */
    record Typed(FormView dips, FormView filling, FormView answer, FormView found, FormView care, boolean conflict) {
        static final Typed NOTHING = new Typed(null, null, null, null, null, false);

        static Typed dips(FormView form) {
            return new Typed(form, null, null, null, null, false);
        }

        static Typed filling(FormView form) {
            return new Typed(null, form, null, null, null, false);
        }

        static Typed answer(FormView form) {
            return new Typed(null, null, form, null, null, false);
        }

        static Typed found(FormView form) {
            return new Typed(null, null, null, form, null, false);
        }

        static Typed care(FormView form, boolean conflict) {
            return new Typed(null, null, null, null, form, conflict);
        }
    }

    private static final FormView FRESH = new FormView(Map.of(), Map.of());

    SealantPage page(SealantAsked asked, Typed typed, LogOutcome outcome) {
        Rider rider = asked.rider();
        List<ShelfItem> bottles = bottles();
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        Noted noted =
                remembered.get(RiderChanges::butReadings, asked.wheel().wheelId(), today, () -> noted(asked, today));
        Standing standing = noted.standing;
        SealantPage.Forms forms = new SealantPage.Forms(
                typed.dips == null ? FRESH : typed.dips,
                typed.filling == null ? usual(standing, bottles, rider) : typed.filling,
                typed.answer == null ? FRESH : typed.answer,
                typed.found == null ? FRESH : typed.found,
                typed.care == null ? new FormView(CareForm.texts(asked.care(), rider.units()), Map.of()) : typed.care,
                typed.conflict);
        return new SealantPage(
                asked.head(),
                noted.none,
                standing != null && !standing.noted,
                standing == null ? null : standing.left,
                standing == null ? null : standing.question,
                asked.liquid().map(liquid -> doseWording.table(liquid, rider)).orElse(List.of()),
                asked.liquid().map(liquid -> doseWording.said(liquid, rider)).orElse(List.of()),
                asked.dippable(),
                forms,
                rider.units(),
                bottles.stream()
                        .map(item -> new SealantPage.Bottle(item.id(), said.bottle(item, rider)))
                        .toList(),
                standing == null ? null : buy(standing, bottles, rider),
                noted.lines,
                outcome);
    }

    /** What the log says of it on a day; {@code standing} and {@code none} are null, the one or the other. */
    private record Noted(Standing standing, String none, List<WheelLine> lines) {}

    private Noted noted(SealantAsked asked, LocalDate today) {
        Rider rider = asked.rider();
        List<LogRow> rows = rows(asked.wheel().wheelId());
        return new Noted(
                asked.liquid()
                        .map(liquid -> standing(asked, liquid, rows, today))
                        .orElse(null),
                asked.liquid().isPresent() ? null : said.none(asked.wheel(), rows, rider),
                rows.stream()
                        .limit(SHOWN)
                        .map(row -> logWording.ofWheel(row, rider))
                        .toList());
    }

    /** All that was noted of the liquid on this wheel, newest first. */
    List<LogRow> rows(UUID wheelId) {
        return logbook.ofWheel(wheelId, LogKind.SEALANT, ENTRIES);
    }

    SealantRecord record(WheelSealant liquid, List<LogRow> rows, Rider rider) {
        return SealantRecord.of(liquid.tire(), liquid.minimumMl(), rows, logbook, rider.zoneId());
    }

    List<ShelfItem> bottles() {
        return onShelf.get(
                RiderChanges::butReadings,
                "",
                "",
                () -> shelf.available().stream()
                        .filter(item -> item.kind() == ShelfKind.SEALANT)
                        .toList());
    }

    /** What is left in words, what is asked, what would bring it back, and the bottle of what is inside. */
    private record Standing(
            boolean noted, SealantPage.Left left, SealantPage.Question question, double topUpMl, UUID bottle) {}

    private Standing standing(SealantAsked asked, WheelSealant liquid, List<LogRow> rows, LocalDate today) {
        Rider rider = asked.rider();
        SealantRecord record = record(liquid, rows, rider);
        Storage.Air air = storage.of(asked.bike().home(), today, rider);
        DryingClimate climate = air.of(asked.bike().id());
        Optional<SealantForecast> now = liquid.on(today, record, climate);
        return new Standing(
                record.noted() || record.events().size() > 1,
                now.map(found -> said.left(
                                found,
                                liquid,
                                record,
                                climate,
                                today,
                                rider,
                                List.of(
                                        air.said(),
                                        storage.ridden(air, asked.bike().id())),
                                movedWording.said(found, liquid, record, climate, today, rider)))
                        .orElse(null),
                now.map(found -> said.question(found, record, rider)).orElse(null),
                now.map(found -> goesIn(liquid, found, today)).orElseGet(() -> liquid.topUpMl(0)),
                record.bottle());
    }

    private static double goesIn(WheelSealant liquid, SealantForecast now, LocalDate today) {
        return liquid.care().plan() == WheelCare.Plan.MONTHLY_TOP_UP
                ? liquid.monthlyMl(now, today)
                : liquid.topUpMl(now.volumeMl().p50());
    }

    /** Filled with what brings it back to a dose, from the bottle that was used before. */
    private FormView usual(Standing standing, List<ShelfItem> bottles, Rider rider) {
        if (standing == null) {
            return FRESH;
        }
        return new FormView(
                Map.of(
                        "volume",
                        standing.topUpMl > 0 ? QuantityText.typed(standing.topUpMl, rider.volumeUnit()) : "",
                        "bottle",
                        suggested(standing, bottles)
                                .map(item -> item.id().toString())
                                .orElse("")),
                Map.of());
    }

    private static Optional<ShelfItem> suggested(Standing standing, List<ShelfItem> bottles) {
        return bottles.stream()
                .filter(item -> standing.bottle == null || item.id().equals(standing.bottle))
                .findFirst();
    }

    /** What is missing for the next filling; null where the bottle has enough, or nothing has to go in. */
    private String buy(Standing standing, List<ShelfItem> bottles, Rider rider) {
        double left = suggested(standing, bottles).map(ShelfItem::left).orElse(0.0);
        if (standing.topUpMl <= left) {
            return null;
        }
        return wording.text(
                left > 0 ? "sealant.buy" : "sealant.buy.none",
                QuantityText.text(standing.topUpMl, rider.volumeUnit()),
                QuantityText.text(left, rider.volumeUnit()),
                QuantityText.text(standing.topUpMl - left, rider.volumeUnit()));
    }
}
