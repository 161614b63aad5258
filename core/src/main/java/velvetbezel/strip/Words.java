package velvetbezel.strip;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import velvetbezel.state.StateField;

/** The fields of the vehicle that a plan may have to set, each with the words that somebody asks for. */
final class Words {
    private final List<StateField> fields;
    private final List<List<String>> words = new ArrayList<>();

    Words(Tasks tasks) {
        Set<StateField> asked = new TreeSet<>();
        tasks.all().forEach(t -> asked.addAll(t.demands().keySet()));
        asked.add(StateField.KEY);
        if (tasks.dash.lever().isPresent()) {
            asked.add(StateField.GEAR);
            asked.add(StateField.PARKING_BRAKE);
        }
        for (int b = 0; b < tasks.dash.batteries(); b++) {
            asked.add(CarState.NEGATIVES.get(b));
            asked.add(CarState.POSITIVES.get(b));
        }
        fields = List.copyOf(asked);
        for (StateField f : fields) words.add(List.copyOf(wordsOf(f, tasks)));
    }

    private static Set<String> wordsOf(StateField field, Tasks tasks) {
        Set<String> of = new LinkedHashSet<>(List.of(tasks.start.word(field)));
        tasks.all().forEach(t -> of.addAll(t.demands().getOrDefault(field, Set.of())));
        if (field == StateField.KEY) tasks.dash.lever().ifPresent(l -> of.addAll(l.keyWords()));
        if (field == StateField.PARKING_BRAKE) of.add("set");
        if (field == StateField.KEY) of.add(CarState.KEY_OFF);
        if (field == StateField.GEAR && tasks.dash.parkInterlock()) of.add(CarState.PARK);
        if (field == StateField.KEY) of.remove("crank");
        if (of.isEmpty()) of.add(tasks.start.word(field));
        return of;
    }

    List<StateField> fields() {
        return fields;
    }

    int field(StateField field) {
        return fields.indexOf(field);
    }

    List<String> of(int field) {
        return words.get(field);
    }

    /** Number of a word; -1 where nobody asks for it. */
    int word(int field, String word) {
        return field < 0 ? -1 : words.get(field).indexOf(word);
    }

    /** Allowed words as bits. */
    int mask(int field, Set<String> allowed) {
        int mask = 0;
        for (int w = 0; w < words.get(field).size(); w++)
            if (allowed.contains(words.get(field).get(w))) mask |= 1 << w;
        return mask;
    }
}
