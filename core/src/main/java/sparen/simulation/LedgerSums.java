package sparen.simulation;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import sparen.result.Ledger;
import sparen.site.Load;

/** Where each sum of a {@link Ledger} stands among the numbers that are added up, and the ledger that two of their states make. */
final class LedgerSums {
    static final int ARRAY = 0;
    static final int AC_ARRAY = 1;
    static final int SOURCE = 2;
    static final int GENERATOR = 3;
    static final int IMPORT = 4;
    static final int EXPORT = 5;
    static final int IDLE = 6;
    static final int COIL = 7;
    static final int BATTERY_LOSS = 8;
    static final int CABLE_LOSS = 9;
    static final int CONVERSION_LOSS = 10;
    static final int CURTAILED = 11;
    static final int CLIPPED = 12;
    static final int STORED = 13;
    static final int COST = 14;
    static final int FLOWS = 15;
    static final int SOURCES = 5;
    static final int USES = 4;
    static final int FIRST_LOAD = FLOWS + SOURCES * USES;

    private final String[] ids;
    private final boolean[] diverts;

    LedgerSums(List<Load> loads) {
        ids = loads.stream().map(Load::id).toArray(String[]::new);
        diverts = new boolean[ids.length];
        for (int i = 0; i < ids.length; i++) {
            diverts[i] = loads.get(i).diverts();
        }
    }

    /** How many numbers there are. */
    int count() {
        return FIRST_LOAD + 2 * ids.length;
    }

    /** The ledger between two snapshots. */
    Ledger between(double[] before, double[] after) {
        double[] d = after.clone();
        for (int i = 0; i < d.length; i++) {
            d[i] -= before[i];
        }
        List<List<Double>> flows = new ArrayList<>();
        for (int source = 0; source < SOURCES; source++) {
            int first = FLOWS + source * USES;
            flows.add(Arrays.stream(d, first, first + USES).boxed().toList());
        }
        return new Ledger(
                d[ARRAY],
                d[AC_ARRAY],
                d[SOURCE],
                d[GENERATOR],
                d[IMPORT],
                d[STORED],
                byLoad(d, FIRST_LOAD, false),
                byLoad(d, FIRST_LOAD, true),
                d[EXPORT],
                d[IDLE],
                d[COIL],
                d[BATTERY_LOSS],
                d[CABLE_LOSS],
                d[CONVERSION_LOSS],
                d[CURTAILED],
                d[CLIPPED],
                byLoad(d, FIRST_LOAD + ids.length, false),
                new Ledger.Flows(flows),
                d[COST]);
    }

    private Map<String, Double> byLoad(double[] joules, int first, boolean diversion) {
        Map<String, Double> map = new LinkedHashMap<>();
        for (int i = 0; i < ids.length; i++) {
            if (diverts[i] == diversion) {
                map.put(ids[i], joules[first + i]);
            }
        }
        return map;
    }
}
