package garden.vivarium.app.platform;

import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Styles, scripts and fonts. They stand under a folder named by the hash of them all, made at build time, so that a browser
 * may keep them for good and modules find one another by relative paths.
 */
@Configuration
public class Assets implements WebMvcConfigurer {

    /** The version of assets that are being worked on, and may be different at every load. */
    private static final String CHANGING = "dev";

    private final String version;

    Assets(@Value("${vivarium.assets}") String version) {
        this.version = version;
    }

    /** The address of an asset. */
    public String at(String path) {
        return "/assets/" + version + "/" + path;
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/" + version + "/**")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(
                        version.equals(CHANGING)
                                ? CacheControl.noCache()
                                : CacheControl.maxAge(365, TimeUnit.DAYS)
                                        .cachePublic()
                                        .immutable());
        registry.addResourceHandler("/favicon.svg").addResourceLocations("classpath:/static/");
        registry.addResourceHandler("/worker.js")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache());
    }
}
