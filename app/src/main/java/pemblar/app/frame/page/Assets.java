package pemblar.app.frame.page;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Styles, scripts and fonts under an address that carries a hash of them all, so that they may be kept for a year and
 * are fetched anew after an upgrade. Scripts name each other, and sheets their fonts, by relative addresses: those stay
 * under the same hash.
 */
@Component
public class Assets extends OncePerRequestFilter implements WebMvcConfigurer {
    public static final String PATHS = "/s/**";
    private static final int HASH_DIGITS = 12;
    private static final String[] FOLDERS = {"classpath:/static/", "classpath:/META-INF/resources/"};
    private final String prefix;
    private final Places places;

    Assets() throws IOException, NoSuchAlgorithmException {
        prefix = "/s/" + hash();
        places = new Places(prefix);
    }

    private static String hash() throws IOException, NoSuchAlgorithmException {
        MessageDigest digest = MessageDigest.getInstance("SHA-256");
        Resource[] files = new PathMatchingResourcePatternResolver().getResources("classpath:/static/**/*.*");
        Arrays.sort(files, Comparator.comparing(file -> String.valueOf(file.getFilename())));
        for (Resource file : files) {
            if (!file.isReadable()) continue;
            try (InputStream in = new DigestInputStream(file.getInputStream(), digest)) {
                in.transferTo(java.io.OutputStream.nullOutputStream());
            }
        }
        return HexFormat.of().formatHex(digest.digest()).substring(0, HASH_DIGITS);
    }

    /**
     * Every page, an error's too, finds the beginning of these addresses as {@code assets}; what stands on top,
     * {@code places}.
     */
    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        request.setAttribute("assets", prefix);
        request.setAttribute("places", places);
        chain.doFilter(request, response);
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler(prefix + "/**")
                .addResourceLocations(FOLDERS)
                .setCacheControl(
                        CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
    }
}
