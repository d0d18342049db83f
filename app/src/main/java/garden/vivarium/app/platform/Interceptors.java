package garden.vivarium.app.platform;

import java.util.Locale;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.LocaleResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.i18n.FixedLocaleResolver;

/** What every request passes on its way to a page. */
@Configuration
class Interceptors implements WebMvcConfigurer {

    private final BelievableDays days;
    private final OnceOnly once;

    Interceptors(BelievableDays days, OnceOnly once) {
        this.days = days;
        this.once = once;
    }

    /** Pages are written in one language, whatever a browser asks for. */
    @Bean
    LocaleResolver localeResolver() {
        return new FixedLocaleResolver(Locale.UK);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(days);
        registry.addInterceptor(once);
    }
}
