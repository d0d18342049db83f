package garden.vivarium.app.platform;

import garden.vivarium.core.measure.Prose;
import jakarta.validation.valueextraction.ExtractedValue;
import jakarta.validation.valueextraction.UnwrapByDefault;
import jakarta.validation.valueextraction.ValueExtractor;

/** What holds for typed text holds for sentences: that they say something, and how long they are. */
@UnwrapByDefault
public class ProseLimits implements ValueExtractor<@ExtractedValue(type = String.class) Prose> {

    @Override
    public void extractValues(Prose prose, ValueReceiver receiver) {
        receiver.value(null, prose == null ? null : prose.metric());
    }
}
