package velvetbezel.sheet.fit;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * An opening and what is behind and before it.
 *
 * <table>
 * <caption>What a fitter measures</caption>
 * <tr><td>width, height</td><td>mm</td><td>of the opening; missing where only what stood in it is known</td></tr>
 * <tr><td>bands</td><td>mm</td><td>from below to above, touching; one as large as the opening where nobody
 *     measured them ({@code assumedBands})</td></tr>
 * <tr><td>lean</td><td>degrees</td><td>between the face and the slide; 0 where nobody said</td></tr>
 * </table>
 *
 * @param trims    the licence to cut that the vehicle's own sheet gives: id of an obstruction, and how
 * @param held     the radio that stood in it
 * @param fittings how earlier radios came to stand
 * @param places   where antennas, microphones, sockets and modules may go
 * @param routes   ways for their leads
 */
public record Site(
        String id,
        Length width,
        Length height,
        List<Band> bands,
        boolean assumedBands,
        List<Obstruction> obstructions,
        double lean,
        Map<String, String> trims,
        Optional<HeldRadio> held,
        List<Fitting> fittings,
        List<MountingPlace> places,
        List<Route> routes) {
    public Site {
        bands = List.copyOf(bands);
        obstructions = List.copyOf(obstructions);
        trims = Map.copyOf(trims);
        fittings = List.copyOf(fittings);
        places = List.copyOf(places);
        routes = List.copyOf(routes);
    }

    /** The same with another cavity and other things in the way. */
    public Site with(List<Band> other, List<Obstruction> inTheWay) {
        return new Site(id, width, height, other, assumedBands, inTheWay, lean, trims, held, fittings, places, routes);
    }

    /** A radio that stood in the opening: it tells how much room there is at least. */
    public record HeldRadio(Length faceWidth, Length faceHeight, Length depth) {}

    /**
     * A radio that was fitted with a kit before, in mm behind flush; before it is negative.
     *
     * @param kit      id of the kit's sheet
     * @param computed where it should have stood by the holes that were used
     * @param seen     where it stood
     */
    public record Fitting(String kit, double computed, double seen, String note) {}
}
