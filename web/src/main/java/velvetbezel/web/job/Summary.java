package velvetbezel.web.job;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import velvetbezel.job.Entry;
import velvetbezel.match.Market;
import velvetbezel.sheet.Sheet;

/**
 * What a job comes to, as the board shows it.
 *
 * @param waits  days until all of its kit is there; 0 where it is, or nobody keeps count
 * @param stages by station
 * @param open   how many questions are open
 */
public record Summary(String customer, String car, String radio, int waits, List<Stage> stages, int open) {
    private static final String MARK = "mark";
    private static final String NOTE = "note";

    /** How far a station is. */
    public record Stage(Question.Mark mark, String note) {
        static Stage of(Progress p) {
            return new Stage(
                    switch (p.state()) {
                        case SETTLED -> Question.Mark.SETTLED;
                        case OPEN -> Question.Mark.OPEN;
                        case WRONG -> Question.Mark.WRONG;
                    },
                    p.note());
        }
    }

    static Summary of(OpenJob open, Prices prices) {
        return new Summary(
                open.state().get(new Entry.CustomerNamed()).orElse(""),
                open.vehicle().map(v -> v.make() + " " + v.model()).orElse("no vehicle"),
                open.design()
                        .flatMap(d -> d.installation().recipe().radio())
                        .map(r -> r.device().name())
                        .orElse("no kit"),
                waits(open, prices),
                Arrays.stream(Station.values())
                        .map(s -> Stage.of(Progress.of(s, open)))
                        .toList(),
                Questions.of(open).size());
    }

    /** Until what was not checked in yet is there. */
    private static int waits(OpenJob open, Prices prices) {
        List<Sheet> kit = open.design().stream()
                .map(d -> d.installation().recipe())
                .flatMap(r -> Stream.<Sheet>concat(r.radio().stream(), r.parts().values().stream()))
                .toList();
        boolean joined = !open.jointsDone().isEmpty() || open.has(new Entry.HandedOver());
        Market market = prices.of(open, kit.stream());
        return joined ? 0 : kit.stream().mapToInt(market::days).max().orElse(0);
    }

    /** What a job is found by. */
    static List<String> words(OpenJob open) {
        List<String> words = new ArrayList<>(List.of(
                String.valueOf(open.job().number()),
                open.job().title(),
                open.state().get(new Entry.CustomerNamed()).orElse("")));
        // as typed, and as one number
        open.state().get(new Entry.PhoneNoted()).ifPresent(p -> words.addAll(List.of(p, p.replaceAll("\\D+", ""))));
        open.state().get(new Entry.VinRead()).ifPresent(v -> words.add(v.text()));
        open.vehicle().map(Sheet::name).ifPresent(words::add);
        open.design()
                .flatMap(d -> d.installation().recipe().radio())
                .map(Sheet::name)
                .ifPresent(words::add);
        return words;
    }

    Map<String, Object> tree() {
        Map<String, Object> tree = new LinkedHashMap<>();
        tree.put("customer", customer);
        tree.put("car", car);
        tree.put("radio", radio);
        tree.put("waits", waits);
        tree.put(
                "stages",
                stages.stream()
                        .map(s -> Map.of(MARK, s.mark.name(), NOTE, s.note))
                        .toList());
        tree.put("open", open);
        return tree;
    }

    /** Reads what {@link #tree} wrote. */
    public static Summary read(Map<?, ?> tree) {
        return new Summary(
                (String) tree.get("customer"),
                (String) tree.get("car"),
                (String) tree.get("radio"),
                (Integer) tree.get("waits"),
                ((List<?>) tree.get("stages"))
                        .stream().map(Map.class::cast).map(Summary::stage).toList(),
                (Integer) tree.get("open"));
    }

    private static Stage stage(Map<?, ?> tree) {
        return new Stage(Question.Mark.valueOf((String) tree.get(MARK)), (String) tree.get(NOTE));
    }

    /** The first station where something is wrong, or else the first that is not settled; empty where none is left. */
    public Stream<Station> next() {
        return Stream.of(Question.Mark.WRONG, Question.Mark.OPEN)
                .flatMap(this::at)
                .limit(1);
    }

    private Stream<Station> at(Question.Mark mark) {
        return Arrays.stream(Station.values())
                .filter(s -> s.ordinal() < stages.size() && stages.get(s.ordinal()).mark == mark);
    }
}
