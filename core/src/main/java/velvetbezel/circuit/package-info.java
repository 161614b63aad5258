/**
 * Direct-current solution of small networks by nodal analysis.
 *
 * <p>Entry point: {@link velvetbezel.circuit.Netlist#solve()}. Node 0 is the reference (battery minus). A
 * node without a path to it is {@link velvetbezel.circuit.NodeVoltage.NotConnected}, never 0 V.
 */
package velvetbezel.circuit;
