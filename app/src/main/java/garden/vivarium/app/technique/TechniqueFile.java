package garden.vivarium.app.technique;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import garden.vivarium.app.evidence.NeighbourBook.GivenWay;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.core.evidence.BatchCount;
import garden.vivarium.core.evidence.Neighbours;
import garden.vivarium.core.treatment.Treatments;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;

/**
 * Technique that travels: ways as an open file, each with its finished batches as counts. No plant, place, person or customer is named in it;
 * a way is told by kind and group of plant, method, medium and treatment.
 *
 * @param format 1
 * @param what {@code technique}
 * @param from what the giver calls itself; may be empty
 * @param ways that are given
 */
@JsonInclude(JsonInclude.Include.ALWAYS)
record TechniqueFile(int format, String what, String from, List<GivenAway> ways) {

    private static final int FORMAT = 1;
    private static final String WHAT = "technique";
    private static final int MOST_WAYS = 500;
    private static final int MOST_BATCHES = 3000;
    private static final int LONGEST = 120;
    private static final int LONGEST_TREATMENT = 300;
    private static final int MOST_PIECES = 100_000;
    private static final int MOST_STEPS = 40;

    private static final ObjectMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    /** A way with its batches, and how it is done where the giver does it by a protocol of their own. */
    record GivenAway(
            String kind,
            String group,
            String method,
            String medium,
            String treatment,
            List<String> steps,
            List<Counted> batches) {}

    /** A finished batch: so many became ready of so many that were judged. */
    record Counted(int kept, int of) {}

    static TechniqueFile of(String from, List<GivenAway> ways) {
        return new TechniqueFile(FORMAT, WHAT, from, ways);
    }

    byte[] written() {
        try {
            return JSON.writeValueAsBytes(this);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    /**
     * Reads one.
     *
     * @throws InvalidField of "file", if it is none or anything in it cannot be
     */
    static TechniqueFile read(byte[] bytes) {
        TechniqueFile read;
        try {
            read = JSON.readValue(bytes, TechniqueFile.class);
        } catch (IOException e) {
            throw refused("Neighbours.no.file");
        }
        if (read == null || read.format != FORMAT || !WHAT.equals(read.what) || read.ways == null) {
            throw refused("Neighbours.no.file");
        }
        if (read.ways.isEmpty() || read.ways.size() > MOST_WAYS) {
            throw new InvalidField("file", Messages.text("Neighbours.how.many", "most", MOST_WAYS));
        }
        return read;
    }

    /** Its ways as evidence. */
    List<GivenWay> given() {
        List<GivenWay> given = new ArrayList<>();
        for (GivenAway w : ways) {
            if (w == null
                    || w.batches() == null
                    || w.batches().isEmpty()
                    || w.batches().size() > MOST_BATCHES) {
                throw refused("Neighbours.batches");
            }
            List<BatchCount> counts = new ArrayList<>();
            for (Counted c : w.batches()) {
                if (c == null || c.of() < 1 || c.of() > MOST_PIECES || c.kept() < 0 || c.kept() > c.of()) {
                    throw refused("Neighbours.batches");
                }
                counts.add(new BatchCount(c.kept(), c.of()));
            }
            List<String> steps = w.steps() == null
                    ? List.of()
                    : w.steps().stream()
                            .limit(MOST_STEPS)
                            .map(s -> words(s, LONGEST_TREATMENT))
                            .toList();
            given.add(new GivenWay(
                    new Neighbours.Given(
                            words(w.kind(), 60),
                            words(w.group(), 60),
                            words(w.method(), LONGEST),
                            words(w.medium(), LONGEST),
                            Treatments.read(words(w.treatment(), LONGEST_TREATMENT)),
                            counts),
                    steps));
        }
        return given;
    }

    private static String words(String text, int longest) {
        String plain = text == null ? "" : text.replaceAll("\\p{Cntrl}", " ").strip();
        if (plain.length() > longest) {
            throw refused("Neighbours.long");
        }
        return plain;
    }

    /** What the giver calls itself, as it can be shown. */
    String source() {
        String plain = from == null ? "" : from.replaceAll("\\p{Cntrl}", " ").strip();
        return plain.isEmpty()
                ? Messages.text("Neighbours.nameless")
                : plain.substring(0, Math.min(80, plain.length()));
    }

    private static InvalidField refused(String why) {
        return new InvalidField("file", Messages.text(why));
    }
}
