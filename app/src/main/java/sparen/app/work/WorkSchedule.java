package sparen.app.work;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.SchedulerName;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.FailureHandler;
import com.github.kagkarlsson.scheduler.task.Task;
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
    /** How long work keeps a hand while another account waits; judgement, no source. */
    private static final Duration TURN = Duration.ofSeconds(1);
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
                .execute((instance, context) -> perform(instance.getId())
                        ? new CompletionHandler.OnCompleteRemove<>()
                        : (done, row) -> row.reschedule(done, clock.instant()));
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

    /**
     * Does a piece of work and notes what came of it. What this node leaves because it stops stays for another.
     *
     * @return whether it is over; if not it has made room and wants to go on later
     */
    boolean perform(String id) {
        if (mapper.begin(id, node, clock.instant()) == 0) {
            return true;
        }
        Work work = mapper.byId(id).orElseThrow();
        WorkKind kind = kinds.get(work.kind());
        Report report = new Report(work, kind.goesOn());
        try {
            end(id, Work.State.DONE, json.writeValueAsString(kind.run(work, report)), "");
        } catch (Simulation.RunCancelled stopped) {
            if (report.makesRoom && mapper.pause(id, clock.instant()) == 1) {
                return false;
            }
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
        return true;
    }

    private void end(String id, Work.State state, String result, String message) {
        mapper.end(id, state.name().toLowerCase(Locale.ROOT), result, message, clock.instant());
    }

    /** Writes progress now and then; hears then whether to stop. */
    private final class Report implements WorkReport {
        private final String id;
        private final String account;
        private final boolean goesOn;
        private final long begun = System.nanoTime();
        private Supplier<Object> known;
        private long writtenAt = begun;
        /** Whether more is known than when it began: what it was left with again would never end. */
        private boolean hasGoneOn;

        private boolean stop;
        private boolean makesRoom;

        Report(Work work, boolean goesOn) {
            this.id = work.id();
            this.account = work.account();
            this.goesOn = goesOn;
        }

        @Override
        public synchronized void partial(Supplier<Object> now) {
            known = now;
            hasGoneOn = true;
        }

        @Override
        public synchronized boolean stops(double share) {
            long now = System.nanoTime();
            if (!stop && now - writtenAt >= WRITE_EVERY_MILLIS * 1_000_000) {
                writtenAt = now;
                String partial = known == null ? null : json.writeValueAsString(known.get());
                known = null;
                mapper.progress(id, Math.min(1, Math.max(0, share)), partial, clock.instant());
                stop = !running || mapper.cancelWanted(id).orElse(true);
                boolean isTurnOver = goesOn && hasGoneOn && now - begun >= TURN.toNanos();
                makesRoom = !stop && isTurnOver && mapper.isAnybodyWaitingBut(account);
                stop |= makesRoom;
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
