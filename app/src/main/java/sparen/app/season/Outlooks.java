package sparen.app.season;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import sparen.app.plan.PlanService;
import sparen.app.plan.UnreadablePlan;
import sparen.app.site.Site;
import sparen.app.site.SiteService;
import sparen.app.site.SiteState;
import sparen.app.work.Chore;
import sparen.program.Plan;
import sparen.question.RunInputs;
import sparen.question.WeatherChoice;
import sparen.study.Outlook;
import tools.jackson.databind.json.JsonMapper;

/** Works out at night, and after each save, what the days to the next visit probably bring; for the list it is only read. */
@Service
public class Outlooks implements Chore {
    static final String NAME = "outlook";

    private static final int WEATHERS = 20;
    /** Where no visit is planned, or only one that is further away than what is likely can be told. */
    private static final int USUAL_DAYS = 14;

    private static final int MOST_DAYS = 60;

    private final OutlookMapper mapper;
    private final SiteService sites;
    private final PlanService plans;
    private final Runs runs;
    private final JsonMapper json;
    private final Clock clock;

    Outlooks(OutlookMapper mapper, SiteService sites, PlanService plans, Runs runs, JsonMapper json, Clock clock) {
        this.mapper = mapper;
        this.sites = sites;
        this.plans = plans;
        this.runs = runs;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What the coming days of a site probably bring, simulated.
     *
     * @param revision it was worked out for
     * @param begins first day, in the site's zone
     * @param days from then to the next visit, or 14 where none is planned within 60
     * @param startStateOfCharge assumed at the beginning, as the plan says (fraction)
     */
    public record Ahead(int revision, LocalDate begins, int days, double startStateOfCharge, Outlook outlook) {}

    private record WorkedOut(double startStateOfCharge, Outlook outlook) {}

    @Override
    public String name() {
        return NAME;
    }

    @Override
    public List<String> sites() {
        return sites.list().stream()
                .filter(site -> site.state() == SiteState.ACTIVE)
                .map(Site::id)
                .toList();
    }

    /** Works it out anew, unless that was done today for what is planned now. */
    @Override
    public void run(String siteId) {
        Optional<PlanService.Loaded> latest = readable(siteId);
        if (latest.isEmpty()) {
            return;
        }
        Plan plan = latest.get().plan();
        int revision = latest.get().revision().number();
        LocalDate today =
                LocalDate.ofInstant(clock.instant(), plan.site().location().zone());
        int days = days(sites.find(siteId), today);
        boolean isKept = mapper.find(siteId)
                .filter(row -> row.revision() == revision
                        && row.days() == days
                        && row.begins().equals(today))
                .isPresent();
        if (isKept) {
            return;
        }
        WeatherChoice weather = new WeatherChoice(
                Optional.empty(),
                Optional.empty(),
                Optional.of(new WeatherChoice.PlaceMonths(Optional.empty())),
                Optional.empty());
        RunInputs inputs = new RunInputs(plan, today, days, weather, 1, Optional.empty());
        Outlook outlook =
                Outlook.of(WEATHERS, weatherNumber -> runs.scenario(siteId, inputs.withWeatherNumber(weatherNumber)));
        WorkedOut workedOut = new WorkedOut(plan.site().battery().startStateOfCharge(), outlook);
        mapper.keep(
                new OutlookMapper.Row(siteId, revision, today, days, json.writeValueAsString(workedOut)),
                outlook.cut(),
                outlook.likelyWithinDays().isPresent());
    }

    /** What cannot be read has no outlook; the list says that it cannot be read. */
    private Optional<PlanService.Loaded> readable(String siteId) {
        try {
            return plans.latest(siteId);
        } catch (UnreadablePlan unreadable) {
            return Optional.empty();
        }
    }

    private static int days(Site site, LocalDate today) {
        return site.upkeep()
                .map(visit -> (int) ChronoUnit.DAYS.between(today, visit))
                .filter(days -> days >= 1 && days <= MOST_DAYS)
                .orElse(USUAL_DAYS);
    }

    /**
     * What was worked out of the coming days, as it is stored.
     *
     * @param workedOut in JSON
     */
    public Ahead read(int revision, LocalDate begins, int days, String workedOut) {
        WorkedOut known = json.readValue(workedOut, WorkedOut.class);
        return new Ahead(revision, begins, days, known.startStateOfCharge(), known.outlook());
    }
}
