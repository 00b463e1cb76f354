package sparen.simulation;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import sparen.power.ChargeRegulator;
import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.site.Bms;

/** The line on which batteries and chargers talk to each other, in one run: when it is silent, who has noticed, and who talks at all. */
final class DataLine {
    private final List<TalkLoss> losses;
    /** Chargers that go by what batteries ask for, and so talk to them. */
    private final Set<String> talkers;

    /** Whether a battery minds that nobody talks to it. */
    private final boolean isMinded;

    private double due = Double.POSITIVE_INFINITY;

    DataLine(Scenario scenario) {
        losses = scenario.talkLosses();
        talkers = scenario.plan().program().charging().stream()
                .filter(one -> one.details().flatMap(ChargeDetails::bms).isPresent())
                .map(ChargeProgram::controller)
                .collect(Collectors.toSet());
        isMinded = scenario.plan().site().battery().batteries().stream()
                .anyMatch(one -> one.bms().flatMap(Bms::keepAliveSeconds).isPresent());
    }

    boolean mayFallSilent() {
        return !losses.isEmpty();
    }

    /** All chargers are about to be told anew: when that has to be done next is found again. */
    void begin() {
        due = Double.POSITIVE_INFINITY;
    }

    /** Whether a charger has not yet taken the line for silent at an instant (s); notes when that may change. */
    boolean talksTo(ChargeRegulator charger, double seconds, double now) {
        boolean talks = true;
        for (TalkLoss loss : losses) {
            double silentAt = loss.fromSeconds() + charger.silentSeconds();
            talks &= seconds < silentAt || seconds >= loss.toSeconds();
            note(silentAt, now);
            note(loss.toSeconds(), now);
        }
        return talks;
    }

    private void note(double at, double now) {
        due = at > now ? Math.min(due, at) : due;
    }

    /** When a charger takes it for silent, or hears it again (s). */
    double dueSeconds() {
        return due;
    }

    /** Whether batteries hear something: the line is not cut, and a charger that goes by them has power and is at work. */
    boolean isHeard(Circuit circuit, double seconds) {
        if (!isMinded) {
            return true;
        }
        for (TalkLoss loss : losses) {
            if (seconds >= loss.fromSeconds() && seconds < loss.toSeconds()) {
                return false;
            }
        }
        for (ControllerAtWork controller : circuit.controllers) {
            boolean powered = !circuit.floating || controller.arrayWatts(seconds) > 0;
            if (powered && controller.regulator.isEnabled() && talkers.contains(controller.controller.id())) {
                return true;
            }
        }
        return circuit.acCharger != null
                && talkers.contains(circuit.ac.side.inverter().id())
                && (circuit.ac.side.isAlive() || circuit.ac.side.isSearching());
    }
}
