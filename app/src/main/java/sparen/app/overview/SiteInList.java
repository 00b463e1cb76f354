package sparen.app.overview;

import java.time.LocalDate;
import java.util.Optional;
import sparen.app.live.Measurements.MeasuredNow;
import sparen.app.season.Outlooks;
import sparen.app.site.SiteState;

/**
 * A site in the list.
 *
 * @param due what of the upkeep in the log is due next; absent where nothing is
 * @param plan absent while the site is still to be taken down, or its newest revision cannot be read
 * @param unreadable why the newest revision cannot be read; absent where it can
 * @param ahead what the coming days probably bring; absent until that has been worked out
 * @param now what is measured there; absent where nothing is connected, or nothing answers
 * @param rank how much it needs somebody: 3 danger, 2 caution, 1 to be done some time, 0 calm
 */
record SiteInList(
        String id,
        String name,
        SiteState state,
        Optional<LocalDate> benchTest,
        Optional<LocalDate> upkeep,
        Optional<DueNext> due,
        Optional<PlanInList> plan,
        Optional<String> unreadable,
        Optional<Outlooks.Ahead> ahead,
        Optional<MeasuredNow> now,
        int rank) {}
