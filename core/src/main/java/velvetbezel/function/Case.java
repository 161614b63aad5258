package velvetbezel.function;

import java.util.Optional;
import java.util.Set;
import velvetbezel.run.Assumption;
import velvetbezel.sheet.FieldRef;

/**
 * One way to take what nobody states.
 *
 * @param last  whether missing fields take their last value
 * @param apart a field that is taken the other way
 */
record Case(boolean last, Optional<FieldRef> apart) {
    Assumption assumption() {
        if (apart.isEmpty()) return last ? Assumption.ALL_LAST : Assumption.ALL_FIRST;
        FieldRef field = apart.get();
        return last ? (f, state) -> !f.equals(field) : (f, state) -> f.equals(field);
    }

    /** The same as far as some fields go. */
    Case within(Set<FieldRef> fields) {
        return fields.isEmpty() ? new Case(false, Optional.empty()) : new Case(last, apart.filter(fields::contains));
    }
}
