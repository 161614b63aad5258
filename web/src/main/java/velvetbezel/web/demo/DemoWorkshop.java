package velvetbezel.web.demo;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.AudioSign;
import velvetbezel.store.Imports;
import velvetbezel.store.Jobs;
import velvetbezel.store.Library;
import velvetbezel.store.Person;

/** The demo workshop "Saltgate Two-Bay": its sheets go through the import that users have. */
public final class DemoWorkshop {
    private static final List<Person> PEOPLE = List.of(
            new Person("ines", "Ines Hallam"),
            new Person("tomas", "Tomas Berrow"),
            new Person("wren", "Wren Oakley, apprentice"));
    private static final String STOCK = "stock.csv";
    private final Path folder;
    private final Library library;
    private final Jobs jobs;
    private final Imports intakes;
    private final LocalDate today;

    public DemoWorkshop(Path folder, Library library, Jobs jobs, Imports intakes, LocalDate today) {
        this.today = today;
        this.intakes = intakes;
        this.folder = folder;
        this.library = library;
        this.jobs = jobs;
    }

    public void load() {
        jobs.addPeople(PEOPLE);
        library.take(texts(), PEOPLE.get(0).name());
        stock();
        jobs.create(
                "Rowing club's minibus",
                PEOPLE.get(0).name(),
                List.of(
                        Change.set(new Entry.CustomerNamed(), "Saltgate Rowing Club"),
                        Change.set(new Entry.PhoneNoted(), "0555 0190"),
                        Change.set(new Entry.DueBy(), today.plusDays(2)),
                        Change.set(new Entry.VehicleChosen(), "corrick-ferryman-2006"),
                        Change.set(
                                new Entry.NoteWritten(),
                                "Old radio eats discs. Wants calls without holding the phone. Needed back for Saturday's regatta.")));
        jobs.create(
                "Vet's crossover",
                PEOPLE.get(1).name(),
                List.of(
                        Change.set(new Entry.CustomerNamed(), "Dr. Amsel, Quayside Vets"),
                        Change.set(new Entry.PhoneNoted(), "0555 0134"),
                        Change.set(new Entry.DueBy(), today.plusDays(5)),
                        Change.set(new Entry.VehicleChosen(), "meridale-plover-2019-amplified"),
                        Change.set(new Entry.SignSeen(AudioSign.CHASSIS_LABEL), true),
                        Change.set(new Entry.SignSeen(AudioSign.GRILLE_BADGE), true),
                        Change.set(
                                new Entry.NoteWritten(),
                                "Wants the phone on the screen. Chimes and wheel buttons must stay.")));
        jobs.create(
                "Mobile library's van",
                PEOPLE.get(1).name(),
                List.of(
                        Change.set(new Entry.CustomerNamed(), "Harbour Libraries"),
                        Change.set(new Entry.VehicleChosen(), "larkfen-porter-2011"),
                        Change.set(
                                new Entry.NoteWritten(),
                                "Radio torn out by a former owner, plug cut off. Wants music for the story hour and calls on the road.")));
        jobs.create(
                "Wedding car",
                PEOPLE.get(0).name(),
                List.of(
                        Change.set(new Entry.CustomerNamed(), "Marlowe Weddings"),
                        Change.set(new Entry.VehicleChosen(), "hasterley-regent-1994"),
                        Change.set(
                                new Entry.NoteWritten(),
                                "Keep the look, walnut if it can be had. The mast must go up and down as before.")));
        jobs.create(
                "Estate with the radio that stays",
                PEOPLE.get(1).name(),
                List.of(
                        Change.set(new Entry.CustomerNamed(), "P. Ondrell"),
                        Change.set(new Entry.DueBy(), today.minusDays(1)),
                        Change.set(new Entry.VehicleChosen(), "brindlow-quern-2013"),
                        Change.set(new Entry.NoteWritten(), "Phone on a screen, sound as it is. Nothing may be cut.")));
    }

    /** What is on the shelf and how long the rest takes to come. */
    private void stock() {
        try {
            String list = Files.readString(folder.resolve(STOCK));
            UUID id = intakes.openList(STOCK, PEOPLE.get(0).name(), list.length(), "");
            intakes.readList(id, new StringReader(list));
            intakes.take(id);
        } catch (IOException e) {
            throw new UncheckedIOException("The demo's %s cannot be read.".formatted(STOCK), e);
        }
    }

    private Map<String, String> texts() {
        Map<String, String> texts = new LinkedHashMap<>();
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path f :
                    files.filter(p -> p.toString().endsWith(".json")).sorted().toList())
                texts.put(folder.relativize(f).toString(), Files.readString(f));
        } catch (IOException e) {
            throw new UncheckedIOException("The demo folder %s cannot be read.".formatted(folder), e);
        }
        return texts;
    }
}
