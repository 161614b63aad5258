package velvetbezel.web.fit;

import static velvetbezel.web.fit.FitWords.mm;

import java.util.ArrayList;
import java.util.List;
import velvetbezel.fit.Placing;
import velvetbezel.job.Entry;
import velvetbezel.sheet.fit.MountingPlace;
import velvetbezel.sheet.fit.Route;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/**
 * Where one thing goes.
 *
 * @param taken   id of the place that was chosen; an empty text where none was
 * @param against why the chosen place is none; an empty text where nothing speaks against it
 */
record PlaceLine(String thing, String field, String answer, String taken, String against, List<Option> options) {
    /** @param mark settled, open or wrong */
    public record Option(String id, String name, String mark, String words) {}

    static List<PlaceLine> of(OpenJob open, List<Placing> placings) {
        return placings.stream().map(p -> of(open, p)).toList();
    }

    private static PlaceLine of(OpenJob open, Placing placing) {
        Entry.PlaceTaken entry = new Entry.PlaceTaken(placing.thing().name());
        String taken = open.text(entry);
        String answer = placing.best()
                .map(b -> Say.it("place.best", b.place().words(), words(b)))
                .orElse(Say.it("place.none"));
        String against = placing.options().stream()
                .filter(o -> o.place().id().equals(taken) && o.standing() == Placing.Standing.REFUSED)
                .map(PlaceLine::words)
                .findFirst()
                .orElse("");
        return new PlaceLine(
                placing.thing().name(),
                JobCodec.key(entry),
                answer,
                taken,
                against,
                placing.options().stream()
                        .map(o -> new Option(
                                o.place().id(),
                                o.place().words(),
                                switch (o.standing()) {
                                    case ALLOWED -> "settled";
                                    case ALLOWED_IF -> "open";
                                    case REFUSED -> "wrong";
                                },
                                words(o)))
                        .toList());
    }

    private static String words(Placing.Option o) {
        List<String> words = new ArrayList<>();
        o.against().forEach(r -> words.add(r.reason()));
        if (o.noWay()) words.add(Say.it("place.no.way"));
        o.shortBy().ifPresent(by -> words.add(Say.it("place.short", mm(Math.ceil(by)))));
        if (words.isEmpty()) {
            if (!o.look().isEmpty())
                words.add(Say.it(
                        "place.look",
                        Words.list(
                                o.look().stream().map(MountingPlace.Known::word).toList())));
            o.warnings().forEach(r -> words.add(Say.it("place.mind", r.reason())));
            o.need().ifPresent(n -> words.add(Say.it("place.lead", mm(Math.ceil(n)))));
            o.way().ifPresent(w -> {
                if (!w.via().isEmpty()) words.add(Say.it("place.via", Words.list(w.via())));
                if (w.over().contains(Route.Over.FLAP)) words.add(Say.it("place.flap"));
                if (w.hole()) words.add(Say.it("place.hole"));
            });
        }
        return Words.sentence(String.join("; ", words));
    }
}
