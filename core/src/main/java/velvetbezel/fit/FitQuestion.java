package velvetbezel.fit;

import java.util.Optional;
import java.util.Set;
import velvetbezel.sheet.fit.KitFrame;
import velvetbezel.sheet.fit.RadioBody;
import velvetbezel.sheet.fit.Site;

/**
 * One radio in one dash.
 *
 * @param kit   how it is held; empty where no kit was measured
 * @param kitId the kit's sheet, by which earlier fittings are known; an empty text where there is none
 * @param used  plugs that are used; empty: every one of the radio's
 * @param holes the row of holes it hangs in ({@link Brackets.HoleChoice#key}); an empty text: the one nearest to flush
 */
public record FitQuestion(
        Site site, RadioBody radio, Optional<KitFrame> kit, String kitId, Set<String> used, String holes) {
    /** For {@link #used}, where none is. */
    public static final Set<String> NO_PLUG = Set.of("");

    public FitQuestion {
        used = Set.copyOf(used);
        // a screen that comes with its own feet stands on them
        if (kit.isEmpty()) kit = radio.feet().map(KitFrame::onFeet);
    }
}
