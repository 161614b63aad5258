/** Steering-wheel keys as a device reads them, and what is set up on the devices of a kit. */
package velvetbezel.controls;
