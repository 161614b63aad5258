package velvetbezel.strip;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** Kinds of step that hazard rules speak of. */
public enum StepKind {
    SET,
    UNDO,
    LOOSEN,
    UNPLUG,
    LIFT,
    SWAP,
    PLACE,
    PLUG,
    DO_UP,
    FASTEN,
    TASK,
    TEST,
    CUT,
    END,
    OTHER;

    static StepKind of(StripStep step) {
        if (step instanceof StripStep.SetState) return SET;
        if (step instanceof StripStep.Undo) return UNDO;
        if (step instanceof StripStep.Loosen) return LOOSEN;
        if (step instanceof StripStep.Unplug) return UNPLUG;
        if (step instanceof StripStep.Lift) return LIFT;
        if (step instanceof StripStep.Exchange) return SWAP;
        if (step instanceof StripStep.PutIn) return PLACE;
        if (step instanceof StripStep.PlugIn) return PLUG;
        if (step instanceof StripStep.DoUp) return DO_UP;
        if (step instanceof StripStep.Fasten) return FASTEN;
        if (step instanceof StripStep.DoWork) return TASK;
        if (step instanceof StripStep.FunctionTest) return TEST;
        if (step instanceof StripStep.CutLead) return CUT;
        return step instanceof StripStep.End ? END : OTHER;
    }

    String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    static Optional<StepKind> find(String word) {
        return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
    }

    static String all() {
        return Arrays.stream(values()).map(StepKind::word).collect(Collectors.joining(", "));
    }
}
