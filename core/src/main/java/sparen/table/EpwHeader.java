package sparen.table;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The layout of an EPW file, by its first line. */
final class EpwHeader {
    private static final String BEGINS = "LOCATION,";
    private static final int WIDTH = 35;
    private static final int HEADER_LINES = 8;
    private static final int ZONE = 8;

    private EpwHeader() {}

    static boolean begins(String content) {
        return content.startsWith(BEGINS);
    }

    /** EnergyPlus weather, from memory: hour 1 ends at one o'clock of standard time; months may be of different years. */
    static Detection read(String first) {
        String[] fields = first.strip().split(",", -1);
        List<String> notes = new ArrayList<>();
        double hours = fields.length > ZONE ? Numbers.orNaN(fields[ZONE]) : Double.NaN;
        if (!(Math.abs(hours) <= 14)) {
            notes.add("the LOCATION line has no time zone in its ninth field: say which");
        }
        double latitude = fields.length > ZONE ? Numbers.orNaN(fields[6]) : Double.NaN;
        double longitude = fields.length > ZONE ? Numbers.orNaN(fields[7]) : Double.NaN;
        Layout layout = new Layout(
                ",",
                ".",
                Optional.empty(),
                HEADER_LINES,
                0,
                0,
                WIDTH,
                new TimeFormat(TimeFormat.Kind.PARTS, List.of(0, 1, 2, 3), ""),
                Optional.of(hours).filter(known -> Math.abs(known) <= 14).map(EpwHeader::zone),
                false,
                true,
                true,
                List.of(
                        epw(13, Meaning.GLOBAL_LIGHT, ColumnUnit.WATT_HOURS_PER_SQUARE_METRE, 9999),
                        epw(15, Meaning.DIFFUSE_LIGHT, ColumnUnit.WATT_HOURS_PER_SQUARE_METRE, 9999),
                        epw(6, Meaning.AIR_CELSIUS, ColumnUnit.CELSIUS, 99.9)),
                Layout.USUAL_GAP_SECONDS);
        boolean placed = Math.abs(latitude) <= 90 && Math.abs(longitude) <= 180;
        return new Detection(
                layout,
                List.of(),
                notes,
                placed ? Optional.of(new Detection.Place(latitude, longitude)) : Optional.empty());
    }

    private static Column epw(int index, Meaning meaning, ColumnUnit unit, double missing) {
        return new Column(index, meaning, unit, Optional.empty(), Optional.of(missing));
    }

    private static String zone(double hours) {
        long minutes = Math.abs(Math.round(hours * 60));
        return String.format("%s%02d:%02d", hours < 0 ? "-" : "+", minutes / 60, minutes % 60);
    }
}
