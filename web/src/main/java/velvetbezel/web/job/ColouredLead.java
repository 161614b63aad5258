package velvetbezel.web.job;

import velvetbezel.drawing.Shapes;
import velvetbezel.harness.Instance;
import velvetbezel.worksheet.LeadEnd;

/** A lead with its colour drawn and named. */
public record ColouredLead(Shapes.Wire wire, String words, String owner) {
    public static ColouredLead of(LeadEnd lead) {
        return new ColouredLead(
                Shapes.Wire.of("M1 6H33", lead.colour(), lead.id().toString(), lead.colourWords()),
                lead.colourWords(),
                lead.owner() == Instance.Owner.RADIO ? "" : lead.deviceWords());
    }
}
