package velvetbezel.sheet;

import velvetbezel.units.Millimetres;

/**
 * Outer measures, in mm: of an opening with the room behind it, of a radio's face and chassis, or of what a part
 * takes away from the room behind the dash.
 */
public record Geometry(Fact<Millimetres> width, Fact<Millimetres> height, Fact<Millimetres> depth) {}
