/** Wire: joints, caps and readings; one at a time at the bench; loads; worksheet and labels for print. */
package velvetbezel.web.wire;
