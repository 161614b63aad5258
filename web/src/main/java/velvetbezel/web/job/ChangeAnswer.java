package velvetbezel.web.job;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.view.RedirectView;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Sender;
import velvetbezel.store.StaleEdit;
import velvetbezel.web.shell.Who;

/**
 * What a browser is answered to a change: the page it came from, with what follows or with why it was refused. A
 * browser's queue says so, and is told what became of its change: "taken" or "refused".
 */
public record ChangeAnswer(OpenJob open, String page, boolean queued, HttpServletResponse response) {
    public static final String QUEUE = "X-Queue";
    private static final String OUTCOME = "X-Change";

    /** @param back the page to return to, within this job */
    public static ChangeAnswer of(OpenJob open, String back, String queue, HttpServletResponse response) {
        return new ChangeAnswer(open, JobController.within(open, back), !queue.isEmpty(), response);
    }

    /** @param typed shown again where the change is refused */
    public View to(Map<String, String> typed, Runnable change) {
        response.setHeader(OUTCOME, "refused");
        try {
            change.run();
            response.setHeader(OUTCOME, "taken");
            return queued ? new ShownAgain(page, HttpStatus.OK, Frame.Trouble.NONE, Map.of()) : new RedirectView(page);
        } catch (InvalidInput e) {
            return new ShownAgain(page, HttpStatus.UNPROCESSABLE_CONTENT, trouble(e.faults()), typed);
        } catch (Changes.OtherDesign e) {
            return new ShownAgain(page, HttpStatus.CONFLICT, trouble(e.faults()), Map.of());
        } catch (StaleEdit e) {
            Frame.Trouble trouble = new Frame.Trouble(Map.of(), Optional.of(Frame.Stale.of(e, open)));
            return new ShownAgain(page, HttpStatus.CONFLICT, trouble, Map.of());
        }
    }

    /** A page has one name for what is sent from it: with other content it is another change. */
    public static Sender sender(Who.Person who, String change, Map<String, String> typed) {
        Optional<String> name =
                change.matches("[0-9a-f-]{36}") ? Optional.of(change + "/" + typed.hashCode()) : Optional.empty();
        return new Sender(who.name(), who.device(), name);
    }

    private static Frame.Trouble trouble(List<InputProblem> problems) {
        Map<String, String> byField = new LinkedHashMap<>();
        for (InputProblem p : problems) byField.merge(p.field(), p.message(), (a, b) -> a + " " + b);
        return new Frame.Trouble(byField, Optional.empty());
    }
}
