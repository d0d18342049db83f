package garden.vivarium.app.batch;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.datatype.jdk8.Jdk8Module;
import garden.vivarium.core.plan.Outlook;
import org.springframework.stereotype.Component;
import org.springframework.util.ConcurrentLruCache;

/** What was expected of a batch on the day it was made, as text beside it: later evidence does not change it. */
@Component
class OutlookText {

    private final ObjectMapper json = JsonMapper.builder()
            .addModule(new Jdk8Module())
            .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    // The same few dozen texts are read for every page, and never change.
    private final ConcurrentLruCache<String, Outlook> known = new ConcurrentLruCache<>(1000, this::parse);

    String write(Outlook outlook) {
        try {
            return json.writeValueAsString(outlook);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("an outlook cannot be written", e);
        }
    }

    Outlook read(String text) {
        return known.get(text);
    }

    private Outlook parse(String text) {
        try {
            return json.readValue(text, Outlook.class);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("an outlook cannot be read", e);
        }
    }
}
