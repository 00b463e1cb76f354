package sparen.program;

import sparen.logic.SwitchLogic;
import sparen.site.Site;

/** A rule of an output. Each kind is one record: its data, how it acts and how it is said. */
public sealed interface Rule
        permits VoltageDisconnect, DuskToDawn, LowBatterySignal, SurplusBySoc, VoltageDiversion, GeneratorStart {
    /**
     * The parts it acts by; on means contact closed.
     *
     * @throws sparen.quantity.InvalidQuantity when it names what the site does not have
     */
    SwitchLogic compile(Site site);

    /** How it is said, with its numbers as chips; fields are relative to the rule. */
    Sentence sentence(Site site);

    /**
     * Why it has just changed: threshold, delay and what was read.
     *
     * @param on what it changed to
     * @param signals the signals at that instant, in the order of {@link sparen.logic.Signal}
     */
    String reason(Site site, boolean on, double[] signals);
}
