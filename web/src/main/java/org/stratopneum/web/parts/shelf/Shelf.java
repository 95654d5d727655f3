package org.stratopneum.web.parts.shelf;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.fit.BillOfMaterials;
import org.stratopneum.core.fit.FitCase;
import org.stratopneum.web.fleet.bikes.FitParts;

/** What other services ask of the shelf. */
@Service
public class Shelf {

    private final ShelfMapper mapper;

    Shelf(ShelfMapper mapper) {
        this.mapper = mapper;
    }

    /** What can be taken now, of whatever kind. */
    @Transactional(readOnly = true)
    public List<ShelfItem> available() {
        return mapper.items().stream().filter(ShelfItem::available).toList();
    }

    /** Whether the sealant of each bottle bears carbon dioxide, empty bottles included. */
    @Transactional(readOnly = true)
    public Map<UUID, Boolean> bearsCo2() {
        return mapper.bottles().stream()
                .collect(Collectors.toMap(ShelfMapper.BottleRow::id, ShelfMapper.BottleRow::co2Safe));
    }

    /** One thing of this rider, whether or not there is something left of it. */
    @Transactional(readOnly = true)
    public Optional<ShelfItem> item(UUID id) {
        return mapper.item(id);
    }

    /** The valve on a wheel, and the tube and the insert under its tire, as far as they came from the shelf. */
    @Transactional(readOnly = true)
    public List<ShelfItem> onWheel(UUID wheelId) {
        return mapper.onWheel(wheelId);
    }

    /**
     * What fitting wants to know of parts of the shelf that are, or go, on a wheel.
     *
     * @param openingMm room in the frame for its tire (mm), or null
     */
    public static FitParts fitParts(List<ShelfItem> parts, Double openingMm) {
        Optional<ShelfItem> tube = first(parts, ShelfKind.TUBE);
        Optional<ShelfItem> valve = tube.isPresent() ? tube : first(parts, ShelfKind.VALVE);
        return new FitParts(
                valve.map(item -> new FitCase.Valve(
                                item.lengthMm(),
                                item.removableCore(),
                                item.valve(),
                                item.valveBase(),
                                item.sideHoles()))
                        .orElse(null),
                tube.map(item -> new FitCase.Tube(item.minWidthMm(), item.maxWidthMm(), item.bsdMm()))
                        .orElse(null),
                openingMm);
    }

    /** The first of its kind. */
    public static Optional<ShelfItem> first(List<ShelfItem> parts, ShelfKind kind) {
        return parts.stream().filter(item -> item.kind() == kind).findFirst();
    }

    /** Those of {@code stock} that serve a need, the best suited first; none where the shelf lacks it. */
    public static List<ShelfItem> serving(BillOfMaterials.Need need, List<ShelfItem> stock) {
        return stock.stream()
                .filter(item -> serves(item, need))
                .sorted(Comparator.comparing((ShelfItem item) -> item.left() < need.amount())
                        .thenComparing(item -> item.openedOn() == null)
                        .thenComparing(item -> spare(item, need)))
                .toList();
    }

    private static boolean serves(ShelfItem item, BillOfMaterials.Need need) {
        if (item.kind() == ShelfKind.TOOL) {
            return item.tool() == need.article();
        }
        return item.kind().article() == need.article() && (need.sizeMm() == null || suits(item, need.sizeMm()));
    }

    private static boolean suits(ShelfItem item, double sizeMm) {
        return switch (item.kind()) {
            case TAPE -> item.widthMm() >= sizeMm - TAPE_SLACK_MM && item.widthMm() <= sizeMm + TAPE_WIDER_MM;
            case VALVE -> item.lengthMm() == null || item.lengthMm() >= sizeMm;
            case TUBE -> item.minWidthMm() <= sizeMm && sizeMm <= item.maxWidthMm();
            default -> true;
        };
    }

    /** The snug school lays 1 mm less than the middle one, the wide school up to 3 mm more (common practice; mm). */
    private static final double TAPE_SLACK_MM = 1;

    private static final double TAPE_WIDER_MM = 3;

    /** How much larger it is than it has to be. */
    private static double spare(ShelfItem item, BillOfMaterials.Need need) {
        if (need.sizeMm() == null) {
            return 0;
        }
        return Stream.of(item.widthMm(), item.lengthMm(), item.maxWidthMm())
                .filter(size -> size != null)
                .findFirst()
                .map(size -> Math.abs(size - need.sizeMm()))
                .orElse(0.0);
    }
}
