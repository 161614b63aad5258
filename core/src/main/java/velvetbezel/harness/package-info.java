/**
 * The installation: devices, terminals and the conductors between them, built from sheets.
 *
 * <p>Entry points: {@link velvetbezel.harness.Builder} (factory installation, replacement),
 * {@link velvetbezel.harness.Installation#with} (an edit gives a new installation). Joints and plug
 * contacts are small resistors that can be opened one by one; nets are derived, never stored.
 */
package velvetbezel.harness;
