package sparen.app.work;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.helper.OneTimeTask;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Schedules;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.springframework.stereotype.Service;

/** When chores are done: each night for all their sites, and soon where something changed; by any one node, once. */
@Service
public class Chores {
    private static final LocalTime AT_NIGHT = LocalTime.of(3, 10);
    private static final Duration AGAIN_AFTER = Duration.ofMinutes(1);
    private static final int TRIES = 3;
    /** Behind all that somebody waits for. */
    private static final int LAST = -1000;

    private final Clock clock;
    private final SchedulerClient client;
    private final Map<String, OneTimeTask<Void>> tasks;
    private final List<RecurringTask<Void>> nightly;

    Chores(List<Chore> chores, Clock clock, DataSource dataSource) {
        this.clock = clock;
        client = SchedulerClient.Builder.create(dataSource).enablePriority().build();
        tasks = chores.stream().collect(Collectors.toMap(Chore::name, Chores::task));
        nightly = chores.stream()
                .map(chore -> Tasks.recurring(chore.name() + "-nightly", Schedules.daily(AT_NIGHT))
                        .execute((instance, context) ->
                                chore.sites().forEach(site -> add(chore.name(), site, "night", Duration.ZERO))))
                .toList();
    }

    private static OneTimeTask<Void> task(Chore chore) {
        return Tasks.oneTime(chore.name())
                .defaultPriority(LAST)
                .onFailure(new FailureHandler.MaxRetriesFailureHandler<>(
                        TRIES, new FailureHandler.OnFailureRetryLater<>(AGAIN_AFTER)))
                .onDeadExecutionRevive()
                .execute((instance, context) -> chore.run(site(instance.getId())));
    }

    /**
     * Some node does it as soon as it can after a while.
     *
     * @param occasion of which there is one piece of work a site, however often it is asked for before it is done; without a slash
     */
    public void add(String chore, String siteId, String occasion, Duration in) {
        client.scheduleIfNotExists(
                tasks.get(chore).instance(siteId + "/" + occasion),
                clock.instant().plus(in));
    }

    private static String site(String instance) {
        return instance.substring(0, instance.lastIndexOf('/'));
    }

    List<OneTimeTask<Void>> tasks() {
        return List.copyOf(tasks.values());
    }

    List<RecurringTask<Void>> nightly() {
        return nightly;
    }
}
