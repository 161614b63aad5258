package velvetbezel.web.shell;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** An answer that a browser saves as a file. */
public final class Download {
    private Download() {}

    public static ResponseEntity<byte[]> of(String file, MediaType type, byte[] body) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, named(file))
                .body(body);
    }

    /** The value of the header that names the file. */
    public static String named(String file) {
        return ContentDisposition.attachment().filename(file).build().toString();
    }
}
