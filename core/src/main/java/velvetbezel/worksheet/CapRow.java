package velvetbezel.worksheet;

import velvetbezel.units.Volts;

/** One lead to be capped on its own. @param carries volts on it with key and lamps on; 0 where nothing feeds it */
public record CapRow(LeadEnd lead, String why, Volts carries) {}
