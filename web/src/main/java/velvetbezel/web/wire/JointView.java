package velvetbezel.web.wire;

import static velvetbezel.store.JobCodec.key;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import velvetbezel.harness.TerminalId;
import velvetbezel.job.Entry;
import velvetbezel.sheet.InvalidInput;
import velvetbezel.sheet.LeadRole;
import velvetbezel.store.JobCodec;
import velvetbezel.web.job.ColouredLead;
import velvetbezel.web.job.Frame;
import velvetbezel.web.job.OpenJob;
import velvetbezel.web.job.Station;
import velvetbezel.web.shell.Addresses;
import velvetbezel.worksheet.JointMethod;
import velvetbezel.worksheet.JointRow;
import velvetbezel.worksheet.LeadEnd;
import velvetbezel.worksheet.Sizing;

/**
 * One joint and everything a person may decide about it: its kind, a folded lead, an extension, where each lead goes.
 */
public record JointView(
        Frame frame,
        String heading,
        WireView.Row row,
        List<Kind> kinds,
        String kindField,
        String extendField,
        String extended,
        String noteField,
        String note,
        List<Lead> leads,
        List<String> places,
        String back) {
    /** @param why empty where it can be chosen */
    public record Kind(String label, boolean chosen, String why) {}

    /** @param to where it was moved; empty where its role decides */
    public record Lead(
            ColouredLead lead,
            String place,
            String gauge,
            String foldField,
            boolean folded,
            String moveField,
            String to) {}

    /** @throws InvalidInput if this job's kit has no such joint now */
    static JointView of(OpenJob open, String joint, Frame.Trouble trouble) {
        JointRow row = find(open, joint)
                .orElseThrow(() -> new InvalidInput(
                        "joint",
                        "This job has no joint \"%s\" now; the kit or a lead of it has changed. Go back to Wire and choose again."
                                .formatted(joint)));
        Sizing sizing = open.sizing();
        JointMethod making = sizing.of(row);
        List<Kind> kinds = making.choices().stream()
                .map(c -> new Kind(
                        c.label(), c.kind().filter(k -> k == making.kind()).isPresent(), c.why()))
                .toList();
        List<Lead> leads = row.leads().stream().map(l -> lead(open, l)).toList();
        List<String> places = Stream.concat(
                        Stream.of(JobCodec.UNUSED),
                        Arrays.stream(LeadRole.values())
                                .filter(r -> r.group() != LeadRole.Group.PLUGGED)
                                .map(LeadRole::label))
                .toList();
        return new JointView(
                Frame.of(open, Station.WIRE, trouble),
                "Joint %d: %s".formatted(row.number(), row.id().name()),
                WireView.row(open, row, sizing, "", open.measured()),
                kinds,
                key(new Entry.JointKindChosen(row.id())),
                key(new Entry.JointExtended(row.id())),
                open.text(new Entry.JointExtended(row.id())),
                key(new Entry.JointNoted(row.id())),
                open.text(new Entry.JointNoted(row.id())),
                leads,
                places,
                here(open, joint));
    }

    static Optional<JointRow> find(OpenJob open, String joint) {
        return open.joints().stream().filter(j -> j.id().name().equals(joint)).findFirst();
    }

    static String here(OpenJob open, String joint) {
        return "/jobs/%d/joint?joint=%s".formatted(open.job().number(), Addresses.encoded(joint));
    }

    private static Lead lead(OpenJob open, LeadEnd l) {
        TerminalId id = l.id();
        return new Lead(
                ColouredLead.of(l),
                l.place(),
                l.gauge().known().map(g -> g.nearestAwg() + " AWG").orElse("gauge not known"),
                key(new Entry.LeadFolded(id)),
                open.has(new Entry.LeadFolded(id)),
                key(new Entry.LeadMoved(id)),
                open.text(new Entry.LeadMoved(id)));
    }
}
