package garden.vivarium.app.platform;

import garden.vivarium.core.measure.UnitSystem;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorFactory;
import jakarta.validation.Validation;
import jakarta.validation.Validator;
import org.springframework.core.convert.ConversionService;
import org.springframework.format.support.DefaultFormattingConversionService;

/** What binds and judges forms, as the application does it, for a typist of some units. */
public final class TypedIn {

    private TypedIn() {}

    /** What shows and reads fields. */
    public static ConversionService conversion(UnitSystem units) {
        Measures measures = measures(units);
        DefaultFormattingConversionService conversion = new DefaultFormattingConversionService();
        conversion.addFormatter(new ProseFormat(measures));
        conversion.addFormatterForFieldAnnotation(new InUnitFormat(measures));
        return conversion;
    }

    /** What judges them. */
    public static Validator validator(UnitSystem units) {
        Measures measures = measures(units);
        ConstraintValidatorFactory usual =
                Validation.byDefaultProvider().configure().getDefaultConstraintValidatorFactory();
        return Validation.byDefaultProvider()
                .configure()
                .constraintValidatorFactory(new ConstraintValidatorFactory() {
                    @Override
                    public <T extends ConstraintValidator<?, ?>> T getInstance(Class<T> key) {
                        return key == InUnit.Bounds.class
                                ? key.cast(new InUnit.Bounds(measures))
                                : usual.getInstance(key);
                    }

                    @Override
                    public void releaseInstance(ConstraintValidator<?, ?> instance) {
                        // Nothing is held.
                    }
                })
                .buildValidatorFactory()
                .getValidator();
    }

    private static Measures measures(UnitSystem units) {
        return new Measures(new Messages(), () -> units);
    }
}
