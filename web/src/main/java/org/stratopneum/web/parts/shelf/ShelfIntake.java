package org.stratopneum.web.parts.shelf;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Units;

/** Takes things for the shelf that come from elsewhere, and gives them out, in the words of their form. */
@Service
public class ShelfIntake {

    private final ShelfMapper mapper;

    ShelfIntake(ShelfMapper mapper) {
        this.mapper = mapper;
    }

    /** What keeps the thing, and says whether it was new; empty with faults in {@code reader}. */
    public Optional<BooleanSupplier> take(FormReader reader, ShelfKind kind, Units units, UUID id) {
        return new ShelfForm(units).read(reader, kind, id, 0, null).map(item -> () -> mapper.insert(item) == 1);
    }

    /** Something on the shelf, as it would stand in its form. */
    public record Typed(UUID id, ShelfKind kind, Map<String, String> texts) {}

    /** Everything that is in use. */
    @Transactional(readOnly = true)
    public List<Typed> items(Units units) {
        ShelfForm form = new ShelfForm(units);
        return mapper.items().stream()
                .filter(item -> item.retiredOn() == null)
                .map(item -> new Typed(item.id(), item.kind(), form.texts(item)))
                .toList();
    }
}
