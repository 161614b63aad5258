package velvetbezel.match;

import java.util.List;

/**
 * @param kits   every kit that no other beats, those proven in such cars first, then least lost, then cheapest
 * @param giveUp where there is no kit: the smallest sets of wishes to give up
 * @param slack  a kit that is not listed is at most so many minutes quicker than a listed one that is no dearer and
 *     as good in the rest; 0 where the list is complete
 */
public record Matched(List<Kit> kits, List<GiveUp> giveUp, int slack) {
    public Matched {
        kits = List.copyOf(kits);
        giveUp = List.copyOf(giveUp);
    }

    /** A radio or part that is in no kit. */
    public record Out(String sheet, String name, String why) {}
}
