/**
 * Open up: the order in which the dash comes apart and goes back together, the same one step at a time in the car, and
 * the trays. What is safe and what is not is decided in {@code velvetbezel.strip}; here it is put into words.
 */
package velvetbezel.web.openup;
