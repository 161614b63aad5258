package velvetbezel.web.job;

import java.util.List;
import velvetbezel.job.Entry;

/** A photo of a job, with what it shows. */
public record PhotoLine(String href, String caption) {
    public static List<PhotoLine> of(OpenJob open) {
        return open.state().all(Entry.PhotoTaken.class).stream()
                .map(e -> new PhotoLine(
                        "/jobs/%d/photos/%s.jpg".formatted(open.job().number(), e.id()),
                        open.state().get(e).orElseThrow()))
                .toList();
    }
}
