package velvetbezel.fit;

/** What may be done about something in the way. */
public sealed interface Remedy {
    /** @param carries what needs a new place then; an empty text where nothing does */
    record Unscrew(String fasteners, double minutes, String carries) implements Remedy {}

    record MoveAside(double by) implements Remedy {}

    /** Part of it goes, the rest stays. @param words how, as the sheet that allows it says */
    record Trim(String words) implements Remedy {}

    record CutOff(String words) implements Remedy {}

    /** It stays. @param of what it bears, or how far it moves */
    record Refused(Reason reason, String of) implements Remedy {
        public enum Reason {
            /** It holds something up. */
            BEARS,
            /** No sheet of this kit or car names it for cutting. */
            NO_LICENCE,
            /** It moves, but not so far. */
            MOVES_TOO_LITTLE,
            /** The sheet says never. */
            NEVER
        }
    }
}
