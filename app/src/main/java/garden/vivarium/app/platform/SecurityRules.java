package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Arrays;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authentication.AuthenticationDetailsSource;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.AuthenticationSuccessHandler;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.RequestCache;

/** Who may do what, and what a browser may load. */
@Configuration
class SecurityRules {

    private static final int SALT = 16;
    private static final int HASH = 32;
    private static final int ROUNDS = 2;

    /** Nothing inline, nothing from elsewhere. */
    static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self';"
            + " font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self';"
            + " frame-ancestors 'none'; base-uri 'none'";

    private static final String[] ANY_ROLE =
            Arrays.stream(Role.values()).map(Role::name).toArray(String[]::new);

    @Bean
    SecurityFilterChain rules(
            HttpSecurity http,
            @Value("${vivarium.hsts:false}") boolean alwaysEncrypted,
            @Value("${vivarium.session.longest:30d}") Duration longestSession,
            RequestCache asked,
            FormTokens tokens,
            WhoAsks who,
            PublicAddress address,
            AuthenticationSuccessHandler entering,
            AuthenticationFailureHandler failed,
            AuthenticationDetailsSource<HttpServletRequest, ?> details)
            throws Exception {
        return http.authorizeHttpRequests(r -> r.requestMatchers(
                                "/assets/**", "/favicon.svg", "/error", "/sign-in", "/sign-in/code", "/first")
                        .permitAll()
                        .requestMatchers("/password/*", "/invited/*")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/worker.js", "/calendar/feed/*", "/health")
                        .permitAll()
                        // A logger has a token of its own, and no session that another page could misuse.
                        .requestMatchers(HttpMethod.POST, "/readings")
                        .permitAll()
                        .requestMatchers(
                                HttpMethod.POST,
                                "/people/password",
                                "/people/everywhere",
                                "/people/units",
                                "/invitations/**",
                                "/nurseries/**")
                        .hasAnyRole(ANY_ROLE)
                        .requestMatchers(HttpMethod.POST, "/people/**", "/welcome/where", "/door/link/*", "/copies/**")
                        .hasRole(Role.OWNER.name())
                        .requestMatchers("/door/log", "/door/log.csv", "/copies/**", "/copies")
                        .hasRole(Role.OWNER.name())
                        .requestMatchers(HttpMethod.POST, "/door/**")
                        .hasAnyRole(ANY_ROLE)
                        .requestMatchers(HttpMethod.GET, "/**")
                        .hasAnyRole(ANY_ROLE)
                        .requestMatchers(HttpMethod.HEAD, "/**")
                        .hasAnyRole(ANY_ROLE)
                        .anyRequest()
                        .hasAnyRole(Role.OWNER.name(), Role.GROWER.name()))
                .csrf(c -> c.ignoringRequestMatchers("/readings").csrfTokenRepository(tokens))
                .addFilterBefore(new SameOrigin(address), CsrfFilter.class)
                .requestCache(c -> c.requestCache(asked))
                .addFilterBefore(new SessionEnd(longestSession), AuthorizationFilter.class)
                .addFilterAfter(who, SessionEnd.class)
                .exceptionHandling(e -> e.accessDeniedHandler(SecurityRules::refuse))
                .formLogin(f -> f.loginPage("/sign-in")
                        .usernameParameter("signIn")
                        .authenticationDetailsSource(details)
                        .successHandler(entering)
                        .failureHandler(failed))
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
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        if (now != null && now.getPrincipal() instanceof HalfSignedIn) {
            response.sendRedirect(request.getContextPath() + "/sign-in/code");
            return;
        }
        if (!(refused instanceof CsrfException)) {
            request.setAttribute(ErrorPages.TITLE, Messages.text("SecurityRules.not.yours"));
            request.setAttribute(ErrorPages.SAID, Messages.text("SecurityRules.ask.owner"));
        }
        response.sendError(HttpStatus.FORBIDDEN.value());
    }

    /**
     * How passwords are kept: as Spring Security's defaults since 5.8.
     *
     * @param kib memory that one hash takes; tests, which make hundreds of people, take little
     */
    @Bean
    PooledHashing passwordEncoder(@Value("${vivarium.hashing.kib:16384}") int kib) {
        return new PooledHashing(new Argon2PasswordEncoder(SALT, HASH, 1, kib, ROUNDS));
    }
}
