package garden.vivarium.app.exchange;

import com.fasterxml.jackson.annotation.JsonAutoDetect;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import jakarta.persistence.AttributeConverter;

/** What was said of files and found in them, as it is stored: with the number of its format. */
final class FileText {

    private static final int FORMAT = 1;

    private static final ObjectMapper JSON = JsonMapper.builder()
            .visibility(PropertyAccessor.IS_GETTER, JsonAutoDetect.Visibility.NONE)
            .enable(DeserializationFeature.FAIL_ON_MISSING_CREATOR_PROPERTIES)
            .build();

    private FileText() {}

    private record Kept<T>(int format, T what) {}

    private static String write(Object what) {
        try {
            return what == null ? null : JSON.writeValueAsString(new Kept<>(FORMAT, what));
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("what was said of a file cannot be written", e);
        }
    }

    private static <T> T read(String text, Class<T> as, T otherwise) {
        try {
            if (text == null) {
                return otherwise;
            }
            var kept = JSON.readTree(text);
            // A file half brought in by another version is looked through anew: nothing of it is part of the record.
            return kept.path("format").asInt() == FORMAT ? JSON.treeToValue(kept.get("what"), as) : otherwise;
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("what was said of a file cannot be read", e);
        }
    }

    /** What was said. */
    static final class OfChoices implements AttributeConverter<Choices, String> {

        @Override
        public String convertToDatabaseColumn(Choices said) {
            return write(said);
        }

        @Override
        public Choices convertToEntityAttribute(String text) {
            return read(text, Choices.class, Choices.NONE);
        }
    }

    /** What was found. */
    static final class OfFindings implements AttributeConverter<Findings, String> {

        @Override
        public String convertToDatabaseColumn(Findings found) {
            return write(found);
        }

        @Override
        public Findings convertToEntityAttribute(String text) {
            return read(text, Findings.class, null);
        }
    }
}
