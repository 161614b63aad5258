package velvetbezel.strip;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.stream.Collectors;
import velvetbezel.sheet.strip.Battery;
import velvetbezel.sheet.strip.ConnectorOf;
import velvetbezel.sheet.strip.DashItem;
import velvetbezel.sheet.strip.FastenerGroup;
import velvetbezel.sheet.strip.GroupOf;
import velvetbezel.sheet.strip.Lever;
import velvetbezel.state.StateField;

/** What the places in the sentences of hazard rules stand for at one moment. */
final class Sayings {
    private static final Map<String, Function<Moment, String>> PLACES = Map.ofEntries(
            Map.entry("act", Sayings::act),
            Map.entry("item", m -> m.item().map(i -> i.id().name()).orElse("")),
            Map.entry("open airbag", m -> list(m.openAirbags())),
            Map.entry("open", m -> list(m.open())),
            Map.entry("open plugs", m -> m.item().map(i -> list(m.plugsOff(i))).orElse("")),
            Map.entry("left plugs", m -> m.item().map(i -> list(m.plugsOn(i))).orElse("")),
            Map.entry("live", Sayings::live),
            Map.entry(
                    "lever key",
                    m -> m.dash.lever().map(l -> words(l.keyWords())).orElse("run")),
            Map.entry("pinned", m -> m.pinned().map(Object::toString).orElse("")),
            Map.entry("power left", m -> list(or(m.worksOfThisPlug(), m.powerWorksLeft()))),
            Map.entry("left", m -> m.item().map(i -> fasteners(m, i)).orElse("")),
            Map.entry("cover", m -> m.cover().map(Object::toString).orElse("")),
            Map.entry("clear", Sayings::clear),
            Map.entry("clear way", Sayings::clearWay),
            Map.entry("electric why", m -> m.item().flatMap(m::electricWhy).orElse("")),
            Map.entry("electric way", Sayings::electricWay),
            Map.entry("owner", m -> m.connector()
                    .map(c -> c.id().item().name())
                    .orElseGet(() -> m.item().map(i -> i.id().name()).orElse(""))),
            Map.entry("buried", m -> list(m.buried())),
            Map.entry("left state", Sayings::leftState),
            Map.entry("drop", m -> groups(m.mayDrop())),
            Map.entry("breakable", m -> m.item().map(i -> list(i.breaks())).orElse("")),
            Map.entry("unsure", m -> m.item().map(i -> groups(m.unsure(i))).orElse("")),
            Map.entry("not home", m -> list(m.notHome())),
            Map.entry("tray", m -> m.left().map(g -> tray(m, g)).orElse("")),
            Map.entry("tray way", m -> m.left().map(g -> trayWay(m, g)).orElse("")),
            Map.entry("task", m -> m.work().map(w -> w.id()).orElse("")),
            Map.entry("after", m -> list(m.tooSoon())),
            Map.entry("task open", m -> m.closedFor().map(Object::toString).orElse("")),
            Map.entry("task needs", m -> list(m.lacking())),
            Map.entry("waits for", m -> list(m.waitsFor())),
            Map.entry("pop-up", m -> m.popUp().map(p -> p.what()).orElse("")),
            Map.entry("pop-up caution", m -> m.popUp().map(p -> p.caution()).orElse("")),
            Map.entry("past lever", m -> list(m.leverNeededBy())),
            Map.entry(
                    "battery cover", m -> m.batteryCover().map(Object::toString).orElse("")),
            Map.entry("battery", m -> m.shutIn().map(Battery::id).orElse("")),
            Map.entry("wait", Sayings::wait));

    private Sayings() {}

    static boolean known(String place) {
        return PLACES.containsKey(place);
    }

    /** What each place of a rule stands for. */
    static Map<String, String> of(HazardRule rule, Moment moment) {
        Map<String, String> of = new HashMap<>();
        for (String place : rule.places()) of.put(place, PLACES.get(place).apply(moment));
        return of;
    }

    private static String list(Collection<?> names) {
        return names.stream().map(Sayings::name).collect(Collectors.joining(", "));
    }

    /** "airbag lamp of panel". */
    private static String name(Object of) {
        return of instanceof ConnectorOf c ? c.name() + " of " + c.item() : of.toString();
    }

    private static List<String> or(List<String> first, List<String> second) {
        return first.isEmpty() ? second : first;
    }

    private static String words(Collection<String> words) {
        return String.join(" or ", new TreeSet<>(words));
    }

    private static String act(Moment m) {
        return m.connector()
                .map(c -> name(c.id()))
                .orElseGet(() -> m.item().map(i -> i.id().name()).orElse("it"));
    }

    private static String live(Moment m) {
        List<Battery> batteries = m.facts().batteries();
        StringBuilder fed = new StringBuilder();
        for (int b = 0; b < m.dash.batteries(); b++)
            if (m.before.feeds(b))
                fed.append(fed.isEmpty() ? "" : " and ")
                        .append(
                                batteries.size() > 1
                                        ? "the %s battery"
                                                .formatted(batteries.get(b).id())
                                        : "the battery");
        return fed.isEmpty() ? "the battery" : fed.toString();
    }

    private static String fasteners(Moment m, DashItem item) {
        return m.fastenersIn(item).stream()
                .map(g -> "%d of %s (%s)"
                        .formatted(
                                m.stillIn(
                                        new GroupOf(item.id(), g.id()),
                                        g.count().least()),
                                g.id(),
                                g.tool()))
                .collect(Collectors.joining(", "));
    }

    private static String groups(List<FastenerGroup> groups) {
        return groups.stream()
                .map(g -> "%s %s (%s)".formatted(g.count(), g.id(), g.tool()))
                .collect(Collectors.joining(", "));
    }

    private static String clear(Moment m) {
        return m.item()
                .map(i -> m.notClear(i).stream()
                        .map(f -> "%s is at %s".formatted(f.label(), m.before.word(f)))
                        .collect(Collectors.joining(", ")))
                .orElse("");
    }

    private static String clearWay(Moment m) {
        return m.item()
                .map(i -> m.notClear(i).stream()
                        .map(f -> "%s to %s%s"
                                .formatted(capital(f.label()), words(i.clear().get(f)), how(m, f)))
                        .collect(Collectors.joining("; ", "", ".")))
                .orElse("");
    }

    /** What the lever takes, so that the way out can be gone from here. */
    private static String how(Moment m, StateField field) {
        Lever lever = m.dash.lever().orElse(null);
        if (field != StateField.GEAR || lever == null || lever.manual()) return "";
        if (m.before.live(m.facts()) || !lever.needsBattery())
            return " (key %s, foot on the brake, parking brake set)".formatted(words(lever.keyWords()));
        return " (negative on, key %s, foot on the brake; then back to park, key off, negative off)"
                .formatted(words(lever.keyWords()));
    }

    private static String electricWay(Moment m) {
        DashItem item = m.item().orElse(null);
        if (item == null) return "";
        for (String f : item.uses())
            if (m.gone(f, m.before)) return "Plug %s back in, battery on.".formatted(list(m.dash.givers(f)));
        return m.before.live(m.facts())
                ? "Key to %s.".formatted(words(item.openedBy().orElseThrow()))
                : "Battery on, open it, battery off again.";
    }

    private static String leftState(Moment m) {
        String key = m.before.word(StateField.KEY);
        String gear = m.before.word(StateField.GEAR);
        String on = key.equals(CarState.KEY_OFF) ? "" : "the key at " + key;
        String out = gear.equals(CarState.PARK) ? "" : "the lever at " + gear;
        return on.isEmpty() || out.isEmpty() ? on + out : on + " and " + out;
    }

    private static String tray(Moment m, GroupOf group) {
        return "%d left over: %s%s."
                .formatted(
                        m.before.trays().of(group).left(),
                        group.item() + ", " + group.name(),
                        m.dash.group(group).map(g -> " (" + g.tool() + ")").orElse(""));
    }

    private static String trayWay(Moment m, GroupOf group) {
        return "Put it in at %s, or say that it stays out.".formatted(group.item());
    }

    private static String wait(Moment m) {
        return m.facts()
                .waitAfterOff()
                .known()
                .map(s -> s % 60 == 0 ? s / 60 + " min" : s + " s")
                .orElse("as long as the vehicle maker says");
    }

    private static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
