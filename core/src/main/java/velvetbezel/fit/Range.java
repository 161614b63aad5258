package velvetbezel.fit;

/** Mm at least, likely, and at most. */
public record Range(double least, double likely, double most) {}
