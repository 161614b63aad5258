package velvetbezel.web.job;

import velvetbezel.job.Entry;
import velvetbezel.store.JobCodec;

/** Ids of page elements made of names: letters, digits and hyphens only. */
public final class Ids {
    private Ids() {}

    public static String of(Entry<?> entry) {
        return of(JobCodec.key(entry));
    }

    public static String of(String name) {
        return "f-" + name.replace("+", "plus").replace("−", "minus").replaceAll("[^A-Za-z0-9]+", "-");
    }
}
