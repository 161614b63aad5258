package velvetbezel.sheet.fit;

import java.util.List;

/**
 * An opening and what is behind it.
 *
 * @param bands from below to above, touching; one as large as the opening where nobody measured them
 * @param assumedBands whether the bands were taken from the opening
 * @param lean  degrees between the face and the slide
 */
public record Site(
        String id,
        Length width,
        Length height,
        List<Band> bands,
        boolean assumedBands,
        List<Obstruction> obstructions,
        double lean) {
    public Site {
        bands = List.copyOf(bands);
        obstructions = List.copyOf(obstructions);
    }
}
