package sparen.simulation;

import java.util.stream.Stream;
import sparen.power.BusBalance;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.rule.ProportionalDiversion;
import sparen.site.Load;

/** A resistive load behind a driver that pulses it, in one run: at rest, in proportion, or on all the time. */
final class PulsedAtWork {
    private final double startVolts;
    private final double fullVolts;
    private final double ohms;
    private final double siemens;
    private Part part = Part.REST;

    private enum Part {
        REST,
        PROPORTIONAL,
        FULL
    }

    private PulsedAtWork(ProportionalDiversion rule, double ohms, double cableOhms) {
        startVolts = rule.startVolts();
        fullVolts = rule.fullVolts();
        this.ohms = ohms;
        double atTerminals = fullVolts / ohms / (fullVolts - startVolts);
        siemens = atTerminals / (1 + atTerminals * cableOhms);
    }

    /** For each load of the site the driver that pulses it, null for none. */
    static PulsedAtWork[] of(Plan plan, double[] cableOhms) {
        PulsedAtWork[] pulsed = new PulsedAtWork[cableOhms.length];
        for (Output output : plan.program().outputs()) {
            Stream.concat(output.automatic().stream(), output.protection().stream())
                    .filter(ProportionalDiversion.class::isInstance)
                    .map(ProportionalDiversion.class::cast)
                    .forEach(rule -> {
                        for (int i = 0; i < pulsed.length; i++) {
                            Load load = plan.site().loads().get(i);
                            if (output.loads().contains(load.id())
                                    && load.feed().isEmpty()
                                    && load.consumption().fixedOhms().isPresent()) {
                                double ohms = load.consumption().fixedOhms().getAsDouble();
                                pulsed[i] = new PulsedAtWork(rule, ohms, cableOhms[i]);
                            }
                        }
                    });
        }
        return pulsed;
    }

    void apply(BusBalance bus, int branch) {
        switch (part) {
            case REST -> bus.setOpen(branch);
            case PROPORTIONAL -> bus.setProportional(branch, startVolts, siemens);
            case FULL -> bus.setResistance(branch, ohms);
        }
    }

    /** Looks at the voltage at its terminals (V); whether it goes to another part of its line. */
    boolean settle(double volts) {
        Part before = part;
        part = volts < startVolts ? Part.REST : volts <= fullVolts ? Part.PROPORTIONAL : Part.FULL;
        if (part == Part.FULL && before == Part.REST || part == Part.REST && before == Part.FULL) {
            part = Part.PROPORTIONAL;
        }
        return part != before;
    }

    /** Lowest voltage (V) at its terminals at which it stays on its part of the line. */
    double lowestVolts() {
        return part == Part.REST ? Double.NEGATIVE_INFINITY : part == Part.PROPORTIONAL ? startVolts : fullVolts;
    }

    /** Highest such voltage (V). */
    double highestVolts() {
        return part == Part.REST
                ? Math.nextDown(startVolts)
                : part == Part.PROPORTIONAL ? fullVolts : Double.POSITIVE_INFINITY;
    }
}
