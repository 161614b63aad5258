package velvetbezel.run;

import velvetbezel.state.VehicleState;

/** A mode was entered, in a state, by a rule. */
public record ModeChange(String mode, String value, RuleRef by, VehicleState in) {}
