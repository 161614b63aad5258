package velvetbezel.web.shell;

import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every page but the assets and the question itself asks who is there. */
@Configuration
class WebSetup implements WebMvcConfigurer {
    private final Who who;
    private final List<HandlerMethodArgumentResolver> arguments;

    /** @param arguments what controllers may ask for beside what Spring gives */
    WebSetup(Who who, List<HandlerMethodArgumentResolver> arguments) {
        this.who = who;
        this.arguments = arguments;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(who)
                .excludePathPatterns(
                        "/who",
                        "/css/**",
                        "/js/**",
                        "/fonts/**",
                        "/webjars/**",
                        "/schemas/**",
                        "/favicon.svg",
                        "/worker.js",
                        "/offline",
                        "/sign-in",
                        "/connect",
                        "/ca.crt",
                        "/error");
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.addAll(arguments);
    }
}
