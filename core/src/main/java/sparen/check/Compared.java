package sparen.check;

import java.util.Optional;

/**
 * A number behind a finding.
 *
 * @param name what it is
 * @param value in the unit
 * @param unit such as V
 * @param origin where it comes from; empty where it is worked out
 */
public record Compared(String name, double value, String unit, Optional<String> origin) {}
