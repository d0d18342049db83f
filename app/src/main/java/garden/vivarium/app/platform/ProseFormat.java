package garden.vivarium.app.platform;

import garden.vivarium.core.measure.Prose;
import java.util.Locale;
import org.springframework.format.Formatter;
import org.springframework.stereotype.Component;

/** Shows sentences in fields of forms, and reads them, with their figures in the unit of whoever types. */
@Component
class ProseFormat implements Formatter<Prose> {

    private final Measures measures;

    ProseFormat(Measures measures) {
        this.measures = measures;
    }

    @Override
    public String print(Prose prose, Locale locale) {
        return measures.typed(prose);
    }

    @Override
    public Prose parse(String text, Locale locale) {
        return Prose.typed(text);
    }
}
