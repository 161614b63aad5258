/** Checks of the circuit solution against ngspice and against laws. */
package velvetbezel.circuit;
