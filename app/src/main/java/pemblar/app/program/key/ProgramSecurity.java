package pemblar.app.program.key;

import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.web.filter.ShallowEtagHeaderFilter;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import pemblar.app.frame.door.Limits;
import pemblar.app.program.ButDescription;

/** Programs come with a token and nothing else: no cookie, so nothing to forge, and no session. */
@Configuration
public class ProgramSecurity implements WebMvcConfigurer {
    public static final String DESCRIPTION = "/api/v1/openapi.json";
    private static final String ALL = "/api/**";

    @Bean
    @Order(1)
    SecurityFilterChain programs(HttpSecurity http, TokenStore tokens, Limits limits) throws Exception {
        http.securityMatcher(ALL)
                .authorizeHttpRequests(requests -> requests.anyRequest().permitAll());
        http.csrf(csrf -> csrf.disable());
        http.sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.STATELESS));
        http.requestCache(cache -> cache.disable());
        http.headers(headers -> headers.contentSecurityPolicy(
                policy -> policy.policyDirectives("default-src 'none'; frame-ancestors 'none'")));
        http.addFilterBefore(new ButDescription(new TokenFilter(tokens, limits)), AuthorizationFilter.class);
        return http.build();
    }

    /** Answers that did not change are not sent again. */
    @Bean
    FilterRegistrationBean<ShallowEtagHeaderFilter> unchangedAnswers() {
        FilterRegistrationBean<ShallowEtagHeaderFilter> filter =
                new FilterRegistrationBean<>(new ShallowEtagHeaderFilter());
        filter.addUrlPatterns("/api/v1/*");
        return filter;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new MayGate()).addPathPatterns(ALL).excludePathPatterns(DESCRIPTION);
    }
}
