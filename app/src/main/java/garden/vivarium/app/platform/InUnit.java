package garden.vivarium.app.platform;

import garden.vivarium.core.measure.Unit;
import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A number of a metric unit that people type, and are shown, in the unit that they read it in: a width kept in cm is typed in
 * inches by whoever reads inches.
 */
@Target({ElementType.FIELD, ElementType.PARAMETER})
@Retention(RetentionPolicy.RUNTIME)
@Constraint(validatedBy = InUnit.Bounds.class)
public @interface InUnit {

    /** In which it is kept. */
    Unit value();

    /** The least that is believed, of that unit. */
    double least();

    /** The most that is believed, of that unit. */
    double most();

    /** Told with the bounds in the reader's unit. */
    String message() default "";

    /** As of every constraint. */
    Class<?>[] groups() default {};

    /** As of every constraint. */
    Class<? extends Payload>[] payload() default {};

    /** Whether a measured number is believed, told in the reader's own unit. */
    class Bounds implements ConstraintValidator<InUnit, Number> {

        private final Measures measures;
        private InUnit bounds;

        Bounds(Measures measures) {
            this.measures = measures;
        }

        @Override
        public void initialize(InUnit annotation) {
            bounds = annotation;
        }

        @Override
        public boolean isValid(Number number, ConstraintValidatorContext context) {
            if (number == null
                    || (number.doubleValue() >= bounds.least() - Measures.SAME
                            && number.doubleValue() <= bounds.most() + Measures.SAME)) {
                return true;
            }
            context.disableDefaultConstraintViolation();
            context.buildConstraintViolationWithTemplate(measures.bounds(bounds.value(), bounds.least(), bounds.most()))
                    .addConstraintViolation();
            return false;
        }
    }
}
