package garden.vivarium.app.platform;

import java.text.ParseException;
import java.util.Locale;
import java.util.Set;
import org.springframework.format.AnnotationFormatterFactory;
import org.springframework.format.Parser;
import org.springframework.format.Printer;
import org.springframework.stereotype.Component;

/** Shows and reads numbers of forms in the unit of whoever types. */
@Component
class InUnitFormat implements AnnotationFormatterFactory<InUnit> {

    private final Measures measures;

    InUnitFormat(Measures measures) {
        this.measures = measures;
    }

    @Override
    public Set<Class<?>> getFieldTypes() {
        return Set.of(Double.class, Integer.class);
    }

    @Override
    public Printer<?> getPrinter(InUnit in, Class<?> type) {
        return new InReadersUnit(in);
    }

    @Override
    public Parser<?> getParser(InUnit in, Class<?> type) {
        return type == Integer.class
                ? (text, locale) -> (int) Math.round(new InReadersUnit(in).parse(text, locale))
                : new InReadersUnit(in);
    }

    private final class InReadersUnit implements Printer<Number>, Parser<Double> {

        private final InUnit in;

        InReadersUnit(InUnit in) {
            this.in = in;
        }

        @Override
        public String print(Number number, Locale locale) {
            return measures.typed(number, in.value());
        }

        @Override
        public Double parse(String text, Locale locale) throws ParseException {
            return measures.read(text, in.value()).orElseThrow(() -> new ParseException(text, 0));
        }
    }
}
