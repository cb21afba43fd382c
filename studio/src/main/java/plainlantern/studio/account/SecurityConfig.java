package plainlantern.studio.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.HttpStatusEntryPoint;
import org.springframework.security.web.authentication.LoginUrlAuthenticationEntryPoint;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.util.matcher.AnyRequestMatcher;
import org.springframework.security.web.util.matcher.RequestHeaderRequestMatcher;

import static org.springframework.http.HttpStatus.UNAUTHORIZED;

/** Everything needs a sign-in but the sign-in itself; nothing is loaded from elsewhere, no script or style stands inline. */
@Configuration
public class SecurityConfig {
    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; "
            + "img-src 'self' data: blob:; connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'";
    /** bcrypt work factor: about a quarter of a second on a present-day core. */
    private static final int STRENGTH = 12;

    @Bean
    SecurityFilterChain security(HttpSecurity http) throws Exception {
        return http
                .authorizeHttpRequests(requests -> requests
                        .requestMatchers("/sign-in", "/sign-up", "/demo/enter", "/error", "/css/**", "/js/**", "/fonts/**",
                                "/vendor/**", "/webjars/**", "/mark.svg").permitAll()
                        .anyRequest().authenticated())
                .formLogin(form -> form.loginPage("/sign-in").usernameParameter("name").defaultSuccessUrl("/sheets", true)
                        .failureUrl("/sign-in?wrong"))
                .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?left"))
                // A script that lost its session gets a plain status to act on, not a page.
                .exceptionHandling(e -> e
                        .defaultAuthenticationEntryPointFor(new HttpStatusEntryPoint(UNAUTHORIZED), new RequestHeaderRequestMatcher("X-CSRF-TOKEN"))
                        .defaultAuthenticationEntryPointFor(new LoginUrlAuthenticationEntryPoint("/sign-in"), AnyRequestMatcher.INSTANCE))
                .headers(headers -> headers
                        .contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> {}))
                .build();
    }

    @Bean
    PasswordEncoder passwords() {
        return new BCryptPasswordEncoder(STRENGTH);
    }

    @Bean
    UserDetailsService members(AccountStore accounts) {
        return name -> accounts.find(name).orElseThrow(() -> new UsernameNotFoundException(name));
    }

    @Bean
    SecurityContextRepository securityContexts() {
        return new HttpSessionSecurityContextRepository();
    }
}
