package garden.vivarium.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.springframework.validation.BeanPropertyBindingResult;
import org.springframework.validation.BindingResult;

/** What is refused is said beside the field that it names, wherever in the form that stands. */
class FieldPathTest {

    record Outer(Inner inner, String note) {}

    record Inner(Deep deep, String place) {}

    record Deep(Integer rows) {}

    @Test
    void aFieldIsFoundInItsPart() {
        assertThat(FieldPath.of(Outer.class, "note")).contains("note");
        assertThat(FieldPath.of(Outer.class, "place")).contains("inner.place");
        assertThat(FieldPath.of(Outer.class, "rows")).contains("inner.deep.rows");
        assertThat(FieldPath.of(Outer.class, "columns")).isEmpty();
        assertThat(FieldPath.of(Outer.class, "inner")).as("a part is no field").isEmpty();
    }

    @Test
    void whatHasNoFieldIsSaidOfTheWholeForm() {
        BindingResult wrong = new BeanPropertyBindingResult(new Outer(new Inner(null, "Bench"), null), "form");
        FieldPath.reject(wrong, Outer.class, new InvalidField("place", "That place is full."));
        FieldPath.reject(wrong, Outer.class, new InvalidField("plan", "That plan is dropped."));

        assertThat(wrong.getFieldError("inner.place").getDefaultMessage()).isEqualTo("That place is full.");
        assertThat(wrong.getGlobalError().getDefaultMessage()).isEqualTo("That plan is dropped.");
    }
}
