/** Controls: what is set up on the devices of a kit, and how the buttons of the wheel are read. */
package velvetbezel.web.controls;
