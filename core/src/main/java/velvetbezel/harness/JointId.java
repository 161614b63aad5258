package velvetbezel.harness;

import velvetbezel.sheet.LeadRole;

/** Names a joint. A harness has one joint for each role. */
public record JointId(String text) {
    public static JointId of(LeadRole role) {
        return new JointId("joint " + role.label());
    }

    /** As people say it: "rear left + joint". */
    public String label() {
        return text.substring("joint ".length()) + " joint";
    }

    /** The node in the middle of the joint. */
    TerminalId node() {
        return new TerminalId("joint", text);
    }

    @Override
    public String toString() {
        return text;
    }
}
