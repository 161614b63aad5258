package velvetbezel.sheet;

import velvetbezel.units.Gauge;

/** A conductor of the sheet itself, between two terminals named within the device, or device.terminal in a vehicle. */
public record InnerWire(String from, String to, Fact<Gauge> gauge, double metres, Fact<Boolean> wired) {}
