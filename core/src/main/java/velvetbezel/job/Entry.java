package velvetbezel.job;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import velvetbezel.diagnose.FaultKind;
import velvetbezel.diagnose.MeasuringState;
import velvetbezel.function.FunctionId;
import velvetbezel.harness.JointId;
import velvetbezel.harness.SettingId;
import velvetbezel.harness.TerminalId;
import velvetbezel.harness.Use;
import velvetbezel.match.Filling;
import velvetbezel.match.KitNeed;
import velvetbezel.prove.Baseline;
import velvetbezel.prove.MeterReading;
import velvetbezel.prove.Result;
import velvetbezel.sheet.AudioSign;
import velvetbezel.sheet.FieldRef;
import velvetbezel.sheet.LeadRole;
import velvetbezel.sheet.PartKind;
import velvetbezel.sheet.Trait;
import velvetbezel.sheet.Vin;
import velvetbezel.units.Volts;
import velvetbezel.worksheet.Extension;
import velvetbezel.worksheet.JointKind;

/**
 * One thing that a job may say, and which a change sets or takes away. Two entries are the same where they speak of the
 * same thing: this joint, that function.
 *
 * @param <V> what is said of it
 */
public sealed interface Entry<V> {
    /** What is built from the job is another with it: its kit, its worksheet, its loads. */
    sealed interface Rewires {}

    /** The car itself, or what is bought for it, is another with it: kits have to be worked out anew. */
    sealed interface Rebuilds extends Rewires {}

    /** Speaks of one setting of a device. */
    interface OfSetting {
        SettingId setting();
    }

    /** It speaks of a function of the catalogue. */
    sealed interface OfFunction {
        FunctionId function();
    }

    // --- the car and whose it is

    record VinRead() implements Entry<Vin> {}

    /** Id of its sheet. */
    record VehicleChosen() implements Entry<String>, Rewires {}

    record CustomerNamed() implements Entry<String> {}

    /** Where the customer is reached. */
    record PhoneNoted() implements Entry<String> {}

    /** By when the customer needs the car. */
    record DueBy() implements Entry<LocalDate> {}

    record NoteWritten() implements Entry<String> {}

    /** Whether a sign of an amplified system is there. */
    record SignSeen(AudioSign sign) implements Entry<Boolean> {}

    /** What was seen of the car that tells it from look-alikes. */
    record TraitSeen(Trait trait) implements Entry<String> {}

    /** What a former owner left at a position: a role, or {@link velvetbezel.sheet.AsBuilt#NO_WIRE}. */
    record PositionAltered(String plug, String position) implements Entry<String>, Rebuilds {}

    /** A fact measured on this car. */
    record FactSettled(FieldRef fact) implements Entry<String>, Rebuilds {}

    // --- what is wished and what was there

    record BaselineTaken(FunctionId function) implements Entry<Baseline>, OfFunction {}

    record WishMade(FunctionId function) implements Entry<Wish>, OfFunction {}

    /** Hundredths of the workshop's currency. */
    record BudgetSet() implements Entry<Long> {}

    // --- the kit

    /** Id of its sheet. */
    record RadioChosen() implements Entry<String>, Rewires {}

    /** Ids of their sheets; one that is used twice comes twice. */
    record PartsChosen() implements Entry<List<String>>, Rewires {}

    record NeedFilled(KitNeed need) implements Entry<Filling.By>, Rebuilds {}

    record NeedMinutes(KitNeed need) implements Entry<Integer>, Rebuilds {}

    /** Hundredths of the workshop's currency. */
    record NeedMaterial(KitNeed need) implements Entry<Long>, Rebuilds {}

    /** A kind of part that every kit is to have. */
    record PartWanted(PartKind kind) implements Entry<Done>, Rebuilds {}

    record PartUsed(String sheet) implements Entry<Use>, Rewires {}

    /** Front or rear of a pair. */
    record PartSlotted(String sheet) implements Entry<String>, Rewires {}

    record SettingChoice(SettingId setting) implements Entry<String>, Rewires, OfSetting {}

    /** What serves where nothing gives what is wanted; empty: it is not fed. */
    record SubstituteChoice(LeadRole wanted) implements Entry<Optional<LeadRole>>, Rewires {}

    // --- the parts come in

    record SerialNoted() implements Entry<String> {}

    record PartCheckedIn(String sheet, String check) implements Entry<Agreement> {}

    // --- the bench

    /** How the joints of this job are made. */
    record SchoolChosen() implements Entry<JointKind> {}

    record JointKindChosen(JointId joint) implements Entry<JointKind> {}

    record JointExtended(JointId joint) implements Entry<Extension>, Rewires {}

    record LeadFolded(TerminalId lead) implements Entry<Done> {}

    /** The role it is joined by; empty: it is not used. */
    record LeadMoved(TerminalId lead) implements Entry<Optional<LeadRole>>, Rewires {}

    /** It is set as decided, and how that was seen. */
    record SettingMade(SettingId setting) implements Entry<Evidence>, OfSetting {}

    /** The value that a device was found at. */
    record SettingFound(SettingId setting) implements Entry<String>, OfSetting {}

    /** It was set, and what it is to be has changed since: what it was set to. */
    record SettingRevoked(SettingId setting) implements Entry<String>, OfSetting {}

    /** Of a device that is set up by computer. @param instance its id in the installation */
    record InterfaceSerial(String instance) implements Entry<String> {}

    /** Resistance of a held button at the plug, as it was typed; the wheel turned between several. */
    record KeyRead(TerminalId reader, String button) implements Entry<String>, Rewires {}

    record JointMade(JointId joint) implements Entry<Done> {}

    record JointNoted(JointId joint) implements Entry<String> {}

    /** A joint of an earlier kit that is still in the harness: what it was. */
    record JointToUndo(JointId joint) implements Entry<String> {}

    record CapMade(TerminalId lead) implements Entry<Done> {}

    record ReadBack(JointId joint) implements Entry<Agreement> {}

    /** @param state what is done to the car, in words */
    record ReadingTaken(TerminalId at, String state) implements Entry<Volts> {}

    // --- the dash

    /**
     * A step of taking the dash apart or putting it together was done.
     *
     * @param id "001200-a3f9": its place in the order, and the device that says so: two devices are two hands
     */
    record StepDone(String id) implements Entry<DoneStep> {}

    /** Something that is done as well while the dash is open. @param extra its name on the vehicle's sheet */
    record ExtraTaken(String extra) implements Entry<Done> {}

    /** How this job goes about opening the dash, where schools differ. */
    record OpenUpWay(OpenUpSchool school) implements Entry<Done> {}

    /** How practised the person is, which decides the time that is said. */
    record ExperienceSaid() implements Entry<Experience> {}

    /** Power is on for the first time; what must come before it was asked then. */
    record FirstPower() implements Entry<Done> {}

    /** Whether a pause between two steps was work. @param step the one after it */
    record PauseAnswered(String step) implements Entry<Pause> {}

    /** Of a recording: something that was done later could have been done without it. */
    record MayComeFirst(String waits, String on) implements Entry<Done> {}

    /** Minutes a person puts in place of what was worked out. @param line of the labour */
    record MinutesSaid(String line) implements Entry<Integer> {}

    // --- whether it goes in

    /** Mm that an edge of the face lies behind the panel; before it is negative. */
    record FaceStands(FaceEdge edge) implements Entry<Double> {}

    /** Which holes it hangs in, as the fit names them. */
    record HolesTaken() implements Entry<String> {}

    /** A step of the bench list, as the fit names it. */
    record BenchStepDone(String step) implements Entry<Done> {}

    /** Where a thing goes: id of a place of the vehicle's sheet. @param thing its name */
    record PlaceTaken(String thing) implements Entry<String>, Rewires {}

    /** A photo, with what it shows. */
    record PhotoTaken(UUID id) implements Entry<String> {}

    // --- the car again

    record ResultGiven(FunctionId function) implements Entry<Result>, OfFunction {}

    record ResultNoted(FunctionId function) implements Entry<String>, OfFunction {}

    /** In which way a function is not right: what is perceived, as its finding is written, or that it is none of these. */
    record SymptomSeen(FunctionId function) implements Entry<String>, OfFunction {}

    /** Volts against body metal while it is searched what is wrong. @param state in which it was read */
    record ProbeRead(TerminalId at, MeasuringState state) implements Entry<Volts> {}

    /** Ohms between two terminals, the battery's negative clamp off. */
    record OhmsRead(TerminalId from, TerminalId to) implements Entry<MeterReading> {}

    /** The current once everything sleeps. */
    record StandbyRead() implements Entry<MeterReading> {}

    /** The meter was tried on a point that is known to be live. */
    record MeterProved() implements Entry<Done> {}

    /** What was wrong at a place that was mended. @param place its name among the places of faults */
    record FaultMended(String place) implements Entry<FaultKind> {}

    /** Something that was wrong and is in no list, in the words of whoever mended it. */
    record OtherFaultMended() implements Entry<String> {}

    /** What a function showed with two like things exchanged, as {@link SymptomSeen}. @param exchanged in words */
    record SwapSeen(FunctionId function, String exchanged) implements Entry<String>, OfFunction {}

    /** This is no real car: one fault is hidden in it for practice. Its value tells which. */
    record HiddenFault() implements Entry<Long> {}

    /** The dash was closed although checks were open: which they were. */
    record ClosedWithOpenChecks() implements Entry<String> {}

    /** A place was looked at. @param place its name among the places of faults */
    record PlaceLooked(String place) implements Entry<Look> {}

    record HandedOver() implements Entry<Done> {}

    /** What a look at a place showed. */
    enum Look {
        NOTHING_WRONG,
        /** And again. */
        NOTHING_WRONG_TWICE,
        MENDED
    }

    /** What a tick says. */
    enum Done {
        DONE
    }

    /** How it is known that a device is set. */
    enum Evidence {
        SET,
        /** Set, and its selector taped over. */
        TAPED,
        PHOTOGRAPHED,
        READ_BACK
    }

    /** What a pause was. */
    enum Pause {
        WORKED,
        AWAY
    }

    /** Where the face is measured against the panel. */
    enum FaceEdge {
        LEFT,
        RIGHT,
        TOP,
        BOTTOM,
        /** In the middle, once its leads are on. */
        WIRED
    }

    /** Where schools differ about opening a dash. */
    enum OpenUpSchool {
        BOTH_POLES,
        DASH_FIRST,
        PLAIN_PLUGS_LIVE
    }

    /**
     * How many times the sheet's minutes a person takes, at least and at most (common practice, no source).
     */
    enum Experience {
        PRACTISED(1, 1),
        CAREFUL(2, 2),
        FIRST_TIME(2, 4);

        private final double least;
        private final double most;

        Experience(double least, double most) {
            this.least = least;
            this.most = most;
        }

        public double least() {
            return least;
        }

        public double most() {
            return most;
        }
    }

    /** What comparing showed. */
    enum Agreement {
        AGREES,
        DIFFERS
    }

    /** What the customer said of a function. */
    enum Wish {
        MUST_STAY,
        WANTED,
        /** He can do without, although it usually must stay. */
        MAY_GO
    }
}
