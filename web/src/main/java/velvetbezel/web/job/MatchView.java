package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Outcome;
import velvetbezel.match.Kit;
import velvetbezel.match.Matched;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Sheet;

/** Match: every complete kit, what it costs, keeps and loses, and why the other parts are out. */
public record MatchView(Frame frame, String heading, String verdict, List<KitRow> kits, int more, List<Matched.Out> out, boolean car) {
    /** So many kits are shown at once; the best come first. */
    private static final int FIRST = 8;

    /** One line of a sum. */
    public record Item(String name, String price, String minutes) {}

    /** What becomes of a function. @param must the customer insists on it */
    public record Effect(String name, String why, String need, boolean must) {}

    /**
     * @param letter what people call it at the counter
     * @param radio  id of the radio's sheet; @param parts ids of the parts' sheets, comma-separated
     */
    public record KitRow(String letter, String radio, String parts, String name, String how, String partNames, List<Item> items, String price, String labour, int kept, int losses,
                         List<Effect> changed, List<Effect> lost, String gained, List<String> unknown, List<String> remarks, boolean chosen, boolean allowed) {}

    /** @param all every kit, not only the first ones and the chosen one */
    static MatchView of(OpenJob open, Optional<Matched> matched, boolean all, Frame.Trouble trouble) {
        List<KitRow> rows = new ArrayList<>();
        matched.ifPresent(m -> m.kits().forEach(k -> rows.add(row(open, k, rows.size()))));
        List<KitRow> shown = all ? rows : rows.stream().filter(k -> k.chosen || rows.indexOf(k) < FIRST).toList();
        return new MatchView(Frame.of(open, Station.MATCH, trouble), heading(open, rows), verdict(open, rows), shown, rows.size() - shown.size(), matched.map(Matched::out).orElse(List.of()), matched.isPresent());
    }

    private static String heading(OpenJob open, List<KitRow> rows) {
        if (open.vehicle().isEmpty()) return "Kits need a car first";
        if (rows.isEmpty()) return "No complete kit for this car";
        Optional<KitRow> chosen = rows.stream().filter(KitRow::chosen).findFirst();
        return chosen.map(k -> "Kit %s is chosen: %s, %s".formatted(k.letter, k.name, losses(k)))
            .orElseGet(() -> "%s; the best, %s, %s".formatted(Words.sentence(Words.count(rows.size(), "complete kit")), rows.get(0).name, losses(rows.get(0))));
    }

    private static String losses(KitRow k) { return k.losses == 0 ? "loses nothing" : "loses " + Words.count(k.losses, "function"); }

    private static String verdict(OpenJob open, List<KitRow> rows) {
        if (open.vehicle().isEmpty()) return "Choose the vehicle at Arrive; kits are worked out for its plugs, opening and functions.";
        if (rows.isEmpty()) return "Each part below says why it is out.";
        List<String> musts = open.catalogue().functions().stream().filter(f -> open.mustStay(f.id())).map(f -> f.name().toLowerCase(Locale.ROOT)).toList();
        long allowed = rows.stream().filter(KitRow::allowed).count();
        String cheapest = rows.stream().filter(KitRow::allowed).min(Comparator.comparingDouble(k -> Double.parseDouble(k.price)))
            .map(k -> " Cheapest%s: kit %s at %s.".formatted(musts.isEmpty() ? "" : " of them", k.letter, k.price)).orElse("");
        return (musts.isEmpty() ? "No wish is marked as a must." : "Must stay: %s. %s of %d kits keep all of it.".formatted(String.join(", ", musts), Words.sentence(Words.count((int) allowed)), rows.size())) + cheapest;
    }

    private static KitRow row(OpenJob open, Kit kit, int index) {
        List<Item> items = new ArrayList<>(List.of(new Item(kit.radio().name(), Words.money(kit.radio().priceCents()), "")));
        kit.parts().forEach(p -> items.add(new Item(p.name(), Words.money(p.priceCents()), Words.minutes(p.minutes()))));
        kit.places().forEach(a -> items.add(new Item("Way to the plug " + a.place(), "", Words.minutes(a.minutes()))));
        String parts = kit.parts().stream().map(Sheet::id).collect(Collectors.joining(","));
        List<Effect> lost = together(kit.lost().stream().map(f -> lost(open, f, (Outcome.Lost) kit.outcomes().get(f))).toList());
        int kept = (int) kit.outcomes().values().stream().filter(Outcome.Kept.class::isInstance).count();
        boolean allowed = open.catalogue().functions().stream().allMatch(f -> !open.mustStay(f.id()) || kit.working().contains(f.id()));
        return new KitRow(letter(index), kit.radio().id(), parts, kit.radio().device().name(), how(kit), kit.parts().stream().map(Sheet::name).collect(Collectors.joining(" · ")), items,
            Words.money(kit.priceCents()), Words.minutes(kit.minutes()), kept, kit.lost().size(), changed(open, kit.outcomes()), lost, String.join(", ", names(open, kit.gained())), names(open, kit.unknown()), kit.remarks(open.vehicle().orElseThrow()),
            kit.radio().id().equals(open.value(Fields.RADIO)) && parts.equals(open.value(Fields.PARTS)), allowed);
    }

    /** The three ways in which a radio is replaced (common practice). */
    private static String how(Kit kit) {
        if (kit.radio().screen()) return "a screen; the factory radio stays";
        return kit.parts().stream().anyMatch(p -> p.kind() == PartKind.DATA_MODULE) ? "replacement with data module" : "plain replacement";
    }

    private static Effect lost(OpenJob open, FunctionId f, Outcome.Lost lost) {
        return new Effect(open.functionName(f), lost.at().why(), lost.at().need().map(n -> "Would be mended by " + n.text() + ".").orElse(""), open.mustStay(f));
    }

    /** "Steering button: next" and "Steering button: previous" make one line; the first one's reason stands for them. */
    private static List<Effect> together(List<Effect> effects) {
        Map<String, Effect> lines = new LinkedHashMap<>();
        for (Effect e : effects) {
            int colon = e.name.indexOf(": ");
            String key = colon < 0 ? e.name : e.name.substring(0, colon);
            lines.merge(key, e, (a, b) -> new Effect(a.name + ", " + b.name.substring(colon + 2), a.why, a.need, a.must || b.must));
        }
        return List.copyOf(lines.values());
    }

    private static List<Effect> changed(OpenJob open, Map<FunctionId, Outcome> outcomes) {
        return outcomes.entrySet().stream().filter(e -> e.getValue() instanceof Outcome.Changed)
            .map(e -> new Effect(open.functionName(e.getKey()), String.join(", ", ((Outcome.Changed) e.getValue()).how()), "", false)).toList();
    }

    private static List<String> names(OpenJob open, List<FunctionId> functions) { return functions.stream().map(open::functionName).toList(); }

    /** A, B, … Z, AA, AB, … */
    private static String letter(int index) { return (index < 26 ? "" : letter(index / 26 - 1)) + (char) ('A' + index % 26); }
}
