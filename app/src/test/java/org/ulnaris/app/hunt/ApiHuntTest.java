package org.ulnaris.app.hunt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Every member of every body that the REST interface takes, by its own schemas, with odd values in one or two of them. */
class ApiHuntTest extends Hunt {
    static final List<String> ODD_BODIES =
            List.of("", "{}", "[]", "null", "{\"a\":" + "9".repeat(900) + "}", "\u0000", "[".repeat(5000));

    private final JsonMapper mapper = new JsonMapper();
    private JsonNode api;

    /** A body to send somewhere. */
    private record Call(String method, String path, JsonNode schema) {}

    @Test
    void everyBodyIsAnsweredInOrder() {
        api = mapper.readTree(body(get("/api/v1/openapi")));
        List<Call> calls = calls();
        assertThat(calls).hasSizeGreaterThan(6);
        for (Call call : calls) {
            send(call, sample(call.schema(), 0, 1));
            for (String body : ODD_BODIES) {
                send(call, body);
            }
            for (long one = 20 * sequences(5); one > 0; one--) {
                send(call, sample(call.schema(), 0, 0.9));
            }
        }
    }

    private List<Call> calls() {
        List<Call> calls = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> method : path.getValue().properties()) {
                JsonNode content = method.getValue().at("/requestBody/content/application~1json/schema");
                if (!content.isMissingNode()) {
                    calls.add(new Call(method.getKey().toUpperCase(java.util.Locale.ROOT), path.getKey(), content));
                }
            }
        }
        return calls;
    }

    private void send(Call call, String body) {
        trail.clear();
        trail.add(shortened(body) + body.substring(Math.min(40, body.length()), Math.min(900, body.length())));
        MvcTestResult result = mvc.method(HttpMethod.valueOf(call.method()))
                .uri(call.path().replaceAll("\\{[^}]*}", "1"))
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .exchange();
        answered(call.method() + " " + call.path(), result);
        if (result.getResponse().getStatus() >= 400) {
            assertThat(result.getResponse().getContentType())
                    .as(call + " " + trail)
                    .startsWith(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        }
    }

    /** A body after {@code schema}; each member is what it should be with a chance of {@code sound}. */
    private String sample(JsonNode schema, int depth, double sound) {
        if (random.nextDouble() > sound) {
            return random.nextBoolean() ? any(FilesHuntTest.ODD_JSON) : mapper.writeValueAsString(any(ODD));
        }
        JsonNode there =
                schema.has("$ref") ? api.at(schema.get("$ref").asString().substring(1)) : schema;
        if (there.has("enum")) {
            return there.get("enum")
                    .get(random.nextInt(there.get("enum").size()))
                    .toString();
        }
        if (there.has("properties")) {
            List<String> members = new ArrayList<>();
            for (Map.Entry<String, JsonNode> member : there.get("properties").properties()) {
                members.add('"' + member.getKey() + "\":" + sample(member.getValue(), depth + 1, sound));
            }
            return "{" + String.join(",", members) + "}";
        }
        String type = there.path("type").isArray()
                ? there.get("type").get(0).asString()
                : there.path("type").asString("object");
        return switch (type) {
            case "number" -> any(List.of("2.4", "24", "180", "8.4", "0.85"));
            case "integer" -> any(List.of("1", "2", "3"));
            case "boolean" -> String.valueOf(random.nextBoolean());
            case "array" -> depth > 6 ? "[]" : "[" + sample(there.get("items"), depth + 1, sound) + "]";
            case "string" -> any(List.of("\"M8\"", "\"70 mm²\"", "\"K1\"", "\"copper\"", "\"dry\""));
            default -> "{}";
        };
    }
}
