package velvetbezel.web.job;

import java.util.Map;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import velvetbezel.web.shell.NotFound;

/**
 * Gives a station's controller the job of the address (<code>/jobs/{number}/…</code>), opened, and what was refused
 * where this page shows a refusal.
 */
@Component
class JobArguments implements HandlerMethodArgumentResolver {
    private static final String REFUSED = JobArguments.class.getName();
    private final JobOpener opener;

    /** @param entered what was typed and refused, by the key of its entry */
    private record Refused(Frame.Trouble trouble, Map<String, String> entered) {}

    JobArguments(JobOpener opener) {
        this.opener = opener;
    }

    /** Has the page that answers this request show what was refused. */
    static void refused(RequestAttributes request, Frame.Trouble trouble, Map<String, String> entered) {
        request.setAttribute(REFUSED, new Refused(trouble, entered), RequestAttributes.SCOPE_REQUEST);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == OpenJob.class || parameter.getParameterType() == Frame.Trouble.class;
    }

    @Override
    public Object resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binder) {
        Optional<Refused> refused =
                Optional.ofNullable((Refused) request.getAttribute(REFUSED, RequestAttributes.SCOPE_REQUEST));
        if (parameter.getParameterType() == Frame.Trouble.class)
            return refused.map(Refused::trouble).orElse(Frame.Trouble.NONE);
        OpenJob open = opener.open(number(request));
        return refused.map(r -> open.with(r.entered())).orElse(open);
    }

    private static int number(NativeWebRequest request) {
        Map<?, ?> path = (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        String number = String.valueOf(path.get("number"));
        try {
            return Integer.parseInt(number);
        } catch (NumberFormatException e) {
            throw new NotFound("No such job", "A job has a number, and \"%s\" is none. Choose one.".formatted(number));
        }
    }
}
