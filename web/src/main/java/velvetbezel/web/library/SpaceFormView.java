package velvetbezel.web.library;

import java.util.List;
import java.util.Locale;
import velvetbezel.sheet.InputProblem;
import velvetbezel.sheet.Sheet;
import velvetbezel.web.shell.Say;

/**
 * The form of a sheet's measures.
 *
 * @param kind   "vehicles", "radios", "parts"
 * @param how    what may be typed, a line each, as an example
 * @param answer what is understood, in a sentence
 */
record SpaceFormView(
        String id,
        String name,
        String kind,
        String heading,
        String how,
        int seen,
        String typed,
        List<InputProblem> faults,
        boolean saving,
        String answer) {
    static SpaceFormView of(Sheet sheet, int seen, String typed, List<InputProblem> faults, boolean saving) {
        String code = SpaceForm.of(sheet).name().toLowerCase(Locale.ROOT);
        long lines = typed.lines().filter(l -> !l.isBlank()).count();
        return new SpaceFormView(
                sheet.id(),
                sheet.name(),
                sheet instanceof Sheet.Vehicle ? "vehicles" : sheet instanceof Sheet.Radio ? "radios" : "parts",
                Say.it("measures." + code),
                Say.it("measures.how." + code),
                seen,
                typed,
                faults,
                saving,
                faults.isEmpty() ? Say.it("measures.lines", lines) : "");
    }

    public int rows() {
        return Math.max(8, (int) typed.lines().count() + 3);
    }
}
