package velvetbezel.sheet.fit;

/**
 * A box in the frame of an opening: x to the right and y up from its lower left corner as seen from the seat, z into
 * the dash from the finished face.
 */
public record SpaceBox(Length x0, Length x1, Length y0, Length y1, Length z0, Length z1) {}
