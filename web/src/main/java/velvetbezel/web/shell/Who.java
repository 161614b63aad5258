package velvetbezel.web.shell;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.WebUtils;
import velvetbezel.store.Jobs;

/**
 * Who is at the bench: a name picked from a list and kept in a cookie, so that the log can say who did what.
 * No password yet; the cookie is not sent along from other sites.
 */
@Component
public class Who implements HandlerInterceptor, HandlerMethodArgumentResolver {
    static final String COOKIE = "person";
    private static final String DEVICE = "device";
    private static final Duration DEVICE_KEPT = Duration.ofDays(3650);
    private static final String ATTRIBUTE = "who";
    private static final Duration KEPT = Duration.ofDays(30);
    private final Jobs jobs;

    /** The person of this request. @param device named at its first page; empty text until then */
    public record Person(String id, String name, String device) {}

    Who(Jobs jobs) {
        this.jobs = jobs;
    }

    List<velvetbezel.store.Person> people() {
        return jobs.people();
    }

    ResponseCookie cookie(String id) {
        return ResponseCookie.from(COOKIE, id)
                .path("/")
                .maxAge(KEPT)
                .httpOnly(true)
                .sameSite("Lax")
                .build();
    }

    /** What a browser sent under a cookie's name. */
    public static Optional<String> sent(HttpServletRequest request, String cookie) {
        return Optional.ofNullable(WebUtils.getCookie(request, cookie)).map(Cookie::getValue);
    }

    private Optional<Person> of(HttpServletRequest request) {
        String device =
                sent(request, DEVICE).filter(d -> d.matches("[0-9a-f-]{36}")).orElse("");
        return sent(request, COOKIE)
                .flatMap(id -> people().stream().filter(p -> p.id().equals(id)).findFirst())
                .map(p -> new Person(p.id(), p.name(), device));
    }

    private static ResponseCookie newDevice() {
        return ResponseCookie.from(DEVICE, UUID.randomUUID().toString())
                .path("/")
                .maxAge(DEVICE_KEPT)
                .httpOnly(true)
                .sameSite("Lax")
                .build();
    }

    /** Without a name there is one question first, and then the page that was asked for. */
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
            throws IOException {
        Optional<Person> person = of(request);
        if (person.isPresent()) {
            request.setAttribute(ATTRIBUTE, person.get());
            if (person.get().device().isEmpty())
                response.addHeader(HttpHeaders.SET_COOKIE, newDevice().toString());
            return true;
        }
        String back = request.getMethod().equals("GET") ? Addresses.asked(request) : "/jobs";
        response.sendRedirect("/who?back=" + Addresses.encoded(back));
        return false;
    }

    /** Every page shows who is working. */
    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, ModelAndView page) {
        if (page != null && page.getViewName() != null && !page.getViewName().startsWith("redirect:"))
            page.addObject(ATTRIBUTE, request.getAttribute(ATTRIBUTE));
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Person.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binder) {
        return request.getAttribute(ATTRIBUTE, NativeWebRequest.SCOPE_REQUEST);
    }
}
