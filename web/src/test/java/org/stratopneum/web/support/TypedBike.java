package org.stratopneum.web.support;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;

/** What a rider types to enter a bike: what is printed on tire and rim, and the usual ride. */
public final class TypedBike {

    private TypedBike() {}

    /** A 57-622 on a 30 mm rim, 70 kg on 13 kg, over a cross-country trail; pressures in psi. */
    public static Map<String, String> fields() {
        Map<String, String> fields = new HashMap<>();
        fields.put("asked", "1");
        fields.put("id", UUID.randomUUID().toString());
        fields.put("name", "Plover");
        fields.put("posture", "MOUNTAIN");
        fields.put("same", "on");
        fields.put("pressureUnit", "PSI");
        fields.put("lengthUnit", "MM");
        fields.put("massUnit", "KG");
        fields.put("rear-size", "29x2.25");
        fields.put("rear-rimWidth", "30");
        fields.put("rear-tireMax", "50");
        fields.put("rear-setup", "TUBELESS");
        fields.put("rear-tubeless", "on");
        fields.put("front-setup", "TUBELESS");
        fields.put("ground1", "CROSS_COUNTRY");
        fields.put("share1", "100");
        fields.put("drop", "BALANCED");
        fields.put("rider", "70");
        fields.put("bike", "13");
        return fields;
    }

    public static Map<String, String> with(String... pairs) {
        Map<String, String> fields = fields();
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put(pairs[i], pairs[i + 1]);
        }
        return fields;
    }

    /** Enters the bike; the id under which it is kept. */
    public static String enter(Guest guest, String... pairs) {
        Map<String, String> fields = with(pairs);
        var answer = guest.post("/bikes", fields);
        if (answer.statusCode() != 302) {
            throw new IllegalStateException("not kept: " + answer.body());
        }
        return fields.get("id");
    }
}
