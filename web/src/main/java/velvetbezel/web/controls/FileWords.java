package velvetbezel.web.controls;

import java.util.List;
import velvetbezel.controls.SetUpFile;
import velvetbezel.web.shell.Say;

/** What a set-up file is, held against the one that this job makes. */
final class FileWords {
    private FileWords() {}

    /** One sentence where it is the same; else for whom it is first, then each setting. */
    static List<String> compared(SetUpFile given, SetUpFile now) {
        List<SetUpFile.Difference> differences = given.to(now);
        return differences.isEmpty()
                ? List.of(Say.it("file.same"))
                : differences.stream().map(FileWords::words).toList();
    }

    private static String words(SetUpFile.Difference d) {
        return Say.it("file." + d.in(), d.what(), or(d.then()), or(d.now()));
    }

    private static String or(String value) {
        return value.isEmpty() ? Say.it("set.nothing") : value;
    }
}
