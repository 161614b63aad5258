/**
 * In which order a dash comes apart and goes back together, safely. Entry points: {@link velvetbezel.strip.Planner}
 * finds the order, {@link velvetbezel.strip.Simulation} runs any order past the hazard rules,
 * {@link velvetbezel.strip.CarState} is what a step leaves behind, {@link velvetbezel.strip.Trays} keeps the
 * fasteners. Reading order: StripStep, CarState, Needed, Tasks, OrderSearch, Planner; then HazardRule, Simulation.
 */
package velvetbezel.strip;
