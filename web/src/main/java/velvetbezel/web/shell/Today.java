package velvetbezel.web.shell;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;

/** The day in the workshop. */
public final class Today {
    private Today() {}

    public static LocalDate at(Clock clock) {
        return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
    }
}
