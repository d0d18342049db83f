package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CsrfException;
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
    SecurityFilterChain rules(HttpSecurity http, @Value("${vivarium.hsts:false}") boolean alwaysEncrypted)
            throws Exception {
        return http.authorizeHttpRequests(
                        r -> r.requestMatchers("/assets/**", "/favicon.svg", "/error", "/sign-in", "/first")
                                .permitAll()
                                .requestMatchers(HttpMethod.GET, "/worker.js", "/calendar/feed/*")
                                .permitAll()
                                // A logger has a token of its own, and no session that another page could misuse.
                                .requestMatchers(HttpMethod.POST, "/readings")
                                .permitAll()
                                .requestMatchers(
                                        HttpMethod.POST,
                                        "/people/password",
                                        "/people/everywhere",
                                        "/people/units",
                                        "/nurseries/**")
                                .authenticated()
                                .requestMatchers(HttpMethod.POST, "/people/**", "/welcome/where")
                                .hasRole(Role.OWNER.name())
                                .requestMatchers(HttpMethod.GET, "/**")
                                .authenticated()
                                .requestMatchers(HttpMethod.HEAD, "/**")
                                .authenticated()
                                .anyRequest()
                                .hasAnyRole(Role.OWNER.name(), Role.GROWER.name()))
                .csrf(c -> c.ignoringRequestMatchers("/readings"))
                .exceptionHandling(e -> e.accessDeniedHandler(SecurityRules::refuse))
                .formLogin(f -> f.loginPage("/sign-in")
                        .usernameParameter("signIn")
                        .defaultSuccessUrl("/round", false)
                        .failureHandler((request, response, failure) -> response.sendRedirect(request.getContextPath()
                                + (failure instanceof LockedException ? "/sign-in?wait" : "/sign-in?wrong"))))
                .logout(l -> l.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
                .headers(h -> h.httpStrictTransportSecurity(s -> {
                            // Only behind a certificate that the world trusts: with one of our own, a browser could
                            // never go back.
                            if (!alwaysEncrypted) {
                                s.disable();
                            }
                        })
                        .contentSecurityPolicy(c -> c.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(p -> p.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(p -> p.policy("camera=(), microphone=(), geolocation=()")))
                .build();
    }

    /** A page that had gone stale is one thing, what a person may not do another. */
    private static void refuse(HttpServletRequest request, HttpServletResponse response, AccessDeniedException refused)
            throws IOException {
        if (!(refused instanceof CsrfException)) {
            request.setAttribute(ErrorPages.TITLE, Messages.text("SecurityRules.not.yours"));
            request.setAttribute(ErrorPages.SAID, Messages.text("SecurityRules.ask.owner"));
        }
        response.sendError(HttpStatus.FORBIDDEN.value());
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8();
    }
}
