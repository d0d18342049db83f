package garden.vivarium.app.platform;

import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What every request passes on its way to a page. */
@Configuration
class Interceptors implements WebMvcConfigurer {

    private final BelievableDays days;
    private final OnceOnly once;

    Interceptors(BelievableDays days, OnceOnly once) {
        this.days = days;
        this.once = once;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(days);
        registry.addInterceptor(once);
    }
}
