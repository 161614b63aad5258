package velvetbezel.web.shell;

import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every page but the files and the question itself asks who is there; every form has its token. */
@Configuration
class WebSetup implements WebMvcConfigurer {
    private static final String[] FILES = {
        "/css/**", "/js/**", "/fonts/**", "/webjars/**", "/schemas/**", "/favicon.svg", "/worker.js", "/ca.crt"
    };
    private final Who who;
    private final FormToken token;
    private final List<HandlerMethodArgumentResolver> arguments;

    /** @param arguments what controllers may ask for beside what Spring gives */
    WebSetup(Who who, FormToken token, List<HandlerMethodArgumentResolver> arguments) {
        this.who = who;
        this.token = token;
        this.arguments = arguments;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(token).excludePathPatterns(FILES);
        registry.addInterceptor(who)
                .excludePathPatterns(FILES)
                .excludePathPatterns("/who", "/offline", "/sign-in", "/connect", "/error");
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.addAll(arguments);
    }
}
