package org.stratopneum.web.api;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Turns the body of a request into a JSON tree: the strict grammar, no field twice, nothing after the end. */
@Component
class JsonBody {

    static final String NOT_JSON = "not-json";
    static final String TOO_LARGE = "too-large";

    /** No question to a calculator comes near this (bytes). */
    private static final int LARGEST = 256 * 1024;

    private final JsonMapper mapper = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /**
     * @throws InvalidInputException with one fault on {@code $} when the body is not JSON, or larger than any question
     * @throws IOException when the body cannot be received
     */
    JsonFields read(HttpServletRequest request) throws IOException {
        byte[] body = request.getInputStream().readNBytes(LARGEST + 1);
        if (body.length > LARGEST) {
            throw new InvalidInputException(new Problem("$", TOO_LARGE, LARGEST / 1024.0, null, "kB"));
        }
        return JsonFields.root(tree(body));
    }

    private JsonNode tree(byte[] body) {
        try {
            JsonNode tree = mapper.readTree(body);
            if (tree == null || tree.isMissingNode()) {
                throw new InvalidInputException(Problem.of("$", NOT_JSON));
            }
            return tree;
        } catch (JacksonException exception) {
            throw new InvalidInputException(Problem.of("$", NOT_JSON));
        }
    }
}
