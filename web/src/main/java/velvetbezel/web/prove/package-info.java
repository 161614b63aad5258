/** Prove: the checks before the dash is closed. */
package velvetbezel.web.prove;
