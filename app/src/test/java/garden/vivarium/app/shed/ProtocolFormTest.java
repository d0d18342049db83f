package garden.vivarium.app.shed;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.platform.TypedIn;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import garden.vivarium.core.measure.Prose;
import garden.vivarium.core.measure.UnitSystem;
import garden.vivarium.core.measure.Warmth;
import jakarta.validation.Validator;
import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.core.ResolvableType;
import org.springframework.validation.BindingResult;
import org.springframework.validation.DataBinder;
import org.springframework.validation.DirectFieldBindingResult;

/** An own protocol as a form: shown and sent back unchanged it is the same, and what cannot be is refused by its field. */
class ProtocolFormTest {

    private static final Guide GUIDE = Guide.load();
    private static final Validator VALIDATOR = TypedIn.validator(UnitSystem.METRIC);

    static Stream<Protocol> everyProtocol() {
        return GUIDE.protocols().stream();
    }

    @ParameterizedTest
    @MethodSource("everyProtocol")
    void whatIsShownAndSentBackUnchangedIsTheSameProtocol(Protocol p) {
        ProtocolForm form = sent(p, Map.of());

        assertThat(VALIDATOR.validate(form).stream()
                        .filter(v -> !v.getPropertyPath().toString().equals("identity.reason")))
                .isEmpty();
        assertThat(refused(form, p).getAllErrors()).isEmpty();
        assertThat(form.onto(p, p.medium())).isEqualTo(p);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            figures.output             | 55, 30   | together they are 100
            figures.output             | many     | together they are 100
            figures.output             | 120, -20 | together they are 100
            course.stages[0].days      | 0        | Days of a stage are 1 to 730
            course.stages[0].every     | 900      | Days of a stage are 1 to 730
            course.looks.most          | 1        | no shorter than the shortest
            course.ready.to            | 5        | from a day above 0 to a later one
            course.ready.to            |          | give both days
            course.firstSign.from      | 190      | First sign comes before ready
            wound.callusMost           | 4        | no shorter than the shortest
            wound.callusMost           |          | Give the longest drying too
            placing.spacing            |          | in figures or in words
            keeping.air.warmth[0].from |          | lowest temperature too
            keeping.air.warmth[0].to   | 2        | no lower than the lowest
            keeping.air.base.weeks     | 3        | lowest temperature too
            potting.litres             | 2        | leave one empty
            potting.acrossCm           |          | Say what pot
            """)
    void whatCannotBeIsRefusedInWordsByItsField(String field, String typed, String words) {
        Protocol p = GUIDE.protocol("plantlet-on-rescued-stem").orElseThrow();
        Map<String, String> also = Map.of(
                "wound.callusMost", "wound.callusLeast=9",
                "course.firstSign.from", "course.firstSign.to=195",
                "keeping.air.base.weeks", "keeping.air.base.from=",
                "placing.spacing", "placing.apartCm=");
        Map<String, String> anew = new TreeMap<>();
        anew.put(field, typed == null ? "" : typed);
        if (also.containsKey(field)) {
            String[] other = also.get(field).split("=", 2);
            anew.put(other[0], other[1]);
        }
        String where = field.equals("keeping.air.base.weeks") ? "keeping.air.base.from" : field;

        assertThat(refused(sent(p, anew), p).getFieldErrors()).anySatisfy(e -> {
            assertThat(e.getField()).isEqualTo(where);
            assertThat(e.getDefaultMessage()).contains(words);
        });
    }

    @Test
    void whatIsChangedChangesAndNothingElse() {
        Protocol p = GUIDE.protocol("plantlet-on-rescued-stem").orElseThrow();
        ProtocolForm form = sent(
                p,
                Map.of(
                        "keeping.air.base.from", "24",
                        "figures.output", "20 30 50",
                        "course.stages[0].every", "9",
                        "course.inTurn", "",
                        "potting.acrossCm", "7.5"));
        assertThat(refused(form, p).getAllErrors()).isEmpty();
        Protocol after = form.onto(p, p.medium());

        assertThat(after.keeping().air().base()).contains(Warmth.of(24));
        assertThat(after.figures().output().mean()).isEqualTo(2.3);
        assertThat(after.figures().establishment()).isEqualTo(p.figures().establishment());
        Protocol.When was = p.course().stages().get(0).when().orElseThrow();
        assertThat(after.course().stages().get(0).when()).contains(new Protocol.When(was.ask(), was.first(), 9));
        assertThat(after.course().inTurn()).isEmpty();
        assertThat(after.potting().pot().acrossMm()).contains(75);
        assertThat(after.material()).isEqualTo(p.material());
        assertThat(after.wound()).isEqualTo(p.wound());
        assertThat(after.placing()).isEqualTo(p.placing());
    }

    /** The form as a browser would send it, some fields typed anew; what is empty is sent as nothing. */
    private static ProtocolForm sent(Protocol p, Map<String, String> anew) {
        Map<String, Object> sent = new TreeMap<>();
        flatten("", ProtocolForm.of(p), sent);
        anew.forEach((k, v) -> {
            sent.remove(k);
            if (!v.isEmpty()) {
                sent.put(k, v);
            }
        });
        DataBinder binder = new DataBinder(null, "form");
        binder.setConversionService(TypedIn.conversion(UnitSystem.METRIC));
        binder.setTargetType(ResolvableType.forClass(ProtocolForm.class));
        binder.construct(new DataBinder.ValueResolver() {
            @Override
            public Object resolveValue(String name, Class<?> type) {
                return sent.get(name);
            }

            @Override
            public Set<String> getNames() {
                return sent.keySet();
            }
        });
        return (ProtocolForm) binder.getTarget();
    }

    private static void flatten(String path, Object value, Map<String, Object> into) {
        if (value instanceof Prose prose) {
            into.put(path, prose.metric());
        } else if (value instanceof Record part) {
            for (RecordComponent c : part.getClass().getRecordComponents()) {
                try {
                    flatten(
                            path + (path.isEmpty() ? "" : ".") + c.getName(),
                            c.getAccessor().invoke(part),
                            into);
                } catch (ReflectiveOperationException e) {
                    throw new LinkageError(e.getMessage(), e);
                }
            }
        } else if (value instanceof List<?> list && list.stream().allMatch(Record.class::isInstance)) {
            for (int i = 0; i < list.size(); i++) {
                flatten(path + "[" + i + "]", list.get(i), into);
            }
        } else if (value != null) {
            into.put(path, value);
        }
    }

    private static BindingResult refused(ProtocolForm form, Protocol p) {
        BindingResult wrong = new DirectFieldBindingResult(form, "form");
        form.refuseDisorder(p, wrong);
        return wrong;
    }
}
