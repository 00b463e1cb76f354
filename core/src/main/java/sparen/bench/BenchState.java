package sparen.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.logic.Countdown;
import sparen.program.ChargeStage;
import sparen.program.NamedSignal;
import sparen.result.Event;
import sparen.result.Trace;

/**
 * How a bench stands.
 *
 * @param seconds since the start (s)
 * @param outputs in the program's order
 * @param chargers where every voltage is imposed; none where a battery answers
 * @param inverter likewise; absent where there is none
 * @param batteries those with a BMS, likewise
 * @param sources generators of direct current, likewise
 * @param events since the start: the printed tape
 * @param signals what its knobs impose, in the order they are offered
 * @param knobs what each of them is at now, by id, in its own unit
 * @param nextSeconds when something happens next if nobody turns a knob (s); absent for never
 * @param live what the model battery does; absent where every voltage is imposed
 */
public record BenchState(
        double seconds,
        List<AtBench> outputs,
        List<ChargerAtBench> chargers,
        Optional<InverterAtBench> inverter,
        List<BatteryAtBench> batteries,
        List<SourceAtBench> sources,
        List<Event> events,
        List<NamedSignal> signals,
        Map<String, Double> knobs,
        Optional<Double> nextSeconds,
        Optional<Live> live) {
    /**
     * A model battery behind the bench.
     *
     * @param batteryVolts at its terminals (V)
     * @param batteryAmperes charging positive (A)
     * @param stateOfCharge (fraction)
     * @param trace of the time that is shown
     */
    public record Live(double batteryVolts, double batteryAmperes, double stateOfCharge, Trace trace) {}

    /**
     * A charger at the bench.
     *
     * @param charger its id
     * @param stage of its cycle
     * @param regulationVolts what it regulates to now (V)
     * @param gives whether it has a source and may charge
     * @param stopped whether something stops it: cold, heat, over-voltage, silence, its enable
     * @param leftSeconds until the next of its times is up (s); absent where none runs
     */
    public record ChargerAtBench(
            String charger,
            ChargeStage stage,
            double regulationVolts,
            boolean gives,
            boolean stopped,
            Optional<Double> leftSeconds) {}

    /**
     * The inverter at the bench.
     *
     * @param inverter its id
     * @param alive whether it feeds its loads
     * @param onAc whether they are on AC
     * @param searching whether it rests in search
     */
    public record InverterAtBench(String inverter, boolean alive, boolean onAc, boolean searching) {}

    /**
     * A battery with a BMS at the bench.
     *
     * @param battery its id
     * @param mayCharge whether its charge path is closed
     * @param mayDischarge whether its discharge path is
     * @param asleep whether it waits for a charger
     */
    public record BatteryAtBench(String battery, boolean mayCharge, boolean mayDischarge, boolean asleep) {}

    /**
     * A generator of direct current at the bench.
     *
     * @param source its id
     * @param gives whether it does at the imposed hour
     * @param braked whether its brake holds it
     */
    public record SourceAtBench(String source, boolean gives, boolean braked) {}

    /**
     * An output at the bench.
     *
     * @param output its id
     * @param closed its contact
     * @param chatters whether it has begun to chatter, and is bounded
     * @param countdowns what it is counting down
     * @param whyNot what it waits for, in words; empty where nothing can be said
     * @param awaited the levels that would move it
     */
    public record AtBench(
            String output,
            boolean closed,
            boolean chatters,
            List<Countdown> countdowns,
            String whyNot,
            List<Awaited> awaited) {}

    /**
     * A level that would move an output.
     *
     * @param term the trade's term
     * @param value at which it acts (V, or %)
     * @param reads what is read there now (V, or %)
     * @param percent whether both are a state of charge
     * @param falling whether it acts when what is read falls to it
     * @param knob the id of the knob that moves what is read; absent where a battery answers
     */
    public record Awaited(
            String term, double value, double reads, boolean percent, boolean falling, Optional<String> knob) {}
}
