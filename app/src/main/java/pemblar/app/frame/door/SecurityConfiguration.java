package pemblar.app.frame.door;

import java.time.InstantSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.context.DelegatingSecurityContextRepository;
import org.springframework.security.web.context.RequestAttributeSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextHolderFilter;
import org.springframework.security.web.firewall.StrictHttpFirewall;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import pemblar.app.frame.OnceClaims;
import pemblar.app.frame.OnceFilter;
import pemblar.app.frame.page.Assets;

/** Who gets in, and what a page may load: nothing from elsewhere, no inline script. */
@Configuration
class SecurityConfiguration {
    private static final String CONTENT =
            "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; "
                    + "connect-src 'self'; manifest-src 'self'; worker-src 'self'; form-action 'self'; "
                    + "base-uri 'none'; frame-ancestors 'none'";

    /** No page asks for a camera, a microphone or a place; none that got in by mistake may. */
    private static final String NOTHING_OF_THE_DEVICE = "accelerometer=(), bluetooth=(), camera=(), display-capture=(),"
            + " geolocation=(), gyroscope=(), hid=(), magnetometer=(), microphone=(), midi=(), payment=(), serial=(),"
            + " usb=()";

    @Bean
    PasswordEncoder passwords() {
        return PasswordEncoderFactories.createDelegatingPasswordEncoder();
    }

    /** A NUL is in no word that anybody types, and the database cannot hold it. */
    @Bean
    StrictHttpFirewall firewall() {
        StrictHttpFirewall firewall = new StrictHttpFirewall();
        firewall.setAllowedParameterValues(value -> value == null || value.indexOf(0) < 0);
        firewall.setAllowedParameterNames(name -> name.indexOf(0) < 0);
        return firewall;
    }

    @Bean
    SecurityFilterChain chain(HttpSecurity http, Limits limits, OnceClaims claims, InstantSource clock)
            throws Exception {
        http.authorizeHttpRequests(requests -> requests.requestMatchers(
                        "/sign-in",
                        "/sign-up",
                        "/forgot",
                        "/reset/*",
                        "/alive",
                        "/ready",
                        "/metrics",
                        "/worker.js",
                        "/manifest.json",
                        "/webjars/**",
                        "/fonts/**",
                        "/frame/**",
                        Assets.PATHS,
                        "/*/*.css",
                        "/error",
                        "/device/**",
                        "/sky/hours",
                        "/calendar/**")
                .permitAll()
                .requestMatchers(CodeDue.PAGE)
                .authenticated()
                .anyRequest()
                .access(CodeDue.wholly()));
        http.exceptionHandling(denied -> denied.accessDeniedHandler(new CodeDue.Ask()));
        // Devices carry a token of their own and no cookie, so there is nothing to forge.
        http.csrf(csrf -> csrf.ignoringRequestMatchers("/device/**"));
        http.formLogin(form -> form.loginPage("/sign-in").defaultSuccessUrl("/", false));
        http.logout(logout -> logout.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"));
        http.headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT))
                .referrerPolicy(policy -> policy.policy(ReferrerPolicy.SAME_ORIGIN))
                .crossOriginOpenerPolicy(policy -> policy.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                .crossOriginResourcePolicy(policy -> policy.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
                .permissionsPolicyHeader(policy -> policy.policy(NOTHING_OF_THE_DEVICE)));
        http.securityContext(context -> context.securityContextRepository(new DelegatingSecurityContextRepository(
                new RequestAttributeSecurityContextRepository(), new LongestSession(clock))));
        http.addFilterAfter(new BodyLimit(), SecurityContextHolderFilter.class);
        http.addFilterBefore(new SignInLimit(limits), UsernamePasswordAuthenticationFilter.class);
        http.addFilterAfter(new OnceFilter(claims), AuthorizationFilter.class);
        return http.build();
    }
}
