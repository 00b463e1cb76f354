package sparen.app.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The built interface: files with a hash in their name for a year, the page itself and the core as a script asked for anew each time. Whether they
 * changed is told by what is in them: the times in an archive that is built the same everywhere are all alike.
 */
@Configuration
class StaticFiles implements WebMvcConfigurer {
    private static final Duration YEAR = Duration.ofDays(365);

    private final Map<String, String> tags = new ConcurrentHashMap<>();

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(YEAR).cachePublic().immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .setUseLastModified(false)
                .setEtagGenerator(resource -> tags.computeIfAbsent(resource.toString(), name -> tag(resource)))
                .setCacheControl(CacheControl.noCache());
    }

    private static String tag(Resource resource) {
        try {
            // A strong one would keep it from being sent compressed.
            return "W/\"" + DigestUtils.sha256Hex(resource.getContentAsByteArray()) + "\"";
        } catch (IOException e) {
            throw new UncheckedIOException(resource.toString(), e);
        }
    }
}
