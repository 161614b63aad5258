package velvetbezel.web.job;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.View;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.store.Photos;
import velvetbezel.web.shell.NotFound;
import velvetbezel.web.shell.Who;

/** Photos of a job: taken in from a phone's camera, and shown. */
@Controller
class PhotoController {
    private static final String DATA = "data:image/jpeg;base64,";
    private final Changes changes;
    private final Photos photos;

    PhotoController(Changes changes, Photos photos) {
        this.changes = changes;
        this.photos = photos;
    }

    /**
     * @param data    the picture as the browser resized it, as a data address
     * @param file    the same without scripts
     * @param caption what it shows
     * @param change  names it: sent twice, it is one photo
     */
    @PostMapping("/jobs/{number}/photo")
    View take(
            OpenJob open,
            @RequestParam long seen,
            @RequestParam String back,
            @RequestParam(defaultValue = "") String data,
            @RequestParam Optional<MultipartFile> file,
            @RequestParam(defaultValue = "") String caption,
            @RequestParam(defaultValue = "") String change,
            @RequestHeader(name = ChangeAnswer.QUEUE, defaultValue = "") String queue,
            Who.Person who,
            HttpServletResponse response) {
        ChangeAnswer answer = ChangeAnswer.of(open, back, queue, response);
        return answer.to(Map.of(), () -> {
            UUID id = queue.isEmpty() ? UUID.randomUUID() : named(change);
            photos.keep(open.job().id(), id, jpeg(data, file));
            String said = caption.isBlank() ? "photo" : caption.strip();
            changes.change(
                    open,
                    ChangeAnswer.sender(who, change, Map.of("photo", id.toString())),
                    seen,
                    List.of(Change.set(new Entry.PhotoTaken(id), said.substring(0, Math.min(200, said.length())))));
        });
    }

    private static UUID named(String change) {
        try {
            return UUID.fromString(change);
        } catch (IllegalArgumentException e) {
            throw new InvalidInput(
                    "photo", "came without a name of its own; load the page again and send it once more.");
        }
    }

    private static byte[] jpeg(String data, Optional<MultipartFile> file) {
        try {
            if (data.startsWith(DATA)) return Base64.getDecoder().decode(data.substring(DATA.length()));
            return file.isPresent() ? file.get().getBytes() : new byte[0];
        } catch (IllegalArgumentException | IOException e) {
            throw new InvalidInput("photo", "was damaged on the way. Take it again.");
        }
    }

    @GetMapping("/jobs/{number}/photos/{id}.jpg")
    ResponseEntity<byte[]> show(OpenJob open, @PathVariable String id) {
        Optional<byte[]> found =
                id.matches("[0-9a-f-]{36}") ? photos.find(open.job().id(), UUID.fromString(id)) : Optional.empty();
        byte[] jpeg = found.orElseThrow(() -> new NotFound(
                "No such photo",
                "Job %d has no photo of this name.".formatted(open.job().number())));
        return ResponseEntity.ok().contentType(MediaType.IMAGE_JPEG).body(jpeg);
    }
}
