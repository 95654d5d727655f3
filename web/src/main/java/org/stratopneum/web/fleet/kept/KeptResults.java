package org.stratopneum.web.fleet.kept;

import io.micrometer.core.instrument.MeterRegistry;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.rider.CurrentRider;
import tools.jackson.databind.json.JsonMapper;

/**
 * Results of long computations, kept in the database by wheel. None is answered without its key: a digest of the rules and
 * of all that they were given, so that whatever moves, an entry, the day, the weather, a setting, or the rules themselves,
 * makes it be worked out anew.
 */
@Service
public class KeptResults {

    private final KeptMapper mapper;
    private final ModelVersion model;
    private final JsonMapper json;
    private final Keeper keeper;
    private final MeterRegistry meters;

    KeptResults(KeptMapper mapper, ModelVersion model, JsonMapper json, Keeper keeper, MeterRegistry meters) {
        this.meters = meters;
        this.mapper = mapper;
        this.model = model;
        this.json = json;
        this.keeper = keeper;
    }

    /** What is kept of all wheels of the rider, asked for once. */
    @Transactional(readOnly = true)
    public Kept all() {
        return new Kept(mapper.all());
    }

    /** What is kept, of all matters. */
    public final class Kept {

        private final List<KeptMapper.Row> rows;

        private Kept(List<KeptMapper.Row> rows) {
            this.rows = rows;
        }

        /**
         * Results of one matter.
         *
         * @param matter its name, in capital letters
         * @param type of a result, a record that JSON holds
         */
        public <T> Of<T> of(String matter, Class<T> type) {
            return new Of<>(
                    matter,
                    type,
                    rows.stream()
                            .filter(row -> row.matter().equals(matter))
                            .collect(Collectors.toMap(KeptMapper.Row::wheelId, Function.identity())));
        }
    }

    /** A short text that tells all that is given from anything else. */
    public static String digest(List<?> given) {
        return HexFormat.of().formatHex(digest(ModelVersion.sha256(), given));
    }

    private static byte[] digest(MessageDigest digest, List<?> given) {
        return digest.digest(TellingText.of(given).getBytes(StandardCharsets.UTF_8));
    }

    /** Results of one matter. */
    public final class Of<T> {

        private final String matter;
        private final Class<T> type;
        private final Map<UUID, KeptMapper.Row> rows;
        private final List<KeptMapper.Row> fresh = new ArrayList<>();

        private Of(String matter, Class<T> type, Map<UUID, KeptMapper.Row> rows) {
            this.matter = matter;
            this.type = type;
            this.rows = rows;
        }

        /**
         * The result of a wheel: as it is kept, or worked out where that was from something else.
         *
         * @param from all that {@code work} depends on, each with a text of its own that tells it from any other
         */
        public T get(UUID wheelId, List<?> from, Supplier<T> work) {
            return find(wheelId, from).orElseGet(() -> {
                T result =
                        meters.timer("stratopneum.forecasts", "matter", matter).record(work);
                put(wheelId, from, result);
                return result;
            });
        }

        /** The result of a wheel as it is kept; empty where that was from something else. */
        public Optional<T> find(UUID wheelId, List<?> from) {
            return Optional.ofNullable(rows.get(wheelId))
                    .filter(kept -> MessageDigest.isEqual(digest(model.begin(), from), kept.madeFrom()))
                    .map(kept -> {
                        meters.counter("stratopneum.kept", "matter", matter).increment();
                        return json.readValue(kept.result(), type);
                    });
        }

        /** What was worked out from all that; {@link #keep} has it kept. */
        public void put(UUID wheelId, List<?> from, T result) {
            fresh.add(
                    new KeptMapper.Row(wheelId, matter, digest(model.begin(), from), json.writeValueAsString(result)));
        }

        /** Has what was worked out kept, soon; whoever asks does not wait for it. */
        public void keep() {
            if (!fresh.isEmpty()) {
                List<KeptMapper.Row> rows = List.copyOf(fresh);
                CurrentRider.id().ifPresent(rider -> keeper.keep(rider, rows));
                fresh.clear();
            }
        }
    }
}
