package velvetbezel.draft;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Plug;

/**
 * A short sheet as far as it goes while it is being typed.
 *
 * @param expansion what can be made of it
 * @param enough    of a car: whether it is enough to plan with
 * @param faces     its plugs as they can be drawn
 * @param faults    all of them, at once
 */
public record Attempt(Expansion expansion, Optional<Enough> enough, List<Plug> faces, List<InputProblem> faults) {
    public Attempt {
        faces = List.copyOf(faces);
        faults = List.copyOf(faults);
    }

    /** The tree of the sheet; not worth reading while there are faults. */
    public Map<String, Object> tree() {
        return expansion.tree();
    }
}
