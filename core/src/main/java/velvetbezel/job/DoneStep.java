package velvetbezel.job;

import java.util.OptionalLong;
import velvetbezel.strip.StripStep;

/** A step that was done. @param at seconds since 1970, as the device's clock says; empty where it says nothing */
public record DoneStep(StripStep step, OptionalLong at) {}
