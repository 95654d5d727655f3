package org.stratopneum.web.leak;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;
import org.springframework.web.util.UriComponentsBuilder;
import org.stratopneum.core.diagnosis.AirSystem;
import org.stratopneum.core.diagnosis.Spot;
import org.stratopneum.web.platform.fault.NotThereException;

/** A visitor's search stands in the address, all of it. */
final class SearchAddress {

    private static final String PATH = "/leak/search";

    /** Nobody answers more; a longer address was not made by a button. */
    private static final int MOST = 60;

    private SearchAddress() {}

    /** A field of an address. */
    record Field(String name, String value) {}

    static List<Field> fields(Search search) {
        List<Field> fields = new ArrayList<>();
        fields.add(new Field("system", search.system().name()));
        fields.add(new Field("mode", search.mode().name()));
        search.known().stream().sorted().forEach(circumstance -> fields.add(new Field("known", circumstance.code())));
        search.steps().forEach(step -> fields.add(new Field("step", step.text())));
        search.spots().forEach(spot -> fields.add(new Field("at", SearchAct.text(spot))));
        return fields;
    }

    static String of(Search search) {
        UriComponentsBuilder address = UriComponentsBuilder.fromPath(PATH);
        fields(search).forEach(field -> address.queryParam(field.name(), "{value}"));
        return address.encode()
                .buildAndExpand(fields(search).stream().map(Field::value).toArray())
                .toUriString();
    }

    /** @throws NotThereException when the address was not made by {@link #of} */
    static Search read(Map<String, List<String>> parameters) {
        MultiValueMap<String, String> fields = new LinkedMultiValueMap<>(parameters);
        AirSystem system = switch (String.valueOf(fields.getFirst("system"))) {
            case "TUBELESS" -> AirSystem.TUBELESS;
            case "TUBE" -> AirSystem.TUBE;
            default -> throw new NotThereException();
        };
        Search search = Search.begun(
                        system,
                        all(fields, "known").stream()
                                .map(SearchAct::circumstance)
                                .collect(Collectors.toSet()))
                .goingOn(SearchAct.mode(String.valueOf(fields.getFirst("mode"))));
        for (String step : all(fields, "step")) {
            search = search.with(SearchStep.parse(step).orElseThrow(NotThereException::new));
        }
        for (String spot : all(fields, "at")) {
            Spot found = SearchAct.spot(spot);
            search = search.with(found);
        }
        return search;
    }

    private static List<String> all(MultiValueMap<String, String> fields, String name) {
        List<String> values = fields.getOrDefault(name, List.of());
        if (values.size() > MOST) {
            throw new NotThereException();
        }
        return values;
    }
}
