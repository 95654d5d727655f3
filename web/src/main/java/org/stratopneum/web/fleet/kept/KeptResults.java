package org.stratopneum.web.fleet.kept;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
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

    KeptResults(KeptMapper mapper, ModelVersion model, JsonMapper json, Keeper keeper) {
        this.mapper = mapper;
        this.model = model;
        this.json = json;
        this.keeper = keeper;
    }

    /**
     * What is kept of one matter for all wheels of the rider, asked for once.
     *
     * @param matter its name, in capital letters
     * @param type of a result, a record that JSON holds
     */
    @Transactional(readOnly = true)
    public <T> Of<T> of(String matter, Class<T> type) {
        return new Of<>(
                matter,
                type,
                mapper.ofMatter(matter).stream()
                        .collect(Collectors.toMap(KeptMapper.Row::wheelId, Function.identity())));
    }

    /** A short text that tells all that is given from anything else. */
    public static String digest(List<?> given) {
        return HexFormat.of().formatHex(digest(ModelVersion.sha256(), given));
    }

    private static byte[] digest(MessageDigest digest, List<?> given) {
        for (Object one : given) {
            digest.update(String.valueOf(one).getBytes(StandardCharsets.UTF_8));
            digest.update((byte) 0);
        }
        return digest.digest();
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
            byte[] madeFrom = digest(model.begin(), from);
            KeptMapper.Row kept = rows.get(wheelId);
            if (kept != null && MessageDigest.isEqual(madeFrom, kept.madeFrom())) {
                return json.readValue(kept.result(), type);
            }
            T result = work.get();
            fresh.add(new KeptMapper.Row(wheelId, madeFrom, json.writeValueAsString(result)));
            return result;
        }

        /** Has what was worked out kept, soon; whoever asks does not wait for it. */
        public void keep() {
            if (!fresh.isEmpty()) {
                List<KeptMapper.Row> rows = List.copyOf(fresh);
                CurrentRider.id().ifPresent(rider -> keeper.keep(rider, matter, rows));
                fresh.clear();
            }
        }
    }
}
