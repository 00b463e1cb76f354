package sparen.site;

import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import sparen.quantity.Bounds;

/**
 * What a field names whose text is the id of another part. This is the one table of which field names which parts: validation, the
 * removal of parts and forms go by it. The lists are those of a site; {@code outputs} and {@code devices} are a program's.
 */
public enum Reference {
    ARRAY(List.of("arrays"), "array", "ChargeController.arrays"),
    TANK(List.of("tanks"), "tank"),
    INVERTER(List.of("inverter"), "AcCoupledArray.inverter", "FittedDevice.inverter"),
    /** What feeds a load with another voltage than the main bus; on a source of AC it is before the inverter. */
    FEED(List.of("converters", "inverter", "acSources"), "feed"),
    /** What feeds a device that decides with another voltage than the main bus. */
    SUPPLY(List.of("converters", "inverter"), "supply"),
    /** What charges by setpoints of the program. */
    CHARGER(List.of("controllers", "inverter"), "charger", "ChargeProgram.controller"),
    CONTROLLER(List.of("controllers"), "ArrayOverVoltage.controller", "DuskByArrayVoltage.controller"),
    /** What hangs on the main bus and has terminals. */
    DEVICE(List.of("controllers", "sources", "loads", "converters", "inverter"), "device", "unseen"),
    /** What an output can act on. */
    SWITCHED(List.of("loads", "controllers", "converters", "inverter", "acSources", "dcSources"), "Output.loads"),
    AC_SOURCE(List.of("acSources"), "bondedSources"),
    SENSE_POINT(List.of("sensePoints"), "sensePoint", "backstopSensePoint"),
    MONITOR(List.of("monitors"), "monitor"),
    OUTPUT(List.of("outputs"), "output", "after", "FittedDevice.outputs"),
    FITTED_DEVICE(List.of("devices"), "unsent", "drifted", "fitted");

    private final List<String> lists;
    private final List<String> fields;

    Reference(List<String> lists, String... fields) {
        this.lists = lists;
        this.fields = List.of(fields);
    }

    /** The lists in which the named part can stand. */
    public List<String> lists() {
        return lists;
    }

    /**
     * What a field names; empty for one that names no part.
     *
     * @param record simple name of the record it belongs to
     */
    public static Optional<Reference> of(String record, String field) {
        return Arrays.stream(values())
                .filter(one -> one.fields.contains(field) || one.fields.contains(record + "." + field))
                .findFirst();
    }

    /**
     * Refuses an id that none of its lists has.
     *
     * @param field as the refusal names it
     * @param parts the ids in each list
     * @throws sparen.quantity.InvalidQuantity when it is not there
     */
    void check(String field, String id, Map<String, List<String>> parts) {
        Collection<String> known =
                lists.stream().flatMap(list -> parts.get(list).stream()).toList();
        Bounds.known(field, id, known);
    }
}
