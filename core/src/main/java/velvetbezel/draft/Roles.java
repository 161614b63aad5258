package velvetbezel.draft;

import java.util.List;
import velvetbezel.sheet.LeadRole;

/** Roles as the catalogue writes them. */
final class Roles {
    static final String AT_THE_RADIO = " at the radio";
    /** A lead or position of a radio or part has this role. */
    static final String LEAD = " lead";

    private Roles() {}

    /** A role as its label, whatever minus sign a file has, with the words after it; other words as they are. */
    static String label(String words) {
        for (String after : List.of(AT_THE_RADIO, LEAD))
            if (words.endsWith(after)) return label(words.substring(0, words.length() - after.length())) + after;
        return LeadRole.find(words).map(LeadRole::label).orElse(words);
    }
}
