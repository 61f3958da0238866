package cauldron.server.platform;

import jakarta.servlet.DispatcherType;
import java.time.Clock;
import java.util.Map;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.observation.SecurityObservationSettings;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.DelegatingPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.SecurityContextRepository;

/** Who may call what, and what every answer carries. Ownership is checked in the services. */
@Configuration
@EnableJdbcHttpSession(maxInactiveIntervalInSeconds = 12 * 3600)
class SecurityConfiguration {

    private static final int CHEAPEST_HASH = 4;
    private static final int DEAREST_HASH = 16;

    // Radix's dialogs put a <style> into the page to hold the scroll; scripts come from here only.
    private static final String CONTENT_SECURITY_POLICY = "default-src 'none'; script-src 'self'; "
            + "style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; media-src blob:; "
            + "font-src 'self'; connect-src 'self'; "
            + "worker-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain security(HttpSecurity http, SecurityContextRepository contexts, CsrfTokenRepository tokens)
            throws Exception {
        return http
                .authorizeHttpRequests(r -> r
                        // What a stream writes after its request was let in.
                        .dispatcherTypeMatchers(DispatcherType.ASYNC, DispatcherType.ERROR).permitAll()
                        // Rules are tried one after the other; nearly all that is sent is a student's work.
                        .requestMatchers("/api/works/**").authenticated()
                        .requestMatchers("/api/session", "/api/join", "/api/me", "/api/enter", "/api/enter/look",
                                "/api/openapi.json", "/health").permitAll()
                        .requestMatchers("/api/admin/**").hasRole("ADMINISTRATOR")
                        .requestMatchers("/api/memberships", "/api/points").hasRole("STUDENT")
                        .requestMatchers("/api/classes/**", "/api/labs/**", "/api/drafts/**", "/api/shelf/**",
                                "/api/teaching/**").hasRole("TEACHER")
                        .requestMatchers(HttpMethod.POST, "/api/pictures").hasRole("TEACHER")
                        .requestMatchers("/api/**").authenticated()
                        .anyRequest().permitAll())
                .csrf(c -> c.spa().csrfTokenRepository(tokens))
                .securityContext(c -> c.securityContextRepository(contexts))
                .exceptionHandling(e -> e.authenticationEntryPoint(new HttpStatusEntryPoint(HttpStatus.UNAUTHORIZED)))
                .headers(h -> h
                        .contentSecurityPolicy(c -> c.policyDirectives(CONTENT_SECURITY_POLICY))
                        .referrerPolicy(p -> p.policy(org.springframework.security.web.header.writers
                                .ReferrerPolicyHeaderWriter.ReferrerPolicy.SAME_ORIGIN))
                        // Static files set their own; answers of the interface are marked by a filter below.
                        .cacheControl(c -> c.disable()))
                .requestCache(c -> c.disable())
                .logout(l -> l.disable())
                .httpBasic(b -> b.disable())
                .formLogin(f -> f.disable())
                .build();
    }

    /** A span for each of the fifteen filters of every request costs as much as what they guard. */
    @Bean
    SecurityObservationSettings observations() {
        return SecurityObservationSettings.noObservations();
    }

    /** Readable by the page, which sends it back; new at each sign-in. */
    @Bean
    CsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(c -> c.sameSite("Lax"));
        return tokens;
    }

    /** A session is read in one statement, without a transaction round it. */
    @Bean
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    /**
     * What a hashed secret costs whoever tries one: two to this power rounds of bcrypt. A secret that was kept at another
     * cost stays good.
     *
     * @param cost 4 to 16; 10 takes about 70 ms
     */
    @Bean
    PasswordEncoder passwordEncoder(@Value("${cauldron.hash-cost}") int cost) {
        if (cost < CHEAPEST_HASH || cost > DEAREST_HASH) {
            throw new IllegalArgumentException("cauldron.hash-cost is " + cost + "; it may be " + CHEAPEST_HASH + " to "
                    + DEAREST_HASH);
        }
        return new DelegatingPasswordEncoder("bcrypt", Map.of("bcrypt", new BCryptPasswordEncoder(cost)));
    }

    /** Keeps Boot from making a user of its own; signing in goes through the accounts module. */
    @Bean
    UserDetailsService noUsers() {
        return name -> {
            throw new UsernameNotFoundException(name);
        };
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
