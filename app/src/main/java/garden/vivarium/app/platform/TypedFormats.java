package garden.vivarium.app.platform;

import org.springframework.context.annotation.Configuration;
import org.springframework.format.FormatterRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Numbers of a unit are shown in forms, and read, in the unit of whoever types. */
@Configuration
class TypedFormats implements WebMvcConfigurer {

    private final InUnitFormat numbers;

    TypedFormats(InUnitFormat numbers) {
        this.numbers = numbers;
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addFormatterForFieldAnnotation(numbers);
    }
}
