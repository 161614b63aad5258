package velvetbezel.web.job;

import static velvetbezel.store.JobCodec.key;

import velvetbezel.job.Entry;
import velvetbezel.sheet.LeadRole;
import velvetbezel.web.shell.Words;
import velvetbezel.worksheet.CapRow;

/** A lead that stays unused, and how its end is closed. */
public record CapLine(
        String field,
        String id,
        ColouredLead lead,
        String role,
        String why,
        String carries,
        boolean live,
        boolean done,
        String cap) {
    public static CapLine of(OpenJob open, CapRow cap) {
        Entry.CapMade entry = new Entry.CapMade(cap.lead().id());
        boolean live = cap.carries().value() > 1;
        return new CapLine(
                key(entry),
                Ids.of(entry),
                new ColouredLead(
                        ColouredLead.of(cap.lead()).wire(),
                        cap.lead().colourWords(),
                        cap.lead().device()),
                cap.lead().labelled().map(LeadRole::label).orElse("lead"),
                cap.why(),
                live
                        ? "carries %s with key and lamps on"
                                .formatted(Words.volts(cap.carries().value()))
                        : "",
                live,
                open.has(entry),
                open.sizing()
                                .endCap(cap.lead())
                                .map(s -> s.startsWith("none") ? s : "cap, " + s)
                                .orElse("gauge not known: measure it")
                        + (cap.forLater() ? " · leave it reachable for later" : ""));
    }
}
