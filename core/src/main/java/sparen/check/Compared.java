package sparen.check;

/**
 * A number behind a finding.
 *
 * @param name what it is
 * @param value in the unit
 * @param unit such as V
 */
public record Compared(String name, double value, String unit) {}
