package velvetbezel.store;

/** Somebody of the workshop. */
public record Person(String id, String name) {}
