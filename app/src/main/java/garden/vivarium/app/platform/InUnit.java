package garden.vivarium.app.platform;

import garden.vivarium.core.measure.Unit;
import jakarta.validation.Constraint;
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
@Constraint(validatedBy = InUnitBounds.class)
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
}
