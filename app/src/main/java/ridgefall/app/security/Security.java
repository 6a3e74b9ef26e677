package ridgefall.app.security;

import io.micrometer.observation.ObservationRegistry;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.authorization.AuthorityAuthorizationDecision;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.authorization.AuthorizationDeniedException;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.savedrequest.NullRequestCache;
import ridgefall.app.http.Problem;
import ridgefall.app.http.UsualHeaders;
import ridgefall.core.job.Role;
import tools.jackson.databind.json.JsonMapper;

/** Who may speak to the app at all. What a role may record is the core's to say, fact by fact. */
@Configuration
class Security {
    /** Each filter of each call would be measured, for nobody. */
    @Bean
    ObservationRegistry observations() {
        return ObservationRegistry.NOOP;
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, JsonMapper json) throws Exception {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(HttpMethod.GET, "/api/people")
                        .authenticated()
                        .requestMatchers("/api/people/**")
                        .hasAnyRole(May.CHANGE_PEOPLE.roles())
                        .requestMatchers(HttpMethod.PUT, "/api/shop", "/api/faults", "/api/instruments/nets")
                        .hasAnyRole(May.CHANGE_THE_SHOP.roles())
                        .requestMatchers(HttpMethod.DELETE, "/api/faults")
                        .hasAnyRole(May.CHANGE_THE_SHOP.roles())
                        .requestMatchers(
                                HttpMethod.POST,
                                "/api/book/*/release",
                                "/api/book/*/put-back",
                                "/api/book/*/corrections/*")
                        .hasAnyRole(May.RELEASE_DEVICES.roles())
                        .requestMatchers(HttpMethod.DELETE, "/api/book/*")
                        .hasAnyRole(May.RELEASE_DEVICES.roles())
                        .requestMatchers(HttpMethod.DELETE, "/api/jobs/*/owner")
                        .hasAnyRole(May.ERASE_OWNERS.roles())
                        .requestMatchers(HttpMethod.POST, "/api/jobs-import")
                        .hasAnyRole(May.BRING_JOBS_IN.roles())
                        .requestMatchers(HttpMethod.PUT, "/api/book/*/draft")
                        .hasAnyRole(May.DRAW_DEVICES.roles())
                        .requestMatchers(
                                HttpMethod.POST,
                                "/api/book-import",
                                "/api/book-start",
                                "/api/book-outline",
                                "/api/book-screws")
                        .hasAnyRole(May.DRAW_DEVICES.roles())
                        .requestMatchers(HttpMethod.PUT, "/api/stock/*/tested")
                        .hasAnyRole(May.CHANGE_THE_SHELF.roles())
                        .requestMatchers(HttpMethod.POST, "/api/stock/preview", "/api/stock/import")
                        .hasAnyRole(May.CHANGE_THE_SHELF.roles())
                        .requestMatchers(
                                HttpMethod.PUT,
                                "/api/heat-sources/*",
                                "/api/instruments/*",
                                "/api/programmers/*",
                                "/api/supplies/*")
                        .hasAnyRole(May.CHANGE_TOOLS.roles())
                        .requestMatchers(
                                HttpMethod.DELETE,
                                "/api/heat-sources/*",
                                "/api/heat-sources/*/calibration",
                                "/api/instruments/*",
                                "/api/programmers/*",
                                "/api/supplies/*")
                        .hasAnyRole(May.CHANGE_TOOLS.roles())
                        .requestMatchers(HttpMethod.POST, "/api/programmers/*/*")
                        .hasAnyRole(May.CHANGE_TOOLS.roles())
                        .requestMatchers("/api/touch/**")
                        .permitAll()
                        .requestMatchers(HttpMethod.GET, "/api/jobs/*/touch", "/api/jobs/*/touch/**")
                        .authenticated()
                        .requestMatchers("/api/jobs/*/touch", "/api/jobs/*/touch/**")
                        .hasAnyRole(May.WORK_AT_THE_BENCH.roles())
                        .requestMatchers(HttpMethod.POST, "/api/jobs/*/proof", "/api/jobs/*/charge/level")
                        .hasAnyRole(May.WORK_AT_THE_BENCH.roles())
                        .requestMatchers(HttpMethod.PUT, "/api/jobs/*/copies/*/file")
                        .hasAnyRole(May.WORK_AT_THE_BENCH.roles())
                        .requestMatchers(HttpMethod.POST, "/api/jobs/*/corrections")
                        .hasAnyRole(May.PROPOSE_CORRECTIONS.roles())
                        .requestMatchers(
                                HttpMethod.POST,
                                "/api/jobs/*/heat/*",
                                "/api/jobs/*/runs/*/log",
                                "/api/jobs/*/attachments")
                        .hasAnyRole(May.WORK_AT_THE_BENCH.roles())
                        .requestMatchers(HttpMethod.GET, "/api/session")
                        .permitAll()
                        .requestMatchers(HttpMethod.POST, "/api/session")
                        .permitAll()
                        .requestMatchers("/api/**")
                        .authenticated()
                        // For the start command; nobody from the network has to know.
                        .requestMatchers("/actuator/health/**")
                        .access((who, asked) ->
                                new AuthorizationDecision(!asked.getRequest().isSecure()))
                        .requestMatchers("/actuator/**", "/v3/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                // What the device's browser sends goes by its token and carries no session that could be ridden on.
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers("/api/touch/**"))
                .requestCache(cache -> cache.requestCache(new NullRequestCache()))
                .formLogin(form -> form.disable())
                .httpBasic(basic -> basic.disable())
                .logout(logout -> logout.disable())
                .headers(headers -> headers.contentSecurityPolicy(
                                csp -> csp.policyDirectives(UsualHeaders.CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER))
                        .addHeaderWriter((request, response) -> response.setHeader(
                                "Permissions-Policy",
                                request.getRequestURI().equals("/touch.html")
                                        ? UsualHeaders.PERMISSIONS_OF_THE_PROOF
                                        : UsualHeaders.PERMISSIONS)))
                .exceptionHandling(exceptions -> exceptions
                        .authenticationEntryPoint((request, response, e) -> write(
                                json,
                                response,
                                Problem.of(
                                        HttpStatus.UNAUTHORIZED,
                                        "Not signed in",
                                        "The session has ended or never began. Sign in again; nothing you entered is lost.",
                                        Map.of())))
                        .accessDeniedHandler((request, response, e) -> write(
                                json,
                                response,
                                e instanceof CsrfException
                                        ? Problem.of(
                                                HttpStatus.FORBIDDEN,
                                                "This tap did not come from our own screen",
                                                "The X-XSRF-TOKEN header is missing or old; reload the page",
                                                Map.of("field", "X-XSRF-TOKEN", "allowed", "the value of the cookie"))
                                        : Problem.of(
                                                HttpStatus.FORBIDDEN,
                                                "Not for this role",
                                                "Only a " + whoMay(e) + " may do this",
                                                Map.of("field", "role", "allowed", whoMay(e))))))
                .build();
    }

    /** Those whom the rule that refused this asks for, as people call them: "technician or lead". */
    private static String whoMay(AccessDeniedException refused) {
        return refused instanceof AuthorizationDeniedException denied
                        && denied.getAuthorizationResult() instanceof AuthorityAuthorizationDecision rule
                ? Stream.of(Role.values())
                        .filter(role -> rule.getAuthorities().stream()
                                .anyMatch(may -> ("ROLE_" + role.name()).equals(may.getAuthority())))
                        .map(Role::words)
                        .collect(Collectors.joining(" or "))
                : Role.LEAD.words();
    }

    private static void write(JsonMapper json, HttpServletResponse response, Problem problem) throws IOException {
        response.setStatus(problem.getStatusCode().value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        json.writeValue(response.getOutputStream(), problem.getBody());
    }
}
