package sparen.power;

import sparen.program.ChargeDetails;
import sparen.program.ChargeProgram;
import sparen.program.ChargeStage;

/** The voltages a charger goes by in its present stage: as set, compensated for temperature, and no more than the battery asks for. */
final class ChargeLevels {
    private final ChargeProgram program;
    private final ChargeDetails details;
    private final int cells;
    private final double rechargeVolts;
    private final boolean rechargeFollows;
    private double regulation;
    private double recharge;

    /** @param cells in series, for compensation */
    ChargeLevels(ChargeProgram program, ChargeDetails details, int cells) {
        this.program = program;
        this.details = details;
        this.cells = cells;
        rechargeVolts = details.resumeVolts().orElse(program.rechargeVolts());
        rechargeFollows = details.compensation()
                .map(ChargeDetails.Compensation::compensatesRecharge)
                .orElse(false);
    }

    /**
     * Works them out, once for each change of stage, temperature or request.
     *
     * @param celsius of the battery (°C)
     * @param askedVolts what the battery asks for at most (V), infinite where it does not
     */
    void refresh(ChargeStage stage, double celsius, double askedVolts) {
        double level =
                switch (stage) {
                    case BULK, ABSORPTION, OFF -> program.absorptionVolts();
                    case FLOAT -> program.floatVolts();
                    case EQUALIZATION -> details.equalization().orElseThrow().volts();
                };
        regulation = Math.min(compensated(level, celsius), askedVolts);
        recharge = rechargeFollows ? compensated(rechargeVolts, celsius) : rechargeVolts;
    }

    private double compensated(double level, double celsius) {
        return details.compensation().isEmpty()
                ? level
                : details.compensation().get().volts(level, cells, celsius);
    }

    /** The voltage it regulates to (V). */
    double regulation() {
        return regulation;
    }

    /** At or below it a new cycle begins (V). */
    double recharge() {
        return recharge;
    }
}
