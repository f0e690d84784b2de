package org.ulnaris.app.hunt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.ulnaris.app.exchange.ExchangeService;
import org.ulnaris.app.job.Job;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Job files of the demo with odd values in one or two of their members. A file is refused with its reason, or taken in: then every page of the job
 * answers and its own file comes back.
 */
class FilesHuntTest extends Hunt {
    private static final String HOLE = "@hole@";
    /** So many files are tried for each one that is taken in: far more than chance asks for (about one in three is). */
    private static final int MOST_REFUSED = 25;

    private static final List<String> ODD_NUMBERS = List.of(
            "0",
            "-0.0",
            "-1",
            "1",
            "2",
            "0.5",
            "1e-400",
            "1e-300",
            "1e-9",
            "12",
            "24.5",
            "360",
            "1000",
            "1e6",
            "1e15",
            "1e308",
            "1e400",
            "2147483648",
            "0.1",
            "3",
            "48",
            "90");
    /** Values as they stand in a file, beside the odd texts. */
    static final List<String> ODD_JSON = List.of(
            "9".repeat(900),
            "true",
            "false",
            "null",
            "[]",
            "{}",
            "[null]",
            "[{}]",
            "\"\"",
            "\"NaN\"",
            "-1",
            "0",
            "1e400");

    private final JsonMapper mapper = new JsonMapper();

    @Test
    void aFileIsRefusedOrItsJobWorks() {
        List<Job> demo =
                jobs.all().stream().sorted(Comparator.comparing(Job::id)).toList();
        long wanted = sequences(4);
        long taken = 0;
        for (long file = 0; taken < wanted && file < MOST_REFUSED * wanted; file++) {
            trail.clear();
            String text = spoilt(exchange.json(any(demo).id()));
            try {
                Job job = exchange.importJson(text);
                taken++;
                everyPageAnswers(job);
                theFileComesBack(job);
                jobs.delete(job.id());
            } catch (ExchangeService.RefusedException refused) {
                assertThat(refused.faults()).as("after " + trail).isNotEmpty().noneMatch(String::isBlank);
            }
        }
        assertThat(taken).as("files that were taken in").isEqualTo(wanted);
    }

    /** The file with one or two members made odd. */
    private String spoilt(String json) {
        JsonNode file = mapper.readTree(json);
        List<String> odd = new ArrayList<>();
        for (int holes = 1 + random.nextInt(2); holes > 0; holes--) {
            odd.add(odd(dig(file, odd.size())));
        }
        trail.add(odd.stream().map(Hunt::shortened).toList().toString());
        String text = mapper.writeValueAsString(file);
        for (int hole = 0; hole < odd.size(); hole++) {
            text = text.replace('"' + HOLE + hole + '"', odd.get(hole));
        }
        return text;
    }

    /** Something for the place of {@code was}: mostly of its own kind, so that not every file is refused by the first look at it. */
    private String odd(JsonNode was) {
        if (random.nextInt(4) == 0) {
            return random.nextBoolean() ? any(ODD_JSON) : mapper.writeValueAsString(any(ODD));
        }
        if (was.isNumber()) {
            return any(ODD_NUMBERS);
        }
        if (was.isBoolean()) {
            return String.valueOf(random.nextBoolean());
        }
        return was.isString() ? mapper.writeValueAsString(any(ODD)) : "null";
    }

    /** Puts a hole at a random place of the tree; what stood there. */
    private JsonNode dig(JsonNode file, int number) {
        JsonNode at = file;
        StringBuilder way = new StringBuilder();
        while (true) {
            List<String> names = at.isObject()
                    ? List.copyOf(at.propertyNames())
                    : IntStream.range(0, at.size()).mapToObj(String::valueOf).toList();
            String name = any(names);
            way.append('/').append(name);
            JsonNode below = at.isObject() ? at.get(name) : at.get(Integer.parseInt(name));
            if (below.isContainer() && !below.isEmpty() && random.nextInt(20) > 0) {
                at = below;
                continue;
            }
            if (at instanceof ObjectNode object) {
                object.put(name, HOLE + number);
            } else {
                ((ArrayNode) at).set(Integer.parseInt(name), HOLE + number);
            }
            trail.add(way.toString());
            return below;
        }
    }
}
