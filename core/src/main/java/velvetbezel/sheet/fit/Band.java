package velvetbezel.sheet.fit;

/**
 * A part of the cavity of one depth, from one height to another.
 *
 * @param taper mm lost a side for each 100 mm of depth
 */
public record Band(String id, Length x0, Length x1, Length y0, Length y1, Length depth, double taper) {}
