package velvetbezel.match;

import java.util.List;

/** @param kits every complete kit, fewest functions lost first, then fewest changed, most gained, lowest price; @param out why each other sheet is in none */
public record Matched(List<Kit> kits, List<Out> out) {
    public Matched {
        kits = List.copyOf(kits);
        out = List.copyOf(out);
    }

    /** A radio or part that is in no kit. */
    public record Out(String sheet, String name, String why) {}
}
