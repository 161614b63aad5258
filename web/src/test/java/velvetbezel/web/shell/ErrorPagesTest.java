package velvetbezel.web.shell;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;

import jakarta.servlet.http.HttpServletResponse;
import java.sql.SQLException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.ui.ConcurrentModel;

class ErrorPagesTest {
    private final HttpServletResponse response = mock(HttpServletResponse.class);
    private final ConcurrentModel model = new ConcurrentModel();

    @Test
    void fullDiskSaysSo() {
        SQLException full = new SQLException("could not extend file: No space left on device", "53100");
        new ErrorPages().database(new DataAccessResourceFailureException("", full), model, response);
        verify(response).setStatus(507);
        assertEquals("The disk is full", model.getAttribute("title"));
    }

    @Test
    void silentDatabaseSaysThatWhatWasSavedIsSafe() {
        SQLException gone = new SQLException("Connection refused", "08001");
        new ErrorPages().database(new DataAccessResourceFailureException("", gone), model, response);
        verify(response).setStatus(503);
    }

    @Test
    void mistakeOfOursIsNotPassedOffAsTheDatabases() {
        DuplicateKeyException ours = new DuplicateKeyException("", new SQLException("duplicate key", "23505"));
        assertThrows(DuplicateKeyException.class, () -> new ErrorPages().database(ours, model, response));
    }
}
