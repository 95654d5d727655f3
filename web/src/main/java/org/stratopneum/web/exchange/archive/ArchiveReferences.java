package org.stratopneum.web.exchange.archive;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.stratopneum.web.intake.ImportProgress;
import org.stratopneum.web.platform.wording.Wording;
import tools.jackson.databind.JsonNode;

/** Whether whatever the rows of an archive name is in the garage, or comes before them. */
final class ArchiveReferences {

    private final ArchiveMapper mapper;
    private final Wording wording;
    private final ImportProgress progress;
    private final Map<ArchiveTable, List<ArchiveMapper.Reference>> columns = new EnumMap<>(ArchiveTable.class);
    private final Map<String, Set<UUID>> there = new HashMap<>();

    ArchiveReferences(ArchiveMapper mapper, Wording wording, ImportProgress progress) {
        this.mapper = mapper;
        this.wording = wording;
        this.progress = progress;
    }

    /** @param first number of the first row in its list */
    void check(ArchiveTable table, List<JsonNode> rows, int first) {
        for (ArchiveMapper.Reference reference :
                columns.computeIfAbsent(table, one -> mapper.references(one.table()))) {
            String name = ColumnNames.json(reference.column());
            Set<UUID> known = there.computeIfAbsent(reference.target(), one -> new HashSet<>());
            if (reference.target().equals(table.table())) {
                rows.forEach(row -> known.add(ArchiveRow.id(row, "id")));
            }
            Set<UUID> asked = new HashSet<>();
            rows.stream()
                    .map(row -> ArchiveRow.id(row, name))
                    .filter(Objects::nonNull)
                    .forEach(asked::add);
            asked.removeAll(known);
            known.addAll(among(reference.target(), asked));
            for (int i = 0; i < rows.size(); i++) {
                UUID named = ArchiveRow.id(rows.get(i), name);
                if (named != null && !known.contains(named)) {
                    progress.fault(
                            table.list() + "[" + (first + i) + "]",
                            wording.text("archive.dangling", name, named, listNamed(reference.target())));
                }
            }
        }
    }

    /** Which of some ids a table has. */
    Set<UUID> among(String table, Set<UUID> ids) {
        return ids.isEmpty()
                ? Set.of()
                : mapper.among(table, ids.stream().map(UUID::toString).collect(Collectors.joining(",", "{", "}")));
    }

    /** The list of an archive in which rows of a table stand. */
    private static String listNamed(String table) {
        return Stream.of(ArchiveTable.values())
                .filter(one -> one.table().equals(table))
                .map(ArchiveTable::list)
                .findFirst()
                .orElse(table);
    }
}
