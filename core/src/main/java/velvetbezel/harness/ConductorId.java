package velvetbezel.harness;

/** Names a wire, a plug contact or a leg of a joint. */
public record ConductorId(String text) implements Comparable<ConductorId> {
    /** The leg of the joint for a role to a terminal. */
    public static ConductorId leg(JointId joint, TerminalId lead) {
        return new ConductorId(joint.text() + ":" + lead);
    }

    @Override
    public int compareTo(ConductorId other) {
        return text.compareTo(other.text);
    }

    @Override
    public String toString() {
        return text;
    }
}
