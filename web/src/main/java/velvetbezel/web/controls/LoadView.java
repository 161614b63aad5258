package velvetbezel.web.controls;

import java.util.Optional;
import velvetbezel.simulate.Transfer;
import velvetbezel.web.shell.Say;

/**
 * How far a load is.
 *
 * @param done bytes of {@code of}
 * @param mark "kept" where the new set-up is in force, "lost" where it is not, "" on the way
 */
record LoadView(String words, int done, int of, boolean going, String mark) {
    static LoadView of(Transfer at) {
        Optional<Transfer.Sending> sending = at instanceof Transfer.Sending s ? Optional.of(s) : Optional.empty();
        return new LoadView(
                words(at),
                sending.map(Transfer.Sending::bytes).orElse(at instanceof Transfer.Identified ? 0 : 1),
                sending.map(Transfer.Sending::of).orElse(1),
                !at.ended(),
                at instanceof Transfer.InForce || at instanceof Transfer.WentBack ? "kept" : at.ended() ? "lost" : "");
    }

    private static String words(Transfer at) {
        if (at instanceof Transfer.Identified i)
            return Say.it("load.identified", i.serial(), String.valueOf(i.revision()));
        if (at instanceof Transfer.Sending s)
            return Say.it("load.sending", String.valueOf(s.bytes()), String.valueOf(s.of()));
        if (at instanceof Transfer.Compared) return Say.it("load.compared");
        if (at instanceof Transfer.InForce) return Say.it("load.in.force");
        if (at instanceof Transfer.WentBack) return Say.it("load.went.back");
        if (at instanceof Transfer.Refused r) return Say.it("load.refused." + r.why());
        if (at instanceof Transfer.Interrupted i) return Say.it("load.interrupted." + i.why());
        return Say.it("load.doubtful");
    }
}
