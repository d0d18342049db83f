package garden.vivarium.app.platform;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may do what, and what a browser may load. */
@Configuration
class SecurityRules {

    /** Nothing inline, nothing from elsewhere. */
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self';"
                    + " font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self';"
                    + " frame-ancestors 'none'; base-uri 'none'";

    @Bean
    SecurityFilterChain rules(HttpSecurity http) throws Exception {
        return http.authorizeHttpRequests(
                        r -> r.requestMatchers("/assets/**", "/favicon.svg", "/error", "/sign-in", "/first")
                                .permitAll()
                                .requestMatchers(HttpMethod.GET, "/worker.js", "/calendar/feed/*")
                                .permitAll()
                                .anyRequest()
                                .authenticated())
                .formLogin(f -> f.loginPage("/sign-in")
                        .usernameParameter("signIn")
                        .defaultSuccessUrl("/round", false)
                        .failureHandler((request, response, failure) -> response.sendRedirect(request.getContextPath()
                                + (failure instanceof LockedException ? "/sign-in?wait" : "/sign-in?wrong"))))
                .logout(l -> l.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .headers(h -> h.contentSecurityPolicy(c -> c.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(p -> p.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(p -> p.policy("camera=(), microphone=(), geolocation=()")))
                .build();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();
    }
}
