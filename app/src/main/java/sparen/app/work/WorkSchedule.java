package sparen.app.work;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import com.github.kagkarlsson.scheduler.task.helper.CustomTask;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import java.lang.management.ManagementFactory;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import sparen.app.web.Refusal;
import sparen.quantity.InvalidQuantity;
import sparen.simulation.Simulation;
import tools.jackson.databind.json.JsonMapper;

/**
 * This node's share of the long work. The scheduler's table in PostgreSQL decides which node does what; a node that no longer gives
 * signs of life loses its work to another.
 */
@Component
class WorkSchedule implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(WorkSchedule.class);
    private static final String TASK = "work";
    private static final Duration POLLING = Duration.ofMillis(500);
    /** Four signs of life missed and the work is another node's. */
    private static final Duration SIGN_OF_LIFE = Duration.ofSeconds(2);

    private static final int MISSED = 4;
    /** Further back nobody is put. */
    private static final int LAST = -100;

    private static final Duration LAST_WAIT = Duration.ofSeconds(2);
    private static final long WRITE_EVERY_MILLIS = 250;

    private final WorkMapper mapper;
    private final Map<String, WorkKind> kinds;
    private final JsonMapper json;
    private final Clock clock;
    private final String node = ManagementFactory.getRuntimeMXBean().getName() + "-" + Integer.toHexString(hashCode());
    private final CustomTask<Void> task;
    private final Scheduler scheduler;
    private volatile boolean running;

    WorkSchedule(
            WorkMapper mapper,
            List<WorkKind> kinds,
            Chores chores,
            JsonMapper json,
            Clock clock,
            DataSource dataSource,
            @Value("${sparen.work-threads:1}") int threads) {
        this.mapper = mapper;
        this.kinds = kinds.stream().collect(Collectors.toMap(WorkKind::name, Function.identity()));
        this.json = json;
        this.clock = clock;
        task = Tasks.custom(TASK, Void.class)
                .onFailure(new FailureHandler.OnFailureRetryLater<>(Duration.ofSeconds(1)))
                .onDeadExecutionRevive()
                .execute((instance, context) -> {
                    perform(instance);
                    return new CompletionHandler.OnCompleteRemove<>();
                });
        List<Task<?>> known = new ArrayList<>(chores.tasks());
        known.add(task);
        scheduler = Scheduler.create(dataSource, known)
                .startTasks(chores.nightly())
                .threads(threads)
                .schedulerName(new SchedulerName.Fixed(node))
                .pollingInterval(POLLING)
                .heartbeatInterval(SIGN_OF_LIFE)
                .missedHeartbeatsLimit(MISSED)
                .shutdownMaxWait(LAST_WAIT)
                .enablePriority()
                .enableImmediateExecution()
                .build();
    }

    /**
     * Some node does it in a while; what is over by then is left alone. What is short goes before what is long, and the more an account has
     * under way the later comes what it asks for next: one that asks for the first time comes before all that others asked for besides.
     */
    void add(Work work, Duration in) {
        int unfinished = mapper.unfinishedBefore(work.account(), work.id());
        int priority = Math.max(LAST, kinds.get(work.kind()).priority(work) - unfinished);
        scheduler.schedule(task.instanceBuilder(work.id())
                .priority(priority)
                .scheduledTo(clock.instant().plus(in)));
    }

    /** One hand's share: the only part of a piece of work, its division into several, or one of these. */
    private void perform(TaskInstance<Void> instance) {
        String[] place = instance.getId().split("/");
        if (place.length > 1) {
            perform(place[0], Integer.parseInt(place[1]));
        } else {
            noted(place[0], () -> divide(place[0], instance.getPriority()));
        }
    }

    /** Does a part of a piece of work and notes what came of it. What this node leaves because it stops stays for another. */
    void perform(String id, int part) {
        noted(id, () -> part(id, part));
    }

    /** One part after the other falls back in the queue, so that what others ask for in between comes between. */
    private void divide(String id, int priority) {
        int parts = mapper.byId(id)
                .filter(work -> !work.state().over())
                .map(work -> kinds.get(work.kind()).parts(work))
                .orElse(0);
        if (parts == 1) {
            part(id, 0);
            return;
        }
        for (int part = 0; part < parts; part++) {
            scheduler.scheduleIfNotExists(task.instanceBuilder(id + "/" + part)
                    .priority(Math.max(LAST, priority - part))
                    .scheduledTo(clock.instant()));
        }
    }

    private void part(String id, int part) {
        if (mapper.begin(id, node, clock.instant()) == 0) {
            return;
        }
        Work work = mapper.byId(id).orElseThrow();
        WorkKind kind = kinds.get(work.kind());
        int parts = kind.parts(work);
        if (parts == 1) {
            done(id, kind.part(work, 0, new Report(id, 0, 1)));
            return;
        }
        if (!mapper.hasPart(id, part)) {
            Object came = kind.part(work, part, new Report(id, mapper.countParts(id), parts + 1));
            mapper.keepPart(id, part, node, json.writeValueAsString(came));
        }
        if (mapper.countParts(id) == parts) {
            done(id, kind.whole(work, mapper.parts(id), new Report(id, parts, parts + 1)));
        }
    }

    /** Notes at a piece of work why what is done for it ended otherwise than with a result. */
    private void noted(String id, Runnable does) {
        try {
            does.run();
        } catch (Simulation.RunCancelled stopped) {
            if (!mapper.cancelWanted(id).orElse(true)) {
                throw stopped;
            }
            end(id, Work.State.CANCELLED, null, "");
        } catch (InvalidQuantity | Refusal invalid) {
            end(id, Work.State.FAILED, null, invalid.getMessage());
        } catch (DataAccessException away) {
            // Not the work's fault: it is tried again.
            throw away;
        } catch (RuntimeException fault) {
            LOG.error("work {} failed", id, fault);
            end(id, Work.State.FAILED, null, "A fault of the engine: " + fault.getMessage());
        }
    }

    private void done(String id, Object result) {
        end(id, Work.State.DONE, json.writeValueAsString(result), "");
    }

    private void end(String id, Work.State state, String result, String message) {
        mapper.end(id, state.name().toLowerCase(Locale.ROOT), result, message, clock.instant());
    }

    /** Writes progress now and then; hears then whether to stop. */
    private final class Report implements WorkReport {
        private final String id;
        private final double before;
        private final double parts;
        private Supplier<Object> known;
        private long writtenAt = System.nanoTime();
        private boolean stop;

        /**
         * @param before how many of the parts were done before
         * @param parts of all there is to do, joining them too
         */
        Report(String id, int before, int parts) {
            this.id = id;
            this.before = before;
            this.parts = parts;
        }

        @Override
        public synchronized void partial(Supplier<Object> now) {
            known = now;
        }

        @Override
        public synchronized boolean stops(double share) {
            long now = System.nanoTime();
            if (!stop && now - writtenAt >= WRITE_EVERY_MILLIS * 1_000_000) {
                writtenAt = now;
                String partial = known == null ? null : json.writeValueAsString(known.get());
                known = null;
                mapper.progress(id, Math.min(1, (before + Math.max(0, share)) / parts), partial, clock.instant());
                stop = !running || mapper.cancelWanted(id).orElse(true);
            }
            return stop;
        }
    }

    @Override
    public void start() {
        running = true;
        scheduler.start();
    }

    @Override
    public void stop() {
        running = false;
        scheduler.stop();
    }

    @Override
    public boolean isRunning() {
        return running;
    }
}
