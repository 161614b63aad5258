package velvetbezel.sheet.strip;

/** Minutes that a piece of work takes: at least, usually, at most. */
public record Minutes(double least, double usual, double most) {
    public static final Minutes NONE = new Minutes(0, 0, 0);

    public Minutes {
        if (!(least >= 0 && least <= usual && usual <= most))
            throw new IllegalArgumentException("Minutes (%s, %s, %s) must rise from 0.".formatted(least, usual, most));
    }

    public Minutes times(double factor) {
        return new Minutes(least * factor, usual * factor, most * factor);
    }
}
