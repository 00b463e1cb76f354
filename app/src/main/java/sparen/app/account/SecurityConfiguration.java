package sparen.app.account;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import sparen.app.right.Role;

/** Who reaches what, and the headers every answer carries. */
@Configuration
class SecurityConfiguration {
    private static final String CONTENT_POLICY =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:;"
                    + " font-src 'self'; connect-src 'self'; manifest-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
    private static final int BCRYPT_STRENGTH = 11;

    @Bean
    SecurityFilterChain security(
            HttpSecurity http, SecurityContextRepository contexts, Accounts accounts, ApiTokens tokens, Clock clock) {
        return http.authorizeHttpRequests(requests -> requests.requestMatchers(
                                "/api/session", "/api/one-time-links/**", "/api/calendar/*", "/api/along/*")
                        .permitAll()
                        // Who may do what there, each operation says: Access looks at it.
                        .requestMatchers("/api/**", "/v3/api-docs")
                        .authenticated()
                        .requestMatchers("/actuator/prometheus")
                        .hasRole(Role.ADMINISTRATOR.name())
                        .requestMatchers(
                                "/actuator/health/**",
                                "/",
                                "/index.html",
                                "/assets/**",
                                "/schema/**",
                                "/engine/**",
                                "/favicon.svg",
                                "/sw.js",
                                "/manifest.webmanifest",
                                "/error")
                        .permitAll()
                        .anyRequest()
                        .denyAll())
                .csrf(csrf -> csrf.spa().ignoringRequestMatchers(CurrentAccount::hasToken))
                .addFilterBefore(new CurrentAccount(accounts, tokens, clock), AnonymousAuthenticationFilter.class)
                .securityContext(context -> context.securityContextRepository(contexts))
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .exceptionHandling(handling -> handling.authenticationEntryPoint((request, response, missing) -> write(
                                response,
                                HttpServletResponse.SC_UNAUTHORIZED,
                                "signed-out",
                                "Sign in first, or with a token that holds."))
                        .accessDeniedHandler((request, response, denied) -> write(
                                response,
                                HttpServletResponse.SC_FORBIDDEN,
                                "not-allowed",
                                "Your account may not do this, or the page is out of date: reload it.")))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(policy -> policy.policy(ReferrerPolicy.NO_REFERRER))
                        .permissionsPolicyHeader(
                                policy -> policy.policy("camera=(), microphone=(), geolocation=(), payment=()")))
                .build();
    }

    private static void write(HttpServletResponse response, int status, String kind, String detail) throws IOException {
        response.setStatus(status);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getWriter()
                .write("{\"type\":\"urn:sparen:problem:" + kind + "\",\"status\":" + status + ",\"detail\":\"" + detail
                        + "\"}");
    }

    @Bean
    AuthenticationManager authenticationManager(Accounts accounts, PasswordEncoder encoder) {
        DaoAuthenticationProvider provider = new DaoAuthenticationProvider(accounts);
        provider.setPasswordEncoder(encoder);
        return new ProviderManager(provider);
    }

    @Bean
    PasswordEncoder passwordEncoder() {
        return new BCryptPasswordEncoder(BCRYPT_STRENGTH);
    }

    @Bean
    SecurityContextRepository securityContextRepository() {
        return new HttpSessionSecurityContextRepository();
    }
}
