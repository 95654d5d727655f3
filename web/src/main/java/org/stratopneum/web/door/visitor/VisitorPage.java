package org.stratopneum.web.door.visitor;

import java.util.Map;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.web.parts.garage.BikePage;
import org.stratopneum.web.pressure.AdviceView;

/**
 * What a visitor has typed, and what to set.
 *
 * @param bike the form, with the advice as far as it can be told
 * @param parameters what an address needs to show the same again
 */
record VisitorPage(BikePage bike, Map<String, String> parameters) {

    public AdviceView advice() {
        return bike.advice();
    }

    /** The address at {@code path} that carries on with what was typed. */
    public String keptAt(String path) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath(path);
        parameters.keySet().forEach(field -> address.queryParam(field, "{value}"));
        return address.encode().buildAndExpand(parameters.values().toArray()).toUriString();
    }

    public Map<String, String> errors() {
        return bike.errors();
    }
}
