package garden.vivarium.app.door;

import garden.vivarium.app.platform.CookieNames;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.authentication.AuthenticationDetailsSource;

/** What is known of where somebody signs in from. */
@Configuration
class DoorRules {

    @Bean
    AuthenticationDetailsSource<HttpServletRequest, AtTheDoor> whereFrom(CookieNames names) {
        return request -> new AtTheDoor(request, names);
    }
}
