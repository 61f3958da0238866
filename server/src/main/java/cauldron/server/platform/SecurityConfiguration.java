package cauldron.server.platform;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;

/** Who may call what, and what every answer carries. Ownership is checked in the services. */
@Configuration
class SecurityConfiguration {

    // Radix's dialogs put a <style> into the page to hold the scroll; scripts come from here only.
    private static final String CONTENT_SECURITY_POLICY = "default-src 'none'; script-src 'self'; "
            + "style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; "
            + "worker-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    @Bean
    SecurityFilterChain security(HttpSecurity http, SecurityContextRepository contexts) throws Exception {
        return http
                .authorizeHttpRequests(r -> r
                        .requestMatchers("/api/session", "/api/join", "/api/me", "/api/openapi.json").permitAll()
                        .requestMatchers("/api/classes/**", "/api/labs/**", "/api/teaching/**").hasRole("TEACHER")
                        .requestMatchers("/api/**").authenticated()
                        .anyRequest().permitAll())
                .csrf(c -> c.spa())
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

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
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
