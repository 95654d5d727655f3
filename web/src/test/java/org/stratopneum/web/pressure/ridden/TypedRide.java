package org.stratopneum.web.pressure.ridden;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;

/** What a rider types to note a ride. */
final class TypedRide {

    private TypedRide() {}

    static Map<String, String> with(String... pairs) {
        Map<String, String> fields = new HashMap<>();
        fields.put("entry", UUID.randomUUID().toString());
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return fields;
    }
}
