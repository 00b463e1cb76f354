package sparen.simulation;

/**
 * What arrays give, minute by minute: power at the maximum power point, its running sum, and for arrays tied to the battery by pulses
 * their current. Shared by any number of runs; nothing here changes.
 *
 * @param watts of all arrays of one charger together (W)
 * @param joulesBefore energy from the start to the beginning of each minute (J), one entry more than minutes
 * @param amperes what they push at the battery's voltage (A), null where their power is followed
 */
record ArrayInput(double[] watts, double[] joulesBefore, double[] amperes) {
    static ArrayInput of(double[] watts, double[] amperes) {
        double[] sum = new double[watts.length + 1];
        for (int i = 0; i < watts.length; i++) {
            sum[i + 1] = sum[i] + 60 * watts[i];
        }
        return new ArrayInput(watts, sum, amperes);
    }

    int minute(double seconds) {
        return Math.min(watts.length - 1, (int) (seconds / 60));
    }

    /** Energy (J) between two instants (s). */
    double joules(double from, double to) {
        return until(to) - until(from);
    }

    private double until(double seconds) {
        int minute = minute(seconds);
        return joulesBefore[minute] + watts[minute] * (seconds - 60.0 * minute);
    }
}
