package velvetbezel.web.shell;

import jakarta.servlet.http.HttpServletResponse;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.FullDisk;

/** What a person asked for and cannot have, said in words. Our own bugs go to the error page without a trace. */
@ControllerAdvice
class ErrorPages {
    @ExceptionHandler(NotFound.class)
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String notFound(NotFound e, Model model) {
        return say(model, e.title(), e.getMessage());
    }

    @ExceptionHandler(InvalidInput.class)
    @ResponseStatus(HttpStatus.UNPROCESSABLE_CONTENT)
    String invalid(InvalidInput e, Model model) {
        return say(model, "That cannot be done", e.getMessage());
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String tooLarge(Model model) {
        return say(
                model,
                "The file is too large",
                "At most 60 MB can be sent at once. Choose a smaller file; nothing was imported.");
    }

    @ExceptionHandler({
        MissingServletRequestParameterException.class,
        MissingServletRequestPartException.class,
        MethodArgumentTypeMismatchException.class
    })
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String malformed(Exception e, Model model) {
        return say(
                model,
                "The request was not understood",
                "A field was missing or no number. Go back, load the page again and repeat the step.");
    }

    @ExceptionHandler(MultipartException.class)
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String brokenUpload(Model model) {
        return say(
                model,
                "The file did not arrive whole",
                "What was sent broke off or is no upload; nothing was imported. Go back, choose the file again and send it once more.");
    }

    @ExceptionHandler(DataAccessException.class)
    String database(DataAccessException e, Model model, HttpServletResponse response) {
        if (FullDisk.behind(e)) {
            response.setStatus(HttpStatus.INSUFFICIENT_STORAGE.value());
            return say(
                    model,
                    "The disk is full",
                    "Nothing was saved; what was saved before is safe. Make room on the disk where ./start keeps its data, then repeat the step.");
        }
        if (!(e instanceof DataAccessResourceFailureException)) throw e;
        response.setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
        return say(
                model,
                "The database does not answer",
                "What was saved before is safe. Wait a few seconds and load the page again; if it stays so, stop the app with ctrl-C and run ./start.");
    }

    private static String say(Model model, String title, String message) {
        model.addAttribute("title", title);
        model.addAttribute("message", message);
        return "shell/refused";
    }
}
