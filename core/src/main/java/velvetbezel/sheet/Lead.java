package velvetbezel.sheet;

import velvetbezel.units.Gauge;
import velvetbezel.units.WireColour;

/** A bare lead of a device, to be joined. */
public record Lead(String name, LeadRole role, Flow flow, Fact<WireColour> colour, Fact<Gauge> gauge, double metres) {}
