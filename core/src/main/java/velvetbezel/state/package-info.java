/**
 * What a person can do to a car: key, lamps, doors, buttons. One type drives the circuit, the tests and
 * later the strip-down. Entry point: {@link velvetbezel.state.VehicleState}.
 */
package velvetbezel.state;
