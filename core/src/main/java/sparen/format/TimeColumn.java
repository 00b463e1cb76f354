package sparen.format;

import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;

/** How the times of a file are written. Each kind knows its examples, so that an error can show them. */
sealed interface TimeColumn {
    /**
     * The time in seconds.
     *
     * @param previous the time before, to tell the two passes of a repeated hour apart
     * @throws IllegalArgumentException saying what is wrong, with valid examples
     */
    double parse(String field, double previous);

    /** Plain seconds, such as 0, 60, 120.5. */
    record Seconds() implements TimeColumn {
        @Override
        public double parse(String field, double previous) {
            try {
                double seconds = Double.parseDouble(field.replace(',', '.'));
                if (Math.abs(seconds) <= 1e11) {
                    return seconds;
                }
            } catch (NumberFormatException notANumber) {
                throw new IllegalArgumentException(
                        "time \"" + field + "\" is neither seconds (0, 60, 120.5) nor ISO 8601 (2026-01-31T14:05)",
                        notANumber);
            }
            throw new IllegalArgumentException("time \"" + field + "\" is outside -1e11 to 1e11 s");
        }
    }

    /** ISO 8601, such as 2026-01-31T14:05, 2026-01-31 14:05:30, 2026-01-31T14:05+01:00, 2026-01-31T13:05Z. */
    record Clock(ZoneId zone) implements TimeColumn {
        private static final int AFTER_DATE = 10;

        @Override
        public double parse(String field, double previous) {
            try {
                String iso = field.length() > AFTER_DATE && field.charAt(AFTER_DATE) == ' '
                        ? field.substring(0, AFTER_DATE) + 'T' + field.substring(AFTER_DATE + 1)
                        : field;
                return hasOffset(iso)
                        ? seconds(OffsetDateTime.parse(iso))
                        : local(LocalDateTime.parse(iso), field, previous);
            } catch (DateTimeException wrong) {
                throw new IllegalArgumentException(
                        "time \"" + field + "\" is not ISO 8601, such as 2026-01-31T14:05 or 2026-01-31T14:05:00+01:00",
                        wrong);
            }
        }

        private static boolean hasOffset(String iso) {
            return iso.endsWith("Z") || iso.indexOf('+', AFTER_DATE) > 0 || iso.indexOf('-', AFTER_DATE) > 0;
        }

        private double local(LocalDateTime time, String field, double previous) {
            List<ZoneOffset> offsets = zone.getRules().getValidOffsets(time);
            if (offsets.isEmpty()) {
                throw new IllegalArgumentException(
                        "time \"" + field + "\" does not exist in " + zone + ": the clocks go forward over it");
            }
            double earlier = seconds(time.atOffset(offsets.get(0)));
            return offsets.size() == 1 || earlier > previous ? earlier : seconds(time.atOffset(offsets.get(1)));
        }

        private static double seconds(OffsetDateTime time) {
            return time.toEpochSecond() + time.getNano() / 1e9;
        }
    }
}
