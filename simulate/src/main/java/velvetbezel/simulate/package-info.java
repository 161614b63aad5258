/**
 * A stand-in for a control interface that is set up by computer: framed commands over a line, two slots of flash, and
 * the sender that loads a set-up into one. Plain Java: what it can do is tried without a car, a device or a page.
 */
package velvetbezel.simulate;
