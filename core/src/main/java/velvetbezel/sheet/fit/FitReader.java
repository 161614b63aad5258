package velvetbezel.sheet.fit;

import java.util.Optional;
import velvetbezel.sheet.Node;
import velvetbezel.sheet.Provenance;

/** Reads what sheets say of space. What is wrong is noted with its field, and reading goes on. */
public final class FitReader {
    private FitReader() {}

    /** The opening of a vehicle; empty where nothing was measured. */
    public static Optional<Site> site(Node node, String sheet, Provenance usual) {
        return node.present() ? Optional.of(new SiteReader(sheet, usual).site(node)) : Optional.empty();
    }

    public static Optional<RadioBody> body(Node node, String sheet, Provenance usual) {
        return node.present() ? Optional.of(new BodyReader(sheet, usual).body(node)) : Optional.empty();
    }

    public static Optional<KitFrame> frame(Node node, String sheet, Provenance usual) {
        return node.present() ? Optional.of(new FrameReader(sheet, usual).frame(node)) : Optional.empty();
    }

    /** The lead of a part that wants a place; its name is the part's where nobody gave another. */
    public static Optional<Thing> thing(Node node, Thing.Kind kind, String sheet, Provenance usual) {
        return node.present() ? Optional.of(new LengthReader(sheet, usual).thing(node, kind)) : Optional.empty();
    }
}
