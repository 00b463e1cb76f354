package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import sparen.power.BatteryBranch;
import sparen.power.ChargeRegulator.BmsRequest;
import sparen.site.Bms;
import sparen.site.ParallelBattery;
import sparen.site.Site;

/** The batteries of a site in one run, side by side on one bus. */
final class BatteriesAtWork {
    final BatteryAtWork[] all;

    private BatteriesAtWork(BatteryAtWork... all) {
        this.all = all;
    }

    /** Batteries that are alike go together as one. */
    static BatteriesAtWork of(Site site) {
        List<ParallelBattery> all = site.battery().batteries();
        if (all.isEmpty()) {
            return new BatteriesAtWork(BatteryAtWork.whole(site.battery()));
        }
        List<BatteryAtWork> groups = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            ParallelBattery one = all.get(i);
            boolean first = all.subList(0, i).stream().noneMatch(one::isLike);
            if (first) {
                int count = (int) all.stream().filter(one::isLike).count();
                groups.add(BatteryAtWork.of(site.battery(), one, count, Branches.CABLE_CELSIUS));
            }
        }
        return new BatteriesAtWork(groups.toArray(BatteryAtWork[]::new));
    }

    BatteryBranch[] branches() {
        return Arrays.stream(all).map(battery -> battery.branch).toArray(BatteryBranch[]::new);
    }

    /** State of charge of all batteries together (fraction), as it is told: of what is stated, of which nothing is left at 0. */
    double charge() {
        return Math.max(0, counted());
    }

    /** The same as it is counted, and as its series is: below 0 where more than what is stated has been taken slowly. */
    double counted() {
        if (all.length == 1) {
            return all[0].branch.circuit().charge()[0];
        }
        double sum = 0;
        double weight = 0;
        for (BatteryAtWork battery : all) {
            double coulombs = battery.capacityCoulombs;
            sum += coulombs * battery.branch.circuit().charge()[0];
            weight += coulombs;
        }
        return sum / weight;
    }

    /** The charging current that makes gas now, in all of them together (A). */
    double gasAmperes() {
        double sum = 0;
        for (BatteryAtWork battery : all) {
            sum += battery.branch.gasAmperes();
        }
        return sum;
    }

    /** What is stated of all of them together (As). */
    double capacityCoulombs() {
        double sum = 0;
        for (BatteryAtWork battery : all) {
            sum += battery.capacityCoulombs;
        }
        return sum;
    }

    /** The state of charge, as counted, at which all there is in them is filled so far (fraction): all are of one kind. */
    double countedAt(double filled) {
        return all[0].branch.circuit().model().stateOfCharge(filled);
    }

    /** Writes the series of the state of charge of all batteries together. */
    void chargeSeries(double[] into, int order) {
        double weight = 0;
        Arrays.fill(into, 0);
        for (BatteryAtWork battery : all) {
            double[] charge = battery.branch.circuit().charge();
            for (int k = 0; k <= order; k++) {
                into[k] += battery.capacityCoulombs * charge[k];
            }
            weight += battery.capacityCoulombs;
        }
        for (int k = 0; k <= order; k++) {
            into[k] /= weight;
        }
    }

    /** Whether some battery can give. */
    boolean canDischarge() {
        for (BatteryAtWork battery : all) {
            if (battery.mayDischarge() && !battery.branch.circuit().isEmpty()) {
                return true;
            }
        }
        return false;
    }

    /** Whether all that have a BMS, and every one has, have opened their charge paths. */
    boolean allRefuseCharge() {
        boolean none = true;
        for (BatteryAtWork battery : all) {
            none &= !battery.mayCharge() && battery.settings() != null;
        }
        return none;
    }

    /** Whether some path of a battery is open. */
    boolean hasOpenPath() {
        for (BatteryAtWork battery : all) {
            if (!battery.mayCharge() || !battery.mayDischarge()) {
                return true;
            }
        }
        return false;
    }

    /** Whether one that gives still has something; one that takes counts for nothing. */
    boolean someGives() {
        for (BatteryAtWork battery : all) {
            if (battery.branch.current()[0] < 0 && !battery.branch.circuit().isEmpty()) {
                return true;
            }
        }
        return false;
    }

    /** What they ask for together: the lowest voltage, and the currents of those that may be charged. */
    Optional<BmsRequest> request() {
        double volts = Double.POSITIVE_INFINITY;
        double amperes = 0;
        boolean asks = false;
        for (BatteryAtWork battery : all) {
            Bms bms = battery.settings();
            if (bms != null && bms.requestedVolts().isPresent()) {
                asks = true;
                volts = Math.min(volts, bms.requestedVolts().get());
                double each = bms.requestedAmperes().orElse(Double.POSITIVE_INFINITY);
                amperes += battery.mayCharge() ? each * battery.count : 0;
            }
        }
        return asks ? Optional.of(new BmsRequest(volts, amperes)) : Optional.empty();
    }

    /** Sets their temperature (°C); the energy (J) that their stores gain by it. */
    double setCelsius(double celsius) {
        double gained = 0;
        for (BatteryAtWork battery : all) {
            gained += battery.branch.circuit().setCelsius(celsius);
        }
        return gained;
    }

    double idleWatts() {
        double sum = 0;
        for (BatteryAtWork battery : all) {
            sum += battery.idleWatts();
        }
        return sum;
    }

    /** Carries everything through a step (s) without a bus. */
    void rest(int order) {
        for (BatteryAtWork battery : all) {
            battery.branch.rest(order);
        }
    }

    /** The largest resistance that a change of current settles at (ohm). */
    double settledOhms() {
        double sum = 0;
        for (BatteryAtWork battery : all) {
            sum = Math.max(sum, battery.branch.circuit().settledOhms());
        }
        return sum;
    }
}
