package velvetbezel.web.prove;

import java.util.List;
import java.util.Map;

/**
 * The one next thing to do.
 *
 * @param how     what to do
 * @param answers as buttons
 * @param probe   field of a reading; empty for anything else
 * @param example what is typed there, such as "12.4 V"
 * @param shown   what the page shows of the design, for each field
 * @param deeds   what was done about it, as buttons
 */
record Ask(
        String title,
        String how,
        String why,
        List<Answer> answers,
        String probe,
        String example,
        Map<String, String> shown,
        List<Deed> deeds) {

    /** @param next whether it is the expected one */
    record Answer(String field, String value, String words, boolean next) {}

    /**
     * Something that was done, with all that follows from it.
     *
     * @param path below the page of the search
     * @param with what is sent
     */
    record Deed(String path, Map<String, String> with, String words) {}
}
