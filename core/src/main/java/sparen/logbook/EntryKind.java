package sparen.logbook;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import sparen.program.Plan;
import sparen.site.AcSource;
import sparen.site.Chemistry;
import sparen.site.Site;

/** What is measured or done at a site, with the numbers that belong to it and how often it is usual to (common practice, no source). */
public enum EntryKind {
    DEVICE_AGAINST_METER(
            "device against meter",
            About.SENSE_POINT,
            "",
            182,
            EntryNumber.needed("shown", "the device shows", "V", 0, 1000),
            EntryNumber.needed("meter", "the meter shows", "V", 0, 1000)),
    SPECIFIC_GRAVITY(
            "specific gravity",
            About.NOTHING,
            "kg/l",
            91,
            EntryNumber.needed("electrolyteCelsius", "electrolyte at", "°C", -40, 60)),
    CELL_VOLTAGES("cell voltages", About.NOTHING, "V", 91),
    WATER_ADDED("water added", About.NOTHING, "", 60, EntryNumber.needed("litres", "in all", "l", 0, 500)),
    CONTACT_TEMPERATURE(
            "temperature of a contact",
            About.OUTPUT,
            "",
            365,
            EntryNumber.needed("contactCelsius", "contact", "°C", -40, 250),
            EntryNumber.needed("airCelsius", "air", "°C", -40, 80),
            EntryNumber.optional("amperes", "at", "A", 0, 10_000)),
    SPARE_TRIED("spare relay tried", About.OUTPUT, "", 365),
    FUEL_LEFT("fuel left", About.GENERATOR, "", 60, EntryNumber.needed("litres", "left", "l", 0, 100_000)),
    ENGINE_HOURS("hours of the generator", About.GENERATOR, "", 182, EntryNumber.needed("hours", "run", "h", 0, 1e6)),
    EQUALIZED(
            "equalized",
            About.NOTHING,
            "",
            91,
            EntryNumber.needed("hours", "for", "h", 0, 48),
            EntryNumber.optional("volts", "at", "V", 0, 1000)),
    BALANCED(
            "balanced",
            About.NOTHING,
            "",
            365,
            EntryNumber.optional("spreadMillivolts", "spread after it", "mV", 0, 2000)),
    FILTER_CLEANED("filter cleaned", About.NOTHING, "", 182),
    BENCH_TESTED("tested on the bench", About.NOTHING, "", 365),
    NOTE("note", About.NOTHING, "", 0);

    /** What of a plan an entry can be about. */
    public enum About {
        NOTHING,
        SENSE_POINT,
        OUTPUT,
        GENERATOR
    }

    /**
     * A number of an entry.
     *
     * @param name in entries
     * @param label what a person reads
     * @param unit as it stands behind it
     * @param least it can be
     * @param most it can be
     * @param isOptional whether it may be left out
     */
    public record EntryNumber(String name, String label, String unit, double least, double most, boolean isOptional) {
        static EntryNumber needed(String name, String label, String unit, double least, double most) {
            return new EntryNumber(name, label, unit, least, most, false);
        }

        static EntryNumber optional(String name, String label, String unit, double least, double most) {
            return new EntryNumber(name, label, unit, least, most, true);
        }
    }

    private final String words;
    private final About about;
    private final String cellUnit;
    private final int usualDays;
    private final List<EntryNumber> numbers;

    EntryKind(String words, About about, String cellUnit, int usualDays, EntryNumber... numbers) {
        this.words = words;
        this.about = about;
        this.cellUnit = cellUnit;
        this.usualDays = usualDays;
        this.numbers = List.copyOf(Arrays.asList(numbers));
    }

    /** What a person reads. */
    public String words() {
        return words;
    }

    /** What of a plan it is about. */
    public About about() {
        return about;
    }

    /** The unit of what is measured cell by cell; empty where nothing is. */
    public String cellUnit() {
        return cellUnit;
    }

    /** The numbers that belong to it. */
    public List<EntryNumber> numbers() {
        return numbers;
    }

    /** After how many days it is usual to be due again at a plan's site (d); absent where it never is. */
    public Optional<Integer> usualDays(Plan plan) {
        return usualDays > 0 && isUsual(plan) ? Optional.of(usualDays) : Optional.empty();
    }

    private boolean isUsual(Plan plan) {
        Site site = plan.site();
        boolean lithium = List.of(Chemistry.LITHIUM_IRON_PHOSPHATE, Chemistry.NMC)
                .contains(site.battery().chemistry());
        boolean flooded = site.battery().chemistry() == Chemistry.FLOODED;
        return switch (this) {
            case SPECIFIC_GRAVITY, WATER_ADDED, EQUALIZED -> flooded;
            case BALANCED -> lithium;
            case CONTACT_TEMPERATURE, SPARE_TRIED, BENCH_TESTED ->
                !plan.program().outputs().isEmpty();
            case FUEL_LEFT, ENGINE_HOURS -> site.acSources().stream().anyMatch(AcSource.Generator.class::isInstance);
            case DEVICE_AGAINST_METER -> !site.sensePoints().isEmpty();
            default -> true;
        };
    }
}
