package velvetbezel.web.job;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.servlet.View;

/** The page that a change came from, once more: with what was refused and everything that was typed. */
record ShownAgain(String page, HttpStatus status, Frame.Trouble trouble, Map<String, String> entered) implements View {
    @Override
    public void render(Map<String, ?> model, HttpServletRequest request, HttpServletResponse response)
            throws ServletException, IOException {
        response.setStatus(status.value());
        JobArguments.refused(new ServletWebRequest(request), trouble, entered);
        request.getRequestDispatcher(page).forward(asked(request), response);
    }

    /** The station is asked for its page, as it is without a refusal. */
    private static HttpServletRequest asked(HttpServletRequest request) {
        return new HttpServletRequestWrapper(request) {
            @Override
            public String getMethod() {
                return "GET";
            }
        };
    }
}
