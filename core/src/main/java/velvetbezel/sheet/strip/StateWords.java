package velvetbezel.sheet.strip;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import velvetbezel.state.StateField;

/** What must be true of the vehicle, as people type it: "key accessory or run". */
final class StateWords {
    private StateWords() {}

    /** Puts it under a name of an entry; false where the text is no field with its words. */
    @SuppressWarnings("unchecked") // only maps are put under this name
    static boolean put(String text, Map<String, Object> entry, String name) {
        for (StateField f : StateField.values()) {
            if (f.kind() != StateField.Kind.WORD || !text.startsWith(f.label() + " ")) continue;
            List<String> words = List.of(text.substring(f.label().length() + 1).split(" or "));
            if (!f.words().containsAll(words)) continue;
            ((Map<String, Object>) entry.computeIfAbsent(name, n -> new LinkedHashMap<String, Object>()))
                    .put(f.label(), words);
            return true;
        }
        return false;
    }
}
