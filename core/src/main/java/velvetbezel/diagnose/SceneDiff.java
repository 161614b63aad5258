package velvetbezel.diagnose;

import java.util.Comparator;

/**
 * One thing that a person perceives otherwise than where nothing is wrong.
 *
 * @param scene step of the function's scenario, from 0
 * @param what  signal or text
 * @param where device at which it is, or is missing; several by commas
 */
public record SceneDiff(int scene, Kind kind, String what, String where) implements Comparable<SceneDiff> {
    /** In which way. */
    public enum Kind {
        MISSING,
        FROM_ELSEWHERE,
        /** Two speakers play against each other: the bass is thin. */
        THIN,
        FAINTER,
        LOUDER,
        NOISY,
        NOT_SHOWN,
        SHOWN_INSTEAD
    }

    @Override
    public int compareTo(SceneDiff o) {
        return Comparator.comparingInt(SceneDiff::scene)
                .thenComparing(SceneDiff::kind)
                .thenComparing(SceneDiff::what)
                .thenComparing(SceneDiff::where)
                .compare(this, o);
    }
}
