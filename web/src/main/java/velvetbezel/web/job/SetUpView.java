package velvetbezel.web.job;

import static velvetbezel.store.JobCodec.key;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import velvetbezel.controls.Decision;
import velvetbezel.controls.SetUpPlan;
import velvetbezel.function.CarFunction;
import velvetbezel.function.FunctionId;
import velvetbezel.function.Kind;
import velvetbezel.function.Outcome;
import velvetbezel.harness.Installation;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Design;
import velvetbezel.job.Entry;
import velvetbezel.sheet.HowSet;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** What is set up on the devices of a kit, and what works only then. */
public final class SetUpView {
    /** The id of a car's own radio in its installation. */
    private static final String FACTORY_RADIO = "radio";

    private SetUpView() {}

    /**
     * One thing to do.
     *
     * @param field    that holds its value; empty where there is none to choose
     * @param value    what it is to be; empty while that is open
     * @param decided  whether a person decided the value
     * @param why      what decides it
     * @param serves   functions that do not work without it
     * @param setField that holds the tick, {@code tick} what it says
     * @param standing in words, where it is not simply done or to do
     * @param set      whether it is done
     * @param evidence how that is known, as it is kept
     * @param wrong    whether it stands otherwise than it should
     */
    public record Line(
            String field,
            String id,
            String device,
            String name,
            String value,
            List<String> values,
            boolean decided,
            String when,
            boolean beforePower,
            String why,
            String serves,
            String setField,
            String tick,
            boolean tape,
            String foundField,
            String found,
            String standing,
            boolean set,
            String evidence,
            boolean wrong) {
        /** "selector of Cordwin interface to 4". */
        public String words() {
            return value.isEmpty()
                    ? "%s of %s".formatted(name, device)
                    : "%s of %s to %s".formatted(name, device, value);
        }
    }

    /** Settings that have to be made, in the order of time; what stays as delivered is left out. */
    public static List<Line> of(OpenJob open) {
        if (open.design().isEmpty()) return List.of();
        Design design = open.design().get();
        List<Line> lines = new ArrayList<>();
        for (Decision d : design.setUp().decisions())
            if (!d.asDelivered()
                    || open.has(new Entry.SettingChoice(d.id()))
                    || revoked(open, d.id()).isPresent()) lines.add(line(open, d));
        learning(design).forEach((id, functions) -> lines.add(learn(open, id, functions)));
        return lines;
    }

    /** Settings that stay as the device comes, each in a sentence. */
    public static List<String> asDelivered(OpenJob open) {
        return open.design().stream()
                .flatMap(d -> d.setUp().decisions().stream()
                        .filter(s -> s.asDelivered() && !s.id().setting().equals(SetUpPlan.BUTTON_MAP))
                        .filter(s -> !open.has(new Entry.SettingChoice(s.id())))
                        .map(s -> Say.it(
                                s.wanted() instanceof Decision.Wanted.Either ? "set.either" : "set.stays",
                                s.id().setting(),
                                device(d.installation(), s.id()),
                                s.delivered(),
                                functions(open, served(s)))))
                .toList();
    }

    /**
     * What the factory radio that stays has to stand on for a function: chosen in use, so decided by nobody, and the owner
     * has to know it.
     */
    public static List<String> inUse(OpenJob open) {
        Map<String, List<String>> needed = new LinkedHashMap<>();
        open.design()
                .filter(d -> d.installation()
                        .recipe()
                        .radio()
                        .filter(Sheet.Radio::screen)
                        .isPresent())
                .ifPresent(d -> {
                    for (CarFunction f : open.catalogue().functions())
                        if (d.kinds().getOrDefault(f.id(), Kind.ABSENT).works())
                            keptRadio(d, f).forEach(s -> needed.computeIfAbsent(s, k -> new ArrayList<>())
                                    .add(f.name()));
                });
        return needed.entrySet().stream()
                .map(e -> Say.it("set.in.use", e.getKey(), Words.list(Words.together(e.getValue()))))
                .toList();
    }

    /** Settings that a function's scenario chooses on the kept radio, in words. */
    private static List<String> keptRadio(Design design, CarFunction f) {
        return design.installation().instance(FACTORY_RADIO).stream()
                .flatMap(i -> i.device().settings().stream().flatMap(c -> f.scenario().stream()
                        .flatMap(s ->
                                Optional.ofNullable(s.set().settings().get(FACTORY_RADIO + "." + c.name())).stream())
                        .filter(v -> !v.equals(c.start()) && c.values().contains(v))
                        .map(v -> Say.it("set.stands.on", i.device().name(), c.name(), v))))
                .distinct()
                .toList();
    }

    private static List<FunctionId> served(Decision d) {
        return d.ground() instanceof Decision.Ground.FromRules r ? r.serves() : List.of();
    }

    private static String functions(OpenJob open, List<FunctionId> functions) {
        List<String> names = functions.stream().map(open::functionName).toList();
        return names.isEmpty() ? "" : Words.list(Words.together(names));
    }

    private static Optional<String> revoked(OpenJob open, SettingId id) {
        return open.state().get(new Entry.SettingRevoked(id));
    }

    private static String device(Installation installation, SettingId id) {
        return installation.instance(id.instance()).map(i -> i.device().name()).orElse(id.instance());
    }

    private static Map<SettingId, List<FunctionId>> learning(Design design) {
        Map<SettingId, List<FunctionId>> learning = new TreeMap<>();
        design.outcomes().forEach((f, o) -> o.once().stream()
                .filter(id -> id.setting().equals(Outcome.LEARNED))
                .forEach(id ->
                        learning.computeIfAbsent(id, k -> new ArrayList<>()).add(f)));
        return learning;
    }

    private static Line line(OpenJob open, Decision d) {
        boolean power = open.has(new Entry.FirstPower());
        boolean before = d.when() == HowSet.Moment.BEFORE_POWER;
        boolean set = open.has(new Entry.SettingMade(d.id()));
        String found = open.text(new Entry.SettingFound(d.id()));
        boolean differs = !found.isEmpty() && !d.value().equals(Optional.of(found));
        String standing = differs
                ? Say.it("set.differs", found, d.value().orElse(Say.it("set.nothing")))
                : !set && revoked(open, d.id()).isPresent()
                        ? Say.it(
                                "set.revoked",
                                revoked(open, d.id()).get(),
                                d.value().orElse(Say.it("set.nothing")))
                        : !set && before && power ? Say.it("set.late") : "";
        Entry.SettingChoice choice = new Entry.SettingChoice(d.id());
        boolean buttons = d.id().setting().equals(SetUpPlan.BUTTON_MAP);
        return new Line(
                buttons ? "" : key(choice),
                Ids.of(choice),
                device(open.design().orElseThrow().installation(), d.id()),
                d.id().setting(),
                d.value().orElse(""),
                d.values(),
                open.has(choice),
                Say.it("set.when." + d.when()),
                before,
                why(open, d),
                functions(open, d.lostWhileUnset()).isEmpty()
                        ? Say.it(
                                d.open() ? "set.open.functions" : buttons ? "set.map.unset" : "set.no.function",
                                functions(open, open.design().get().setUp().openFunctions()))
                        : Say.it("set.lost", functions(open, d.lostWhileUnset())),
                key(new Entry.SettingMade(d.id())),
                Say.it(buttons ? "set.tick.load" : d.how().tape() ? "set.tick.tape" : "set.tick"),
                d.how().tape(),
                buttons ? "" : key(new Entry.SettingFound(d.id())),
                found,
                standing,
                set && !differs,
                open.text(new Entry.SettingMade(d.id())),
                differs || !standing.isEmpty());
    }

    private static String why(OpenJob open, Decision d) {
        String by = d.how().by().map(b -> Say.it("set.by." + b) + " ").orElse("");
        if (d.wanted() instanceof Decision.Wanted.Open o)
            return by + Say.it("set.ask", o.fact().text().toLowerCase(Locale.ROOT), Words.list(o.candidates()));
        if (d.ground() instanceof Decision.Ground.FromFact f)
            return by + Say.it("set.from.fact", f.fact().text().toLowerCase(Locale.ROOT), f.value());
        if (d.ground() instanceof Decision.Ground.FromWish w)
            return by + Say.it("set.from.wish", functions(open, w.wished()));
        if (d.ground() instanceof Decision.Ground.FromPerson) return by + Say.it("set.from.person");
        // what is lost without it is said beside it
        return served(d).equals(d.lostWhileUnset()) ? by : by + Say.it("set.from.rules", functions(open, served(d)));
    }

    private static Line learn(OpenJob open, SettingId id, List<FunctionId> functions) {
        boolean set = open.has(new Entry.SettingMade(id));
        return new Line(
                "",
                Ids.of(new Entry.SettingMade(id)),
                device(open.design().orElseThrow().installation(), id),
                Say.it("set.learn"),
                "",
                List.of(),
                false,
                Say.it("set.when." + HowSet.Moment.FIRST_START),
                false,
                Say.it("set.learn.how"),
                Say.it("set.lost", functions(open, functions)),
                key(new Entry.SettingMade(id)),
                Say.it("set.tick.learn"),
                false,
                "",
                "",
                "",
                set,
                open.text(new Entry.SettingMade(id)),
                false);
    }
}
