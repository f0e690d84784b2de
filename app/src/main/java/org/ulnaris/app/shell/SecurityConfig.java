package org.ulnaris.app.shell;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.http.HttpMethod;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.servlet.util.matcher.PathPatternRequestMatcher;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * One person's machine: everything is open, but only to loopback, only under a loopback name, with CSRF and a strict
 * Content-Security-Policy. No sessions: a page stays valid when the server restarts, its CSRF token lives in a cookie.
 */
@Configuration
class SecurityConfig {
    private static final String POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:;"
                    + " font-src 'self'; connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self';"
                    + " base-uri 'none'; frame-ancestors 'none'";

    private static final Set<String> LOOPBACK_NAMES = Set.of("localhost", "127.0.0.1", "[::1]");

    /** What every answer bears, whoever gives it. */
    static final Map<String, String> HEADERS = Map.of(
            "Content-Security-Policy", POLICY,
            "X-Content-Type-Options", "nosniff",
            "X-Frame-Options", "DENY",
            "Referrer-Policy", "same-origin",
            "Cross-Origin-Resource-Policy", "same-origin",
            "Cross-Origin-Opener-Policy", "same-origin");

    /** Holds the token of a browser. */
    static final String TOKEN_COOKIE = "XSRF-TOKEN";

    @Bean
    SecurityFilterChain security(HttpSecurity http) {
        CookieCsrfTokenRepository tokens = new CookieCsrfTokenRepository();
        tokens.setCookieName(TOKEN_COOKIE);
        tokens.setCookieCustomizer(
                cookie -> cookie.sameSite("Strict").httpOnly(true).path("/"));
        return http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .anonymous(anonymous -> {})
                .csrf(csrf -> csrf.csrfTokenRepository(tokens)
                        // They compute, keep nothing, and take JSON only, which no foreign page may send unasked.
                        .ignoringRequestMatchers(
                                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/v1/sizing"),
                                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/v1/crimp"),
                                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/v1/ends"),
                                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/v1/network"),
                                PathPatternRequestMatcher.pathPattern(HttpMethod.POST, "/api/v1/jobs/*/solve")))
                .build();
    }

    /** Every page is also a fragment: {@code Vary} tells caches.
     *
     * <p>Refuses a Host header that is no loopback name: a foreign page may not reach the shop under a name of its own. */
    @Bean
    FilterRegistrationBean<OncePerRequestFilter> hostFilter() {
        FilterRegistrationBean<OncePerRequestFilter> registration =
                new FilterRegistrationBean<>(new OncePerRequestFilter() {
                    @Override
                    protected boolean shouldNotFilterErrorDispatch() {
                        return false;
                    }

                    @Override
                    protected void doFilterInternal(
                            HttpServletRequest request, HttpServletResponse response, FilterChain chain)
                            throws ServletException, IOException {
                        HEADERS.forEach(response::setHeader);
                        String name = request.getServerName().toLowerCase(Locale.ROOT);
                        if (LOOPBACK_NAMES.contains(name.endsWith(".") ? name.substring(0, name.length() - 1) : name)) {
                            if (request.getDispatcherType() == DispatcherType.REQUEST) {
                                response.addHeader("Vary", "HX-Request");
                            }
                            try {
                                chain.doFilter(request, response);
                            } catch (InvalidParameterException e) {
                                response.sendError(HttpServletResponse.SC_BAD_REQUEST);
                            } catch (ServletException e) {
                                if (!(e.getRootCause() instanceof InvalidParameterException)) {
                                    throw e;
                                }
                                response.sendError(HttpServletResponse.SC_BAD_REQUEST);
                            }
                        } else {
                            response.setStatus(421);
                            response.setContentType("text/plain;charset=UTF-8");
                            response.getWriter().write("Ulnaris answers on localhost only.\n");
                        }
                    }
                });
        registration.setOrder(Ordered.HIGHEST_PRECEDENCE);
        return registration;
    }
}
