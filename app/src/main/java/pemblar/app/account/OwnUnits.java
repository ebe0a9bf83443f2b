package pemblar.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import pemblar.app.frame.page.Units;

/** Every page of a person speaks in that person's units: they hold for the thread while it answers. */
@Configuration
class OwnUnits implements HandlerInterceptor, WebMvcConfigurer {
    private final PreferenceStore preferences;

    OwnUnits(PreferenceStore preferences) {
        this.preferences = preferences;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this)
                .excludePathPatterns("/assets/**", "/alive", "/ready", "/metrics", "/sky/**", "/device/**");
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        if (who != null && who.getPrincipal() instanceof SignedIn signedIn)
            Units.bind(preferences.of(signedIn.getViewer()));
        return true;
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception fault) {
        Units.release();
    }
}
