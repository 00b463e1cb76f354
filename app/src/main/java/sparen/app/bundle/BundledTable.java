package sparen.app.bundle;

import java.util.List;
import java.util.Optional;

/**
 * A table of which a site's rows go into its bundle.
 *
 * @param name of the table, and of its file
 * @param of the table whose rows its rows belong to, by the column {@code through}; absent for the site itself
 * @param through column that says which row of the other table; absent for the site itself
 * @param order in which rows stand, so that the same rows make the same bytes
 * @param people columns with names of accounts
 */
record BundledTable(String name, Optional<String> of, Optional<String> through, String order, List<String> people) {
    /** Everything of a site, in an order in which it can be put back. */
    static final List<BundledTable> ALL = List.of(
            site("revision", "number", "author"),
            site("revision_agreement", "revision", "noted_by"),
            site("consumption_profile", "id", "imported_by"),
            site("weather_file", "id", "imported_by"),
            site("bench_script", "name", "author"),
            site("device_reading", "device, id", "read_by"),
            site("commissioning_round", "number", "begun_by"),
            site("commissioning_mark", "round, id", "made_by"),
            site("commissioning_photo", "round, id", "taken_by"),
            site("bench_test", "id", "begun_by", "ended_by"),
            child("bench_test_result", "bench_test", "test", "test, id", "measured_by"),
            child("bench_test_plugged", "bench_test", "test", "test, id", "plugged_by", "removed_by"),
            site("logger_file", "id", "imported_by"),
            site("file_layout", "kind", "kept_by"),
            site("daily_figure", "day", "noted_by"),
            site("log_entry", "id", "made_by", "withdrawn_by"),
            site("log_photo", "entry, id", "taken_by"),
            site("upkeep_interval", "kind", "set_by"));

    private static BundledTable site(String name, String order, String... people) {
        return new BundledTable(name, Optional.empty(), Optional.empty(), order, List.of(people));
    }

    private static BundledTable child(String name, String of, String through, String order, String... people) {
        return new BundledTable(name, Optional.of(of), Optional.of(through), order, List.of(people));
    }

    /** Which rows are a site's, for a statement that has its id as {@code site}. */
    String where() {
        return of.map(table -> through.orElseThrow() + " in (select id from " + table + " where site_id = #{site})")
                .orElse("site_id = #{site}");
    }
}
