package garden.vivarium.app.shed;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.Protocol;
import jakarta.validation.Validation;
import jakarta.validation.Validator;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;
import org.springframework.validation.DataBinder;

/** An own protocol as a form: shown and sent back unchanged it is the same, and what cannot be is refused by its field. */
class ProtocolFormTest {

    private static final Guide GUIDE = Guide.load();
    private static final Validator VALIDATOR =
            Validation.buildDefaultValidatorFactory().getValidator();

    static Stream<Protocol> everyProtocol() {
        return GUIDE.protocols().stream();
    }

    @ParameterizedTest
    @MethodSource("everyProtocol")
    void whatIsShownAndSentBackUnchangedIsTheSameProtocol(Protocol p) {
        ProtocolForm form = ProtocolForm.of(p);

        assertThat(VALIDATOR.validateProperty(form, "rest")).isEmpty();
        assertThat(VALIDATOR.validate(form).stream()
                        .filter(v -> !v.getPropertyPath().toString().equals("reason")))
                .isEmpty();
        assertThat(refused(form.rest(), p).getErrorCount()).isZero();
        assertThat(form.changed(p, p.medium())).isEqualTo(p);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            rest.output     | 55, 30        | together they are 100
            rest.output     | many          | together they are 100
            rest.output     | 120, -20      | together they are 100
            rest.stageDays  | 0             | Days of a stage are 1 to 730
            rest.stageEvery | 900           | Days of a stage are 1 to 730
            """)
    void whatCannotBeIsRefusedInWords(String field, String typed, String words) {
        Protocol p = GUIDE.protocol("plantlet-on-rescued-stem").orElseThrow();
        ProtocolRest rest = typed(p, Map.of(field.substring("rest.".length()), typed));

        assertThat(refused(rest, p).getAllErrors())
                .singleElement()
                .satisfies(e -> assertThat(e.getDefaultMessage()).contains(words));
    }

    @Test
    void whatIsChangedChangesAndNothingElse() {
        Protocol p = GUIDE.protocol("plantlet-on-rescued-stem").orElseThrow();
        ProtocolRest rest = typed(p, Map.of("base", "24 °C", "output", "20 30 50", "stageEvery", "9", "inTurn", ""));
        assertThat(refused(rest, p).getErrorCount()).isZero();

        assertThat(rest.base()).isEqualTo("24 °C");
        assertThat(rest.outputOf(p).mean()).isEqualTo(2.3);
        assertThat(rest.stagesOf(p).get(0).when().orElseThrow())
                .isEqualTo(new Protocol.When(
                        p.stages().get(0).when().orElseThrow().ask(),
                        p.stages().get(0).when().orElseThrow().first(),
                        9));
        assertThat(rest.inTurn()).isNull();
        assertThat(rest.piece()).isEqualTo(p.piece());
        assertThat(rest.establishmentOf(p)).isEqualTo(p.establishment());
    }

    /** The form's rest as a browser would send it, some fields typed anew. */
    private static ProtocolRest typed(Protocol p, Map<String, String> anew) {
        Map<String, Object> sent = new TreeMap<>();
        ProtocolRest shown = ProtocolRest.of(p);
        for (var c : ProtocolRest.class.getRecordComponents()) {
            try {
                sent.put(c.getName(), c.getAccessor().invoke(shown));
            } catch (ReflectiveOperationException e) {
                throw new AssertionError(e);
            }
        }
        anew.forEach((k, v) -> sent.put(k, v.isEmpty() ? null : v));
        DataBinder binder = new DataBinder(null, "rest");
        binder.setTargetType(org.springframework.core.ResolvableType.forClass(ProtocolRest.class));
        binder.construct(new DataBinder.ValueResolver() {
            @Override
            public Object resolveValue(String name, Class<?> type) {
                return sent.get(name);
            }

            @Override
            public java.util.Set<String> getNames() {
                return sent.keySet();
            }
        });
        return (ProtocolRest) binder.getTarget();
    }

    private static BindingResult refused(ProtocolRest rest, Protocol p) {
        BindingResult wrong = new BeanPropertyBindingResult(new Holder(rest), "form");
        rest.refuseDisorder(p, wrong);
        return wrong;
    }

    record Holder(ProtocolRest rest) {
        public ProtocolRest getRest() {
            return rest;
        }
    }
}
