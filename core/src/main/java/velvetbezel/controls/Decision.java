package velvetbezel.controls;

import java.util.List;
import java.util.Optional;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.SettingId;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.Trait;

/**
 * What one setting of a kit is to be, and why.
 *
 * @param when           by the sheet; else a part's before power, since such devices read it then (common practice, no
 *                       source), and a radio's after
 * @param delivered      as the device comes
 * @param values         that it may have
 * @param lostWhileUnset functions that do not work with this one as delivered and the rest as decided
 */
public record Decision(
        SettingId id,
        HowSet how,
        HowSet.Moment when,
        String delivered,
        List<String> values,
        Wanted wanted,
        Ground ground,
        List<FunctionId> lostWhileUnset) {
    public Decision {
        values = List.copyOf(values);
        lostWhileUnset = List.copyOf(lostWhileUnset);
    }

    /** What it is to be. */
    public sealed interface Wanted {
        record Value(String value) implements Wanted {}

        /** Nobody knows the fact that decides it. @param candidates values that it may come to */
        record Open(Trait fact, List<String> candidates) implements Wanted {}

        /** No function tells the values apart: it stays as delivered. */
        record Either() implements Wanted {}
    }

    /** Why. */
    public sealed interface Ground {
        /** @param serves functions that no other value would serve so well */
        record FromRules(List<FunctionId> serves) implements Ground {}

        record FromFact(Trait fact, String value) implements Ground {}

        record FromPerson() implements Ground {}

        /** A button does what is wished of it. */
        record FromWish(List<FunctionId> wished) implements Ground {}

        /** A button does what its device does with it as delivered. */
        record ByDefault() implements Ground {}

        record NoneTells() implements Ground {}
    }

    /** The value that the rest is computed with; empty where the setting is open. */
    public Optional<String> value() {
        if (wanted instanceof Wanted.Value v) return Optional.of(v.value());
        return wanted instanceof Wanted.Either ? Optional.of(delivered) : Optional.empty();
    }

    /** Whether anything has to be done. */
    public boolean asDelivered() {
        return value().filter(delivered::equals).isPresent();
    }

    public boolean open() {
        return wanted instanceof Wanted.Open;
    }
}
