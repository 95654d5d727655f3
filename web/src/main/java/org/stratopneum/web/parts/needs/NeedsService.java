package org.stratopneum.web.parts.needs;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Verdict;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.BillOfMaterials;
import org.stratopneum.core.fit.TapePlan;
import org.stratopneum.core.fit.ValveLength;
import org.stratopneum.core.pressure.SetupKind;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.core.tire.TireSize;
import org.stratopneum.web.fleet.bikes.BikeState;
import org.stratopneum.web.fleet.bikes.FitParts;
import org.stratopneum.web.fleet.bikes.WheelHeads;
import org.stratopneum.web.fleet.bikes.WheelState;
import org.stratopneum.web.log.LogDetail;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.shelf.Shelf;
import org.stratopneum.web.parts.shelf.ShelfItem;
import org.stratopneum.web.parts.shelf.ShelfWording;
import org.stratopneum.web.platform.drawing.TapeDrawing;
import org.stratopneum.web.platform.wording.FitWording;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Units;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.pressure.TargetSetup;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Works out what a wheel takes. */
@Service
class NeedsService {

    private final WheelHeads heads;
    private final Riders riders;
    private final Wording wording;
    private final ProblemWording problemWording;
    private final Shelf shelf;
    private final ShelfWording shelfWording;
    private final Logbook logbook;
    private final ValveWording valves;
    private final TubeWording tubes;
    private final TargetSetup target;
    private final FitWording fits;

    NeedsService(
            WheelHeads heads,
            Riders riders,
            Wording wording,
            ProblemWording problemWording,
            Shelf shelf,
            ShelfWording shelfWording,
            Logbook logbook,
            ValveWording valves,
            TubeWording tubes,
            TargetSetup target,
            FitWording fits) {
        this.tubes = tubes;
        this.target = target;
        this.fits = fits;
        this.shelf = shelf;
        this.shelfWording = shelfWording;
        this.logbook = logbook;
        this.valves = valves;
        this.heads = heads;
        this.riders = riders;
        this.wording = wording;
        this.problemWording = problemWording;
    }

    /** @throws org.stratopneum.web.platform.fault.NotThereException when this rider has no such wheel */
    @Transactional(readOnly = true)
    NeedsPage page(UUID wheelId, Map<String, String> parameters) {
        Rider rider = riders.self();
        WheelHeads.Known known = heads.of(wheelId, rider);
        NeedsForm form = NeedsForm.of(parameters);
        FormReader reader = form.reader();
        BikeState bike = known.bike();
        WheelState now = known.wheel();
        WheelState wheel = planned(now, reader.choice("as", SetupKind.class).orElse(null));
        Units units = rider.units();
        Optional<NeedsForm.Chosen> chosen = NeedsForm.read(reader, units.length());
        boolean tubeless = wheel.tire().isEmpty() || !wheel.tubed();
        Optional<TapePlan> plan = chosen.filter(there -> tubeless).flatMap(there -> plan(wheel, there, reader));
        boolean another = tubeless && now.tubed();
        List<Verdict> against = another
                ? target.against(
                        bike, wheel, new FitParts(null, null, bike.openings().at(now.position())))
                : List.of();
        List<NeedsPage.Dose> doses = tubeless ? doses(wheel, chosen, units) : List.of();
        return new NeedsPage(
                known.head(),
                tubeless,
                new FormView(
                        form.typed(), problemWording.messages(reader.problems().list())),
                units,
                plan.map(tape -> tape(tape, chosen.orElseThrow(), units)).orElse(null),
                doses,
                extras(wheel, chosen),
                valves.valve(wheel, units),
                tubeless ? null : tubes.of(wheel, units),
                fits.of(against, List.of(), units),
                TargetSetup.blocks(against),
                another,
                list(wheel, bike.hand().name(), tubeless, plan, chosen, rider));
    }

    /** The wheel as it stands, or as it would stand with another set-up of the tire that is on. */
    private static WheelState planned(WheelState wheel, SetupKind other) {
        if (other == null || wheel.tire().isEmpty()) {
            return wheel;
        }
        WheelState.Tire tire = wheel.tire().get();
        boolean insert = tire.fitted().insert() && other == SetupKind.TUBELESS;
        boolean taped = other == SetupKind.TUBELESS;
        return wheel.with(
                tire, new LogDetail.TireFitted(other, insert, tire.fitted().measuredWidthMm()), taped);
    }

    /** All of it, each with what of the shelf it comes from, or that the shelf lacks it. */
    private List<NeedsPage.Item> list(
            WheelState wheel,
            String gauge,
            boolean tubeless,
            Optional<TapePlan> plan,
            Optional<NeedsForm.Chosen> chosen,
            Rider rider) {
        Double dose = wheel.tireOnRim()
                .filter(onRim -> tubeless)
                .map(onRim -> SealantDose.of(onRim.section(), DoseSchool.STANDARD, extrasOf(wheel, chosen))
                        .roundedMl())
                .orElse(null);
        Double depth = wheel.rim().depthMm();
        BillOfMaterials bill = BillOfMaterials.of(new BillOfMaterials.Work(
                tubeless,
                wheel.tire().filter(tire -> tire.fitted().insert()).isPresent(),
                plan.orElse(null),
                dose,
                depth == null ? null : ValveLength.comfortableMm(depth),
                wheel.tireSize().map(TireSize::nominalWidthMm).orElse(null)));
        List<ShelfItem> stock = shelf.available();
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        return bill.needs().stream()
                .map(need -> need.article() == Article.GAUGE && gauge != null
                        ? new NeedsPage.Item(what(need, rider.units()), wording.text("needs.has", gauge), true)
                        : item(need, Shelf.serving(need, fitting(need, stock, wheel)), rider.units(), today))
                .toList();
    }

    /** A tube for another diameter is none. */
    private static List<ShelfItem> fitting(BillOfMaterials.Need need, List<ShelfItem> stock, WheelState wheel) {
        boolean tube = need.article() == Article.TUBE;
        return stock.stream()
                .filter(item -> !tube
                        || Double.valueOf(wheel.rim().beadSeatDiameterMm()).equals(item.bsdMm()))
                .filter(item -> need.article() != Article.SEALANT || item.family() != SealantFamily.FIBRE)
                .toList();
    }

    private NeedsPage.Item item(BillOfMaterials.Need need, List<ShelfItem> serving, Units units, LocalDate today) {
        double left = serving.stream().mapToDouble(ShelfItem::left).sum();
        boolean enough = !need.article().staysOnTheWheel() ? !serving.isEmpty() : left >= need.amount();
        String from;
        if (serving.isEmpty()) {
            from = wording.text("needs.lacks");
        } else {
            ShelfItem first = serving.get(0);
            String care = shelfWording.care(first, today);
            String lies = first.name() + (care.isEmpty() ? "" : ", " + care);
            from = enough
                    ? wording.text("needs.has", lies)
                    : wording.text("needs.too-little", lies, shelfWording.amount(left, first, units));
        }
        return new NeedsPage.Item(what(need, units), from, enough);
    }

    private String what(BillOfMaterials.Need need, Units units) {
        return switch (need.article()) {
            case TAPE ->
                wording.text(
                        "needs.list.tape", QuantityText.size(need.sizeMm(), units.length()), metres(need.amount()));
            case SEALANT -> wording.text("needs.list.sealant", QuantityText.text(need.amount(), units.volume()));
            case VALVE ->
                need.sizeMm() == null
                        ? wording.text("needs.list.valve")
                        : wording.text("needs.list.valve.long", QuantityText.size(need.sizeMm(), units.length()));
            case TUBE -> wording.text("needs.list.tube");
            default -> wording.of("article", need.article());
        };
    }

    private static Optional<TapePlan> plan(WheelState wheel, NeedsForm.Chosen chosen, FormReader reader) {
        WheelState.Rim rim = wheel.rim();
        try {
            return Optional.of(TapePlan.of(
                    rim.internalWidthMm(),
                    rim.beadSeatDiameterMm(),
                    TapePlan.USUAL_WELL_DEPTH_MM,
                    chosen.turns(),
                    chosen.start(),
                    rim.spokes()));
        } catch (InvalidInputException exception) {
            // only the spokes can be missing: the rim's own numbers were checked when it was entered
            reader.fault("start", TapePlan.SPOKES_MISSING);
            return Optional.empty();
        }
    }

    private NeedsPage.Tape tape(TapePlan plan, NeedsForm.Chosen chosen, Units units) {
        Optional<TapePlan.OffsetPasses> passes =
                Optional.ofNullable(chosen.onHandMm()).map(plan::offsetPasses);
        return new NeedsPage.Tape(
                List.of(
                        width("snug", plan.snug(), units),
                        width("middle", plan.middle(), units),
                        width("wide", plan.wide(), units)),
                metres(plan.lengthM()),
                wording.text("needs.roll", Numbers.upTo(chosen.rollM(), 1), plan.wheelsPerRoll(chosen.rollM())),
                passes.map(found -> passes(found, units)).orElse(null),
                passes.map(TapePlan.OffsetPasses::possible).orElse(false),
                passes.map(found -> TapeDrawing.of(plan, chosen.onHandMm())).orElse(null));
    }

    private String passes(TapePlan.OffsetPasses passes, Units units) {
        return wording.text(
                passes.possible() ? "needs.passes" : "needs.passes.not",
                QuantityText.size(passes.coverageMm(), units.length()),
                QuantityText.size(passes.overlapMm(), units.length()));
    }

    private NeedsPage.Width width(String school, TapePlan.Widths widths, Units units) {
        String from = Numbers.upTo(
                units.length().fromCore(widths.fromMm()), units.length().decimals());
        String to = QuantityText.size(widths.toMm(), units.length());
        return new NeedsPage.Width(
                wording.text("needs.width." + school),
                widths.fromMm() == widths.toMm() ? to : wording.text("window.range", from, to),
                wording.text("needs.width." + school + ".why"));
    }

    private static String metres(double metres) {
        return Numbers.fixed(metres, 2) + " m";
    }

    private List<NeedsPage.Dose> doses(WheelState wheel, Optional<NeedsForm.Chosen> chosen, Units units) {
        return wheel.tireOnRim()
                .map(onRim -> Stream.of(DoseSchool.values())
                        .map(school -> new NeedsPage.Dose(
                                wording.of("dose", school),
                                QuantityText.text(
                                        SealantDose.of(onRim.section(), school, extrasOf(wheel, chosen))
                                                .roundedMl(),
                                        units.volume()),
                                wording.text("dose." + school + ".why"),
                                school == DoseSchool.STANDARD))
                        .toList())
                .orElse(List.of());
    }

    private static SealantDose.Extras extrasOf(WheelState wheel, Optional<NeedsForm.Chosen> chosen) {
        return wheel.tire()
                .map(tire -> new SealantDose.Extras(
                        tire.marks().madeForTubeless(),
                        tire.fitted().insert(),
                        chosen.map(NeedsForm.Chosen::newTire).orElse(false)))
                .orElse(SealantDose.Extras.NONE);
    }

    private String extras(WheelState wheel, Optional<NeedsForm.Chosen> chosen) {
        SealantDose.Extras extras = extrasOf(wheel, chosen);
        List<String> said = new ArrayList<>();
        if (!extras.tubelessCasing()) {
            said.add(wording.text("needs.extra.casing"));
        }
        if (extras.newTire()) {
            said.add(wording.text("needs.extra.new"));
        }
        if (extras.insert()) {
            said.add(wording.text("needs.extra.insert"));
        }
        return String.join(", ", said);
    }
}
