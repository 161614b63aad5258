package velvetbezel.web.match;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import velvetbezel.job.Entry;
import velvetbezel.match.Filling;
import velvetbezel.match.KitDecisions;
import velvetbezel.match.KitNeed;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Words;

/** What of a kit this job does not buy, and the ways to fill a need without buying. */
final class KitDecisionsView {
    private static final List<PartKind> NO_FUNCTION_ASKS = List.of(PartKind.AMPLIFIER);
    private static final String NO_ADAPTER = "reception only where the antenna's plug fits the radio";
    private static final String BUY = "Buy one after all";
    private static final String NOT_WANTED = "None after all";

    private KitDecisionsView() {}

    /**
     * A need that is filled without buying.
     *
     * @param field which, emptied, takes the decision back
     * @param undo  what that is called
     */
    public record Decided(String need, String how, String field, String undo) {}

    /** A kind of part that may be wanted in every kit. */
    public record Also(String label, String field, String value) {}

    /** Ways to fill one need; minutes and material are typed beside them. */
    public record Ways(String need, List<Way> ways, String field, Typed minutes, Typed material) {}

    /** A field with what was typed into it. */
    public record Typed(String field, String value) {}

    /** @param note what it costs beside time, or what it means */
    public record Way(String label, String note) {}

    static List<Decided> decided(OpenJob open) {
        KitDecisions decisions = open.state().decisions();
        List<Decided> decided = new ArrayList<>();
        for (KitNeed need : KitNeed.values())
            Optional.ofNullable(decisions.filled().get(need))
                    .ifPresent(f -> decided.add(new Decided(
                            Words.sentence(need.label()), how(open, need, f), key(new Entry.NeedFilled(need)), BUY)));
        for (PartKind kind : decisions.also())
            decided.add(new Decided(
                    Words.sentence(kind.label()), "in every kit", key(new Entry.PartWanted(kind)), NOT_WANTED));
        return decided;
    }

    /** Kinds of part that no function asks for and that the library has: every kit may have one all the same. */
    static List<Also> also(OpenJob open, List<Sheet.Part> parts) {
        KitDecisions decisions = open.state().decisions();
        return NO_FUNCTION_ASKS.stream()
                .filter(k -> !decisions.also().contains(k) && parts.stream().anyMatch(p -> p.kind() == k))
                .map(k -> {
                    Entry.PartWanted entry = new Entry.PartWanted(k);
                    return new Also("With an added " + k.label(), key(entry), JobCodec.text(entry, Entry.Done.DONE));
                })
                .toList();
    }

    private static String how(OpenJob open, KitNeed need, Filling filling) {
        List<String> words = new ArrayList<>(List.of(filling.by().label()));
        filling.minutes().map(Words::minutes).ifPresent(words::add);
        filling.cents().map(c -> "material " + Words.money(c)).ifPresent(words::add);
        if (filling.by() == Filling.By.HARD_WIRED)
            open.vehicle().map(v -> Words.count(KitDecisions.cuts(v), "cut")).ifPresent(words::add);
        if (filling.by() == Filling.By.NONE && need == KitNeed.ANTENNA_ADAPTER) words.add(NO_ADAPTER);
        return String.join(", ", words);
    }

    static Ways ways(OpenJob open, KitNeed need) {
        Sheet.Vehicle vehicle = open.vehicle().orElseThrow();
        List<Way> ways = Arrays.stream(Filling.By.values())
                .filter(need::allows)
                .map(by -> new Way(by.label(), note(vehicle, need, by)))
                .toList();
        return new Ways(
                need.label(),
                ways,
                key(new Entry.NeedFilled(need)),
                typed(open, new Entry.NeedMinutes(need)),
                typed(open, new Entry.NeedMaterial(need)));
    }

    private static Typed typed(OpenJob open, Entry<?> entry) {
        return new Typed(key(entry), open.text(entry));
    }

    private static String note(Sheet.Vehicle vehicle, KitNeed need, Filling.By by) {
        return switch (by) {
            case OWN -> need == KitNeed.HARNESS ? "nothing to buy; its leads carry on the car's" : "nothing to buy";
            case MADE -> "its time and material as typed";
            case HARD_WIRED -> Words.count(KitDecisions.cuts(KitDecisions.cutOff(vehicle)), "cut") + " to the car";
            case NONE -> need == KitNeed.ANTENNA_ADAPTER ? NO_ADAPTER : "nothing holds the radio but what is there";
        };
    }
}
