package velvetbezel.web.shell;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** What a browser needs to work without a connection: the worker that keeps pages, and the page for what it lacks. */
@Controller
class OfflineController {
    private static final String WORKER = "static/js/worker.js";
    private final Release release;

    OfflineController(Release release) {
        this.release = release;
    }

    /** At the root, so that it serves every page; named by release, so that a new build brings a new one. */
    @GetMapping("/worker.js")
    ResponseEntity<String> worker() throws IOException {
        String code = new ClassPathResource(WORKER).getContentAsString(StandardCharsets.UTF_8);
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "javascript", StandardCharsets.UTF_8))
                .cacheControl(CacheControl.noCache())
                .body("const RELEASE = '%s';%nconst FILES = ['%s'];%n%s"
                        .formatted(release.name(), String.join("', '", release.modules()), code));
    }

    @GetMapping("/offline")
    String offline() {
        return "shell/offline";
    }
}
