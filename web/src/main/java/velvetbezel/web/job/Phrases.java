package velvetbezel.web.job;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import velvetbezel.diagnose.Finding;
import velvetbezel.harness.Recipe;
import velvetbezel.harness.SettingId;
import velvetbezel.job.Change;
import velvetbezel.job.Entry;
import velvetbezel.sheet.Sheet;
import velvetbezel.store.JobCodec;
import velvetbezel.web.shell.Say;
import velvetbezel.web.shell.Words;

/** How fields of a job and changes to them are told in the log. */
public final class Phrases {
    private static final int SHORT = 60;
    private static final Pattern POSITION = Pattern.compile("plugs\\[(.+)]\\.positions\\[position (.+)]\\.(\\w+)");
    private static final Map<Class<?>, String> WORDS = Map.ofEntries(
            Map.entry(Entry.WishMade.class, "Wish, "),
            Map.entry(Entry.BaselineTaken.class, "Baseline, "),
            Map.entry(Entry.ResultGiven.class, "Final test, "),
            Map.entry(Entry.ResultNoted.class, "Reading or note, "),
            Map.entry(Entry.JointKindChosen.class, "Kind of "),
            Map.entry(Entry.JointExtended.class, "Piece of lead in "),
            Map.entry(Entry.LeadFolded.class, "Folded back, "),
            Map.entry(Entry.LeadMoved.class, "Joined otherwise, "),
            Map.entry(Entry.SettingChoice.class, "Setting, "),
            Map.entry(Entry.SettingMade.class, "Set, "),
            Map.entry(Entry.SettingFound.class, "Found, "),
            Map.entry(Entry.SettingRevoked.class, "To set anew, "),
            Map.entry(Entry.KeyRead.class, "Ohms of "),
            Map.entry(Entry.InterfaceSerial.class, "Serial of "),
            Map.entry(Entry.SubstituteChoice.class, "Instead of "),
            Map.entry(Entry.PartUsed.class, "Use of "),
            Map.entry(Entry.NeedMinutes.class, "Minutes for the "),
            Map.entry(Entry.NeedMaterial.class, "Material of the "),
            Map.entry(Entry.PartSlotted.class, "Place of "),
            Map.entry(Entry.JointNoted.class, "Note at "),
            Map.entry(Entry.JointToUndo.class, "To take apart, "),
            Map.entry(Entry.ReadBack.class, "Read back, "),
            Map.entry(Entry.ExtraTaken.class, "While it is open, "),
            Map.entry(Entry.OpenUpWay.class, "Opening up, "),
            Map.entry(Entry.MinutesSaid.class, "Minutes of "),
            Map.entry(Entry.FaceStands.class, "Face against the panel, "),
            Map.entry(Entry.BenchStepDone.class, "Bench list, "),
            Map.entry(Entry.PlaceTaken.class, "Place of "),
            Map.entry(Entry.CapMade.class, "Cap on "));
    private final OpenJob open;

    public Phrases(OpenJob open) {
        this.open = open;
    }

    /** One change by name; several as their names. Kit and vehicle are told as they stand after the change. */
    String changes(List<? extends Change<?>> changes) {
        if (speaksOf(changes, Entry.RadioChosen.class) || speaksOf(changes, Entry.PartsChosen.class))
            return "Chose the kit: "
                    + open.design().map(d -> kit(d.installation().recipe())).orElse("none");
        if (speaksOf(changes, Entry.VehicleChosen.class))
            return "Chose the vehicle: " + open.vehicle().map(Sheet::name).orElse("none");
        return changes.stream()
                .sorted(Comparator.comparing(c -> JobCodec.key(c.entry())))
                .map(c -> entry(c.entry()) + ": "
                        + JobCodec.text(c)
                                .map(v -> c.entry() instanceof Entry.SymptomSeen ? symptom(v) : value(v))
                                .orElse("taken back"))
                .collect(Collectors.joining("; "));
    }

    /** As it was said, where it is a finding of this kit. */
    private String symptom(String key) {
        return open.design()
                .flatMap(d -> Finding.Symptom.read(key).map(new SymptomWords(d.installation())::of))
                .orElse(key);
    }

    private static boolean speaksOf(List<? extends Change<?>> changes, Class<?> kind) {
        return changes.stream().anyMatch(c -> kind.isInstance(c.entry()));
    }

    private static String kit(Recipe recipe) {
        return Stream.concat(recipe.radio().stream(), recipe.parts().values().stream())
                .map(Sheet::name)
                .collect(Collectors.joining(", "));
    }

    private static String value(String value) {
        String words = value.equals(value.toUpperCase(Locale.ROOT)) && value.contains("_")
                ? value.toLowerCase(Locale.ROOT).replace('_', ' ')
                : value;
        return words.length() <= SHORT ? words : words.substring(0, SHORT) + " …";
    }

    /** What an entry speaks of. */
    public String entry(Entry<?> entry) {
        String key = JobCodec.key(entry);
        String rest = key.substring(key.indexOf('/') + 1);
        if (entry instanceof Entry.VinRead) return "VIN";
        if (entry instanceof Entry.DueBy) return "Needed by";
        if (entry instanceof Entry.SerialNoted) return "Serial number of the radio";
        if (entry instanceof Entry.SchoolChosen) return "Joints of this job";
        if (entry instanceof Entry.SignSeen e) return "Seen, " + e.sign().text();
        if (entry instanceof Entry.TraitSeen e) return e.trait().text();
        if (entry instanceof Entry.PositionAltered e)
            return "Changed by a former owner, position %s %s".formatted(e.plug(), e.position());
        if (entry instanceof Entry.SymptomSeen e) return open.functionName(e.function());
        if (entry instanceof Entry.ProbeRead e)
            return "Measured at %s, %s".formatted(e.at(), Say.it("find.state." + e.state()));
        if (entry instanceof Entry.OhmsRead e) return "Ohms between %s and %s".formatted(e.from(), e.to());
        if (entry instanceof Entry.StandbyRead) return "Current at rest";
        if (entry instanceof Entry.MeterProved) return "Meter proved";
        if (entry instanceof Entry.ClosedWithOpenChecks) return "Closed with checks open";
        if (entry instanceof Entry.HiddenFault) return "A fault hidden for practice";
        if (entry instanceof Entry.OtherFaultMended) return "Found and mended";
        if (entry instanceof Entry.FaultMended e) return "Was wrong at " + e.place();
        if (entry instanceof Entry.PlaceLooked e) return "Looked at " + e.place();
        if (entry instanceof Entry.OfFunction e) return WORDS.get(entry.getClass()) + open.functionName(e.function());
        if (entry instanceof Entry.OfSetting e) return WORDS.get(entry.getClass()) + setting(e.setting());
        if (entry instanceof Entry.PhotoTaken) return "Photo";
        if (entry instanceof Entry.FirstPower) return "First power";
        if (entry instanceof Entry.HolesTaken) return "Holes of the brackets";
        if (entry instanceof Entry.PauseAnswered) return "Pause at the dash";
        if (entry instanceof Entry.MayComeFirst e) return "%s may come before %s".formatted(e.waits(), e.on());
        if (entry instanceof Entry.StepDone) return "At the dash";
        if (entry instanceof Entry.PartWanted) return Words.sentence(rest) + " in every kit";
        if (entry instanceof Entry.NeedFilled) return Words.sentence(rest) + ", not bought";
        if (entry instanceof Entry.ReadingTaken e) return "Measured at %s, %s".formatted(e.at(), e.state());
        if (entry instanceof Entry.PartCheckedIn e)
            return "Goods-in, %s, %s".formatted(open.sheetName(e.sheet()), e.check());
        if (entry instanceof Entry.FactSettled e)
            return "Settled on this car, " + place(e.fact().path());
        return WORDS.containsKey(entry.getClass()) ? WORDS.get(entry.getClass()) + rest : Words.sentence(rest);
    }

    private String setting(SettingId id) {
        return open.design()
                .flatMap(d -> d.installation().instance(id.instance()))
                .map(i -> "%s of %s".formatted(id.setting(), i.device().name()))
                .orElse(id.key());
    }

    /** A path of a sheet as people say it: "position A8, colour". */
    private static String place(String path) {
        Matcher at = POSITION.matcher(path);
        if (!at.matches()) return path.replaceAll("[\\[\\].]+", " ");
        String plug = at.group(1);
        return "position %s%s, %s".formatted(plug.length() == 1 ? plug : plug + " ", at.group(2), at.group(3));
    }
}
