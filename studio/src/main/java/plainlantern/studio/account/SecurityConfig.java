package plainlantern.studio.account;

import static org.springframework.http.HttpStatus.UNAUTHORIZED;

import jakarta.servlet.http.HttpServletRequest;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.security.authentication.AuthenticationManager;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.ProviderManager;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.savedrequest.NullRequestCache;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;

/**
 * Everything needs a sign-in but the sign-in itself; nothing is loaded from elsewhere, no script or style stands inline; nothing is stored
 * for strangers.
 */
@Configuration
public class SecurityConfig {
    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; "
            + "img-src 'self' data: blob:; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";

    /** What every page loads asks for no session, so that it comes without the database. */
    @Bean
    @Order(0)
    SecurityFilterChain files(HttpSecurity http) throws Exception {
        return http.securityMatcher("/css/**", "/js/**", "/kept/**", "/fonts/**", "/vendor/**", "/webjars/**", "/mark.svg")
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .securityContext(AbstractHttpConfigurer::disable).sessionManagement(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable).anonymous(AbstractHttpConfigurer::disable)
                        .csrf(AbstractHttpConfigurer::disable)
                .headers(SecurityConfig::headers).build();
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests
                        .requestMatchers("/sign-in", "/sign-up", "/demo/enter", "/error", "/proof/**").permitAll()
                        .anyRequest().authenticated())
                .formLogin(form -> form.loginPage("/sign-in").usernameParameter("name").defaultSuccessUrl("/sheets", true)
                        .failureHandler(failed()))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?left"))
                .requestCache(cache -> cache.requestCache(new NullRequestCache()))
                .csrf(csrf -> csrf.csrfTokenRepository(new CsrfTokens()))
                // A script that lost its session gets a plain status to act on, not a page.
                .exceptionHandling(e -> e
                        .accessDeniedHandler((request, response, refused) -> {
                            SecurityLog.refused(refused.getClass().getSimpleName(), request.getMethod(), request.getRequestURI(),
                                    account(request), request.getRemoteAddr());
                            response.sendError(HttpStatus.FORBIDDEN.value());
                        })
                        .defaultAuthenticationEntryPointFor(new HttpStatusEntryPoint(UNAUTHORIZED),
                                new RequestHeaderRequestMatcher("X-CSRF-TOKEN"))
                        .defaultAuthenticationEntryPointFor(new LoginUrlAuthenticationEntryPoint("/sign-in"), AnyRequestMatcher.INSTANCE))
                .headers(SecurityConfig::headers)
                .build();
    }

    private static void headers(HeadersConfigurer<HttpSecurity> headers) {
        headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY)).referrerPolicy(referrer -> {});
    }

    private static String account(HttpServletRequest request) {
        return request.getUserPrincipal() == null ? "none" : request.getUserPrincipal().getName();
    }

    private static AuthenticationFailureHandler failed() {
        return (request, response, problem) -> {
            if (problem instanceof LockedException) response.sendError(HttpStatus.TOO_MANY_REQUESTS.value());
            else response.sendRedirect("/sign-in?wrong");
        };
    }

    /** @param strength bcrypt's work factor: 12 is about a quarter of a second on a present-day core, each one more twice as long */
    @Bean
    PasswordEncoder passwordEncoder(@Value("${lantern.password-strength:12}") int strength) {
        return new BCryptPasswordEncoder(strength);
    }

    @Bean
    AuthenticationManager authentication(Door door) {
        return new ProviderManager(door);
    }

    @Bean
    SecurityContextRepository securityContexts() {
        return new HttpSessionSecurityContextRepository();
    }
}
