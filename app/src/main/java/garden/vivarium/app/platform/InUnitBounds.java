package garden.vivarium.app.platform;

import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;

/** Whether a measured number is believed, told in the reader's own unit. */
class InUnitBounds implements ConstraintValidator<InUnit, Number> {

    private final Measures measures;
    private InUnit bounds;

    InUnitBounds(Measures measures) {
        this.measures = measures;
    }

    @Override
    public void initialize(InUnit annotation) {
        bounds = annotation;
    }

    @Override
    public boolean isValid(Number number, ConstraintValidatorContext context) {
        if (number == null
                || (number.doubleValue() >= bounds.least() - Measures.SLACK
                        && number.doubleValue() <= bounds.most() + Measures.SLACK)) {
            return true;
        }
        context.disableDefaultConstraintViolation();
        context.buildConstraintViolationWithTemplate(measures.bounds(bounds.value(), bounds.least(), bounds.most()))
                .addConstraintViolation();
        return false;
    }
}
