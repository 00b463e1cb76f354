package sparen.program;

import java.util.List;
import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * The physical facts of an output's contact: its maker's ratings, and how its coil behaves.
 *
 * @param kind what switches
 * @param powered whether it sources a voltage of its own; absent for a dry contact
 * @param givesVolts what it gives where it is powered (V), 0 to 1000
 * @param dcAmperes rated for direct current (A), 0 to 10,000
 * @param dcVolts at up to this voltage (V), 0 to 2000
 * @param acAmperes rated for alternating current (A), 0 to 10,000
 * @param intermittent what it carries for a while; absent where it carries no more than is rated for good
 * @param inrushAmperes it may close on (A), 0 to 100,000
 * @param operateSeconds it takes to move (s), 0 to 10
 * @param pullInVolts its coil needs to pull in, at the main bus (V), 0 to 1000
 * @param dropOutVolts below which the coil lets go (V), 0 to 1000
 * @param pullInWatts what the coil draws while it pulls in (W), 0 to 2000
 * @param coilFeed what carries the current of its coil; absent where there is none, or nobody has looked
 */
public record Contact(
        Kind kind,
        Optional<Boolean> powered,
        Optional<Double> givesVolts,
        Optional<Double> dcAmperes,
        Optional<Double> dcVolts,
        Optional<Double> acAmperes,
        Optional<Intermittent> intermittent,
        Optional<Double> inrushAmperes,
        Optional<Double> operateSeconds,
        Optional<Double> pullInVolts,
        Optional<Double> dropOutVolts,
        Optional<Double> pullInWatts,
        Optional<CoilFeed> coilFeed)
        implements ContactWith {
    /** What switches. */
    public enum Kind {
        /** A relay or contactor that falls back without its coil. */
        RELAY,
        /** A relay that stays where it was put. */
        LATCHING,
        /** A transistor that blocks one way only; its body diode conducts the other. */
        SOLID_STATE_ONE_WAY,
        /** Transistors that block both ways. */
        SOLID_STATE_TWO_WAY
    }

    /**
     * A rating for a while: starting, winding, lifting, and then a rest.
     *
     * @param amperes of direct current (A), 0 to 10,000
     * @param seconds for so long at a stretch (s), 0.1 to 86,400
     */
    public record Intermittent(double amperes, double seconds) {
        public Intermittent {
            Bounds.within("amperes", amperes, 0, 10_000);
            Bounds.within("seconds", seconds, 0.1, 86_400);
        }
    }

    /** What carries a coil's current. */
    public enum Carrier {
        /** An output of the device that decides, which gives it a voltage. */
        DEVICE_OUTPUT,
        /** A dry contact of the device that decides, in a line from the main bus. */
        DEVICE_CONTACT,
        /** A relay between them. */
        PILOT_RELAY
    }

    /**
     * What carries the current of its coil.
     *
     * @param carrier what it is
     * @param amperes it bears (A), 0 to 100
     */
    public record CoilFeed(Carrier carrier, double amperes) {
        public CoilFeed {
            Bounds.present("carrier", carrier);
            Bounds.within("amperes", amperes, 0, 100);
        }
    }

    public Contact {
        Bounds.present("kind", kind);
        powered = Bounds.orEmpty(powered);
        givesVolts = Bounds.optional("givesVolts", givesVolts, 0, 1000);
        coilFeed = Bounds.orEmpty(coilFeed);
        dcAmperes = Bounds.optional("dcAmperes", dcAmperes, 0, 10_000);
        dcVolts = Bounds.optional("dcVolts", dcVolts, 0, 2000);
        acAmperes = Bounds.optional("acAmperes", acAmperes, 0, 10_000);
        intermittent = Bounds.orEmpty(intermittent);
        inrushAmperes = Bounds.optional("inrushAmperes", inrushAmperes, 0, 100_000);
        operateSeconds = Bounds.optional("operateSeconds", operateSeconds, 0, 10);
        pullInVolts = Bounds.optional("pullInVolts", pullInVolts, 0, 1000);
        dropOutVolts = Bounds.optional("dropOutVolts", dropOutVolts, 0, 1000);
        pullInWatts = Bounds.optional("pullInWatts", pullInWatts, 0, 2000);
    }

    /** A contact of a kind of which nothing else is known. */
    public static Contact of(Kind kind) {
        return new Contact(
                kind,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** How it is said; what is not told is left out. */
    public Sentence sentence() {
        Sentence said = Sentence.start("Its contact is a ")
                .choice(
                        "kind",
                        "kind of contact",
                        kind.name(),
                        List.of(
                                new Sentence.Choice("RELAY", "relay"),
                                new Sentence.Choice("LATCHING", "latching relay"),
                                new Sentence.Choice("SOLID_STATE_ONE_WAY", "solid-state switch, one way"),
                                new Sentence.Choice("SOLID_STATE_TWO_WAY", "solid-state switch, both ways")));
        said = number(said, ", gives ", "givesVolts", "voltage it gives", givesVolts, "V", 1000);
        said = number(said, ", rated DC ", "dcAmperes", "rated DC", dcAmperes, "A", 10_000);
        said = number(said, " up to ", "dcVolts", "DC voltage", dcVolts, "V", 2000);
        said = number(said, ", AC ", "acAmperes", "rated AC", acAmperes, "A", 10_000);
        if (intermittent.isPresent()) {
            Intermittent rated = intermittent.get();
            said = said.then(", for a while ")
                    .number("intermittent.amperes", "rated for a while", rated.amperes(), "A", 0.5, 5, 0, 10_000)
                    .then(" at most ")
                    .seconds("intermittent.seconds", "at a stretch", rated.seconds(), 0.1, 86_400)
                    .then(" at a stretch");
        }
        said = number(said, ", may close on ", "inrushAmperes", "inrush", inrushAmperes, "A", 100_000);
        said = number(said, ", moves in ", "operateSeconds", "operate time", operateSeconds, "s", 10);
        said = number(said, "; its coil pulls in at ", "pullInVolts", "pull-in", pullInVolts, "V", 1000);
        said = number(said, " with ", "pullInWatts", "pull-in power", pullInWatts, "W", 2000);
        said = number(said, ", lets go below ", "dropOutVolts", "drop-out", dropOutVolts, "V", 1000);
        if (coilFeed.isPresent()) {
            said = said.then("; its current goes through ")
                    .choice(
                            "coilFeed.carrier",
                            "what carries the coil's current",
                            coilFeed.get().carrier().name(),
                            List.of(
                                    new Sentence.Choice("DEVICE_OUTPUT", "an output of the device that decides"),
                                    new Sentence.Choice("DEVICE_CONTACT", "a dry contact of the device that decides"),
                                    new Sentence.Choice("PILOT_RELAY", "a relay between them")))
                    .then(", which bears ")
                    .number("coilFeed.amperes", "it bears", coilFeed.get().amperes(), "A", 0.1, 1, 0, 100);
        }
        return said.then(".");
    }

    private static Sentence number(
            Sentence so, String words, String field, String label, Optional<Double> value, String unit, double most) {
        return value.isEmpty()
                ? so
                : so.then(words).number(field, label, value.get(), unit, unit.equals("s") ? 0.01 : 0.5, 5, 0, most);
    }
}
