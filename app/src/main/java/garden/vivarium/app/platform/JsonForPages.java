package garden.vivarium.app.platform;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import org.springframework.stereotype.Component;

/** Values for a page's {@code data-} attributes, which scripts read; the template escapes them. */
@Component("json")
public class JsonForPages {

    private final ObjectMapper mapper;

    JsonForPages(ObjectMapper mapper) {
        this.mapper = mapper;
    }

    /** The value as JSON. */
    public String of(Object value) {
        try {
            return mapper.writeValueAsString(value);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a page's value cannot be written", e);
        }
    }
}
