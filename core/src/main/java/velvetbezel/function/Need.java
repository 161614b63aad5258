package velvetbezel.function;

import velvetbezel.sheet.LeadRole;

/** What would mend a loss. */
public sealed interface Need {
    /** A part that brings this lead to the car's plug or to the radio. */
    record Lead(LeadRole role) implements Need {}

    /** A device that can do this. */
    record Ability(String what) implements Need {}

    default String text() {
        return this instanceof Lead lead ? "a part that carries " + lead.role().label() : ((Ability) this).what();
    }
}
