package sparen.handover;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Optional;
import org.testng.annotations.Test;
import sparen.handover.CabinetCard.Cut;
import sparen.handover.CabinetCard.Return;
import sparen.program.AcProgram.CutOffLevels;
import sparen.program.FullSite;
import sparen.program.Lockout;
import sparen.program.Mode;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.quantity.Fields;

/**
 * The kitchen goes at 23.4 V, the radio at 22.8 V, and the inverter with the saw behind it at 21.6 V; they are back at 25.4 V, 25 V and
 * 24.5 V. That a card tells the first to go first is common practice, no source.
 */
public class CabinetCardTest {
    private static Cut cut(String by, List<String> what, double at, String unit, double back) {
        return new Cut(by, what, at, unit, Optional.of(back), Optional.empty(), Optional.empty());
    }

    private static Return back(double at, String... what) {
        return new Return(List.of(what), at, "V");
    }

    private static final Cut KITCHEN = cut("kitchen", List.of("kitchen"), 23.4, "V", 25.4);
    private static final Cut RADIO = cut("radio", List.of("radio"), 22.8, "V", 25);
    private static final Cut INVERTER = cut("inverter", List.of("saw"), 21.6, "V", 24.5);

    @Test
    public void theFirstToGoStandsFirst() {
        CabinetCard card = CabinetCard.of(FullSite.PLAN);
        assertEquals(card.cuts(), List.of(KITCHEN, RADIO, INVERTER));
        assertEquals(card.lastToGo(), List.of());
        assertEquals(card.returns(), List.of(back(24.5, "saw"), back(25, "radio"), back(25.4, "kitchen")));
    }

    /** What is switched off by hand has no level; then nothing takes the critical radio off but the battery. */
    @Test
    public void whatNoLevelTakesOffGoesLast() {
        CabinetCard card = CabinetCard.of(Fields.withAt(FullSite.PLAN, "program/outputs/radio/mode", Mode.OFF));
        assertEquals(card.cuts(), List.of(KITCHEN, INVERTER));
        assertEquals(card.lastToGo(), List.of("radio"));
    }

    /** What is switched on by hand does not go by its rule; the kitchen's disconnect is its rule here, and no protection. */
    @Test
    public void aRuleThatDoesNotActIsNotTold() {
        Output kitchen = FullSite.PLAN.program().outputs().get(1);
        Output ruled = kitchen.withAutomatic(kitchen.protection()).withProtection(Optional.empty());
        Plan on = Fields.withAt(FullSite.PLAN, "program/outputs/kitchen", ruled.withMode(Mode.ON));
        assertEquals(CabinetCard.of(on).cuts(), List.of(RADIO, INVERTER));
        Plan byRule = Fields.withAt(FullSite.PLAN, "program/outputs/kitchen", ruled.withMode(Mode.BY_RULE));
        assertEquals(CabinetCard.of(byRule).cuts(), List.of(KITCHEN, RADIO, INVERTER));
    }

    /** Two lamps of the same name at different levels are two lamps. */
    @Test
    public void namesMayBeTheSame() {
        Plan plan = Fields.withAt(FullSite.PLAN, "site/loads/kitchen/name", "radio");
        assertEquals(
                CabinetCard.of(plan).cuts(),
                List.of(cut("kitchen", List.of("radio"), 23.4, "V", 25.4), RADIO, INVERTER));
    }

    @Test
    public void whatStaysOffSaysSo() {
        Lockout lockout = new Lockout(3, 900, 2, 60, Lockout.Release.HAND, 0);
        Plan plan = Fields.withAt(FullSite.PLAN, "program/outputs/radio/lockout", lockout);
        Cut radio = CabinetCard.of(plan).cuts().get(1);
        assertEquals(radio.trips(), Optional.of(3));
        assertEquals(radio.release(), Optional.of(Lockout.Release.HAND));
    }

    /**
     * The radio's contact takes off the inverter too, at 22.8 V: the saw goes then, which the inverter's own 21.6 V need not say again,
     * and waits for the contact's 25 V, though the inverter would be back at 24.5 V.
     */
    @Test
    public void whatTwoTakeOffWaitsForTheLast() {
        CabinetCard card = CabinetCard.of(
                Fields.withAt(FullSite.PLAN, "program/outputs/radio/loads", List.of("radio", "inverter")));
        assertEquals(card.cuts(), List.of(KITCHEN, cut("radio", List.of("radio", "saw"), 22.8, "V", 25)));
        assertEquals(card.returns(), List.of(back(25, "radio", "saw"), back(25.4, "kitchen")));
    }

    /** An inverter that goes by charge too: 20 % and 35 % stand before all volts. */
    @Test
    public void chargeStandsBeforeVolts() {
        Plan plan = Fields.withAt(FullSite.PLAN, "program/ac/cutOff", new CutOffLevels(0.25, 0.2, 0.35));
        assertEquals(CabinetCard.of(plan).cuts().get(0), cut("inverter", List.of("saw"), 20, "%", 35));
    }
}
