package org.stratopneum.web.parts.shelf;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fleet.gauges.Gauges;
import org.stratopneum.web.fleet.places.PlacePage;
import org.stratopneum.web.fleet.places.PlaceService;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.parts.garage.GaragePage;
import org.stratopneum.web.parts.garage.GarageService;
import org.stratopneum.web.parts.garage.SparePart;
import org.stratopneum.web.parts.garage.SpareParts;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.PressureText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** Lays the whole shelf out: tires, rims, and everything else, kind by kind. */
@Service
class ShelfList {

    private final ShelfMapper mapper;
    private final SpareParts spares;
    private final Riders riders;
    private final Logbook logbook;
    private final Wording wording;
    private final ShelfWording words;
    private final Gauges gauges;
    private final GarageService garage;
    private final PlaceService places;

    ShelfList(
            ShelfMapper mapper,
            SpareParts spares,
            Riders riders,
            Logbook logbook,
            Wording wording,
            ShelfWording words,
            Gauges gauges,
            GarageService garage,
            PlaceService places) {
        this.mapper = mapper;
        this.spares = spares;
        this.riders = riders;
        this.logbook = logbook;
        this.wording = wording;
        this.words = words;
        this.gauges = gauges;
        this.garage = garage;
        this.places = places;
    }

    /** Everything a rider has, and where it is. */
    record All(GaragePage garage, ShelfPage shelf, PlacePage.All places) {}

    /**
     * @param written entries that were just written, or null
     * @param struck entries that were just deleted, or null
     */
    @Transactional(readOnly = true)
    All all(List<UUID> written, List<UUID> struck) {
        return new All(garage.garage(written, struck), page(), places.all());
    }

    private ShelfPage page() {
        Rider rider = riders.self();
        LocalDate today = LocalDate.ofInstant(logbook.now(), rider.zoneId());
        List<ShelfItem> items = mapper.items();
        List<ShelfPage.Section> sections = new ArrayList<>();
        sections.add(section("TIRE", "/tires/new", lines("/tires/", spares.tires())));
        sections.add(section("RIM", "/rims/new", lines("/rims/", spares.rims())));
        for (ShelfKind kind : ShelfKind.values()) {
            sections.add(section(
                    kind.name(),
                    "/shelf/new?kind=" + kind.name(),
                    items.stream()
                            .filter(item -> item.kind() == kind)
                            .map(item -> line(item, rider, today))
                            .toList()));
        }
        sections.add(section("GAUGE", "/gauges/new", gauges()));
        return new ShelfPage(
                sections, sections.stream().allMatch(section -> section.lines().isEmpty()));
    }

    private ShelfPage.Section section(String kind, String add, List<ShelfPage.Line> lines) {
        return new ShelfPage.Section(wording.text("shelf." + kind), add, wording.text("shelf.new." + kind), lines);
    }

    private ShelfPage.Line line(ShelfItem item, Rider rider, LocalDate today) {
        return new ShelfPage.Line(
                "/shelf/" + item.id(),
                item.name(),
                words.facts(item, rider.units()),
                words.left(item, rider.units()),
                words.care(item, today),
                item.retiredOn() == null ? null : DateText.date(item.retiredOn()));
    }

    private static List<ShelfPage.Line> lines(String path, List<SparePart> parts) {
        return parts.stream()
                .map(part -> new ShelfPage.Line(
                        path + part.id(),
                        part.name(),
                        part.facts(),
                        "",
                        "",
                        part.retiredOn() == null ? null : DateText.date(part.retiredOn())))
                .toList();
    }

    private List<ShelfPage.Line> gauges() {
        return gauges.all().stream()
                .map(gauge -> new ShelfPage.Line(
                        "/gauges/" + gauge.id(),
                        gauge.name(),
                        PressureText.name(gauge.unit())
                                + (gauge.reference() ? wording.text("shelf.fact.reference") : "")
                                + (gauge.inHand() ? ", " + wording.text("gauge.in-hand") : ""),
                        "",
                        "",
                        gauge.retiredOn() == null ? null : DateText.date(gauge.retiredOn())))
                .toList();
    }
}
