package velvetbezel.web.shell;

import java.time.Duration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.ResourceUrlEncodingFilter;
import org.springframework.web.servlet.resource.VersionResourceResolver;

/**
 * Style and fonts carry a hash of their content in their address, modules the release (they import each other by
 * relative addresses); all are kept for a year.
 */
@Configuration
class StaticFiles implements WebMvcConfigurer {
    private static final Duration YEAR = Duration.ofDays(365);
    private final Release release;

    StaticFiles(Release release) {
        this.release = release;
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        CacheControl kept = CacheControl.maxAge(YEAR).cachePublic().immutable();
        registry.addResourceHandler("/js/**")
                .addResourceLocations("classpath:/static/js/")
                .setCacheControl(kept)
                .resourceChain(true)
                .addResolver(new VersionResourceResolver().addFixedVersionStrategy(release.name(), "/**"));
        for (String folder : new String[] {"css", "fonts"})
            registry.addResourceHandler("/" + folder + "/**")
                    .addResourceLocations("classpath:/static/" + folder + "/")
                    .setCacheControl(kept)
                    .resourceChain(true)
                    .addResolver(new VersionResourceResolver().addContentVersionStrategy("/**"));
    }

    /** Writes these addresses where a template names a file. */
    @Bean
    ResourceUrlEncodingFilter addressesWithVersion() {
        return new ResourceUrlEncodingFilter();
    }
}
