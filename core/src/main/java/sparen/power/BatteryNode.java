package sparen.power;

/**
 * Where the batteries join, seen from the bus behind the main cable: all of them together as one voltage behind one resistance. A single
 * battery whose voltage is no straight line of its current stands for itself while a solution is sought, and as the line about it then.
 */
final class BatteryNode {
    private final BatteryBranch[] batteries;
    private final double mainOhms;
    private double emf;
    private double series;
    private double conductance;
    private boolean isAlone;
    private BatteryBranch bent;
    private double slope;

    BatteryNode(BatteryBranch[] batteries, double mainOhms) {
        this.batteries = batteries.clone();
        this.mainOhms = mainOhms;
    }

    int size() {
        return batteries.length;
    }

    void begin() {
        for (BatteryBranch battery : batteries) {
            battery.begin();
        }
    }

    /** Takes together what those give that take part. */
    void gather() {
        double conductanceSum = 0;
        double currentSum = 0;
        int taking = 0;
        BatteryBranch one = null;
        for (BatteryBranch battery : batteries) {
            if (battery.takesPart()) {
                taking++;
                one = battery;
                conductanceSum += battery.siemens();
                currentSum += battery.siemens() * battery.straightVolts();
            }
        }
        isAlone = taking == 1;
        bent = isAlone && one.isBent() ? one : null;
        conductance = conductanceSum;
        emf = currentSum / conductanceSum;
        series = 1 / (1 / conductanceSum + mainOhms);
    }

    /** Whether none takes part. */
    boolean isDead() {
        return conductance == 0;
    }

    /** All expect their current the other way: with every discharge path open a source may still charge, and the other way round. */
    void turnRound() {
        for (BatteryBranch battery : batteries) {
            battery.turnRound();
        }
    }

    /** All expect to be discharged; whether one had expected otherwise. */
    boolean turnToDischarge() {
        boolean turned = false;
        for (BatteryBranch battery : batteries) {
            turned |= battery.expectDischarge();
        }
        return turned;
    }

    /**
     * Whether a battery is to be taken otherwise at a solved voltage where they join (V): as a better straight line or, once all lines
     * stand, turned, dropped or let in.
     */
    boolean changes(double nodeVolts) {
        boolean changes = false;
        for (BatteryBranch battery : batteries) {
            changes |= battery.bends(nodeVolts);
        }
        for (int i = 0; !changes && i < batteries.length; i++) {
            changes = batteries[i].turns(nodeVolts);
        }
        return changes;
    }

    /** The voltage of all of them without a current, as far as they are a straight line (V). */
    double emf() {
        return emf;
    }

    /** What flows out of them at a voltage of the bus (A); {@link #slope} then has what that changes by with each volt (S). */
    double amperes(double busVolts) {
        if (bent == null) {
            slope = -series;
            return (emf - busVolts) * series;
        }
        double taken = bent.amperes(busVolts, mainOhms);
        slope = -bent.siemensBehind(mainOhms);
        return -taken;
    }

    double slope() {
        return slope;
    }

    /** Takes a solved voltage of the bus and current into them (A) as the start of the step; the voltage where they join (V). */
    double place(double busVolts, double sum) {
        if (bent != null) {
            bent.amperes(busVolts, mainOhms);
            bent.straighten();
            gather();
        }
        double nodeVolts = emf + sum / conductance;
        for (BatteryBranch battery : batteries) {
            battery.place(nodeVolts, isAlone ? sum : Double.NaN);
        }
        return nodeVolts;
    }

    /** Without the main cable, what changes with each volt (S). */
    double conductance() {
        return conductance;
    }

    /** Extends all to order k; the current they would push at a node voltage of 0 (A, negative sense). */
    double extend(int k) {
        double known = 0;
        for (BatteryBranch battery : batteries) {
            known += battery.extend(k);
        }
        return known;
    }

    void finish(int k, double nodeVolts, double sum) {
        for (BatteryBranch battery : batteries) {
            battery.finish(k, nodeVolts, isAlone ? sum : Double.NaN);
        }
    }

    void advance(int order, double seconds) {
        for (BatteryBranch battery : batteries) {
            battery.advance(order, seconds);
        }
    }

    /** Energy (J) lost in the batteries' own cables over a step (s). */
    double cableJoules(int order, double seconds) {
        double lost = 0;
        for (BatteryBranch battery : batteries) {
            lost += battery.cableJoules(order, seconds);
        }
        return lost;
    }
}
