/**
 * How a dash comes apart, as a vehicle's sheet says it: parts with their fasteners, clips and plugs, what lies behind
 * what, what must be true of the vehicle, and what is to be done on the way. Entry points:
 * {@link velvetbezel.sheet.strip.StripDown}, {@link velvetbezel.sheet.strip.StripReader}. What follows from it is
 * worked out in {@code velvetbezel.strip}.
 */
package velvetbezel.sheet.strip;
