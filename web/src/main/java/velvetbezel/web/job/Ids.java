package velvetbezel.web.job;

/** Ids of page elements made of field names: letters, digits and hyphens only. */
final class Ids {
    private Ids() {}

    static String of(String field) {
        return "f-" + field.replace("+", "plus").replace("−", "minus").replaceAll("[^A-Za-z0-9]+", "-");
    }
}
