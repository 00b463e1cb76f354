package sparen.result;

/**
 * How a load was served in a run.
 *
 * @param load its id
 * @param servedSeconds how long its terminals had a voltage and it did not wait for a hand (s)
 * @param losses how often it lost its voltage
 */
public record LoadFigures(String load, double servedSeconds, int losses) {}
