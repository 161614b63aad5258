package velvetbezel.sheet.strip;

/** How many fasteners: three to four is "three, perhaps one more". */
public record Count(int least, int most) {
    public boolean sure() {
        return least == most;
    }

    @Override
    public String toString() {
        return sure() ? String.valueOf(least) : least + " to " + most;
    }
}
