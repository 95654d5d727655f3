package org.stratopneum.web.platform.json;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.List;
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
public class JsonBody {

    public static final String NOT_JSON = "not-json";
    public static final String TOO_LARGE = "too-large";

    /** No question to a calculator comes near this (bytes). */
    private static final int LARGEST = 256 * 1024;

    /** An entry with its longest note (bytes). */
    private static final int EACH = 8 * 1024;

    private final JsonMapper mapper = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /**
     * @throws InvalidInputException with one fault on {@code $} when the body is not JSON, or larger than any question
     * @throws IOException when the body cannot be received
     */
    public JsonFields read(HttpServletRequest request) throws IOException {
        return JsonFields.root(tree(body(request, LARGEST)));
    }

    /** The same where one object or a list of at most {@code most} may come, of a little more than as many bytes each. */
    public List<JsonFields> readOneOrMore(HttpServletRequest request, int most) throws IOException {
        return JsonFields.oneOrMore(tree(body(request, most * EACH)), most);
    }

    private static byte[] body(HttpServletRequest request, int largest) throws IOException {
        byte[] body = request.getInputStream().readNBytes(largest + 1);
        if (body.length > largest) {
            throw new InvalidInputException(new Problem("$", TOO_LARGE, largest / 1024.0, null, "kB"));
        }
        return body;
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
