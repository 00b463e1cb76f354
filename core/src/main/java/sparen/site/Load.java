package sparen.site;

import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * Something the site feeds.
 *
 * @param id its name in references
 * @param name what the crew calls it
 * @param critical whether its loss must be told first
 * @param consumption how it draws
 * @param cable from its bus to its terminals
 * @param feed id of what feeds it: a converter, the inverter, or a source of AC before the inverter; absent for the main bus
 * @param powerFactor real to apparent power on the AC side (ratio), 0.1 to 1; absent for 1
 * @param surge what it draws while it starts
 * @param restart what it does when its power returns; absent for {@link Restart#RESUMES}
 * @param use what it is for; absent for {@link Use#SERVICE}
 * @param tank id of the water tank it heats
 * @param leg of the AC side it hangs on, 1 to 3; absent for 1
 */
public record Load(
        String id,
        String name,
        boolean critical,
        Consumption consumption,
        Cable cable,
        Optional<String> feed,
        Optional<Double> powerFactor,
        Optional<StartSurge> surge,
        Optional<Restart> restart,
        Optional<Use> use,
        Optional<String> tank,
        Optional<Integer> leg)
        implements LoadWith {
    /** What a load does when its power returns after a loss. */
    public enum Restart {
        /** Goes on by itself. */
        RESUMES,
        /** Stays off until someone switches it on; in a simulation nobody comes before the next morning at eight. */
        NEEDS_HAND
    }

    /** What a load is for: its energy goes to another line of the ledger. */
    public enum Use {
        /** Something wanted for itself. */
        SERVICE,
        /** Takes surplus that would be thrown away; not served is no loss. */
        DIVERSION
    }

    /**
     * A start that draws more.
     *
     * @param factor times the running power (×), 1 to 20
     * @param seconds how long (s), above 0 to 60
     */
    public record StartSurge(double factor, double seconds) {
        public StartSurge {
            Bounds.within("factor", factor, "×", 1, 20);
            Bounds.above("seconds", seconds, 0, 60);
        }
    }

    public Load {
        Bounds.id("id", id);
        Bounds.name("name", name);
        Bounds.present("consumption", consumption);
        Bounds.present("cable", cable);
        feed = Bounds.orEmpty(feed);
        powerFactor = Bounds.optional("powerFactor", powerFactor, 0.1, 1);
        surge = Bounds.orEmpty(surge);
        restart = Bounds.orEmpty(restart);
        use = Bounds.orEmpty(use);
        tank = Bounds.orEmpty(tank);
        leg = Bounds.orEmpty(leg);
        leg.ifPresent(number -> Bounds.within("leg", number, 1, 3));
    }

    /** A load on the main bus that goes on by itself. */
    public Load(String id, String name, boolean critical, Consumption consumption, Cable cable) {
        this(
                id,
                name,
                critical,
                consumption,
                cable,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Whether it takes surplus and nothing else. */
    public boolean diverts() {
        return use.orElse(Use.SERVICE) == Use.DIVERSION;
    }

    /** Whether it waits for a hand after a loss of power. */
    public boolean needsHand() {
        return restart.orElse(Restart.RESUMES) == Restart.NEEDS_HAND;
    }
}
