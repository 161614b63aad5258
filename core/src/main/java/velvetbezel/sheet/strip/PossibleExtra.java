package velvetbezel.sheet.strip;

import java.util.List;

/** Something worth doing while these parts are open. @param minutes of its own, opening and closing apart */
public record PossibleExtra(String id, List<Behind> open, Minutes minutes) {
    public PossibleExtra {
        open = List.copyOf(open);
    }
}
