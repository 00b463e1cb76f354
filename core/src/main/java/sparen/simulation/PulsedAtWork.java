package sparen.simulation;

import java.util.stream.Stream;
import sparen.power.BusBalance;
import sparen.program.Output;
import sparen.program.Plan;
import sparen.program.rule.ProportionalDiversion;
import sparen.series.Stay;
import sparen.site.Load;

/** A resistive load behind a driver that pulses it, in one run: at rest, in proportion, or on all the time. */
final class PulsedAtWork implements Part {
    private final double startVolts;
    private final double fullVolts;
    private final double ohms;
    private final double siemens;
    /** Number of the load it drives. */
    private final int load;

    private Piece piece = Piece.REST;

    private enum Piece {
        REST,
        PROPORTIONAL,
        FULL
    }

    private PulsedAtWork(ProportionalDiversion rule, int load, double ohms, double cableOhms) {
        startVolts = rule.startVolts();
        fullVolts = rule.fullVolts();
        this.load = load;
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
                                pulsed[i] = new PulsedAtWork(rule, i, ohms, cableOhms[i]);
                            }
                        }
                    });
        }
        return pulsed;
    }

    void apply(BusBalance bus, int branch) {
        switch (piece) {
            case REST -> bus.setOpen(branch);
            case PROPORTIONAL -> bus.setProportional(branch, startVolts, siemens);
            case FULL -> bus.setResistance(branch, ohms);
        }
    }

    /** Looks at the voltage at its terminals (V); whether it goes to another part of its line. */
    boolean settle(double volts) {
        Piece before = piece;
        piece = volts < startVolts ? Piece.REST : volts <= fullVolts ? Piece.PROPORTIONAL : Piece.FULL;
        if (piece == Piece.FULL && before == Piece.REST || piece == Piece.REST && before == Piece.FULL) {
            piece = Piece.PROPORTIONAL;
        }
        return piece != before;
    }

    @Override
    public double dueSeconds() {
        return Double.POSITIVE_INFINITY;
    }

    @Override
    public void watch(Stay stay, Circuit circuit) {
        if (circuit.isServed(load)) {
            double[] volts = circuit.bus.farVolts(circuit.branches.firstLoad + load);
            switch (piece) {
                case REST -> stay.within(volts, Double.NEGATIVE_INFINITY, Math.nextDown(startVolts));
                case PROPORTIONAL -> stay.within(volts, startVolts, fullVolts);
                case FULL -> stay.within(volts, fullVolts, Double.POSITIVE_INFINITY);
            }
        }
    }
}
