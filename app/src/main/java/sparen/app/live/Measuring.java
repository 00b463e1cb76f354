package sparen.app.live;

import java.time.Duration;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import sparen.app.plan.UnreadablePlan;
import sparen.app.web.Refusal;
import sparen.app.wire.Connections;
import sparen.app.wire.Connections.Due;
import sparen.app.wire.DeviceOnWire;
import sparen.app.wire.Line;
import sparen.app.wire.LineProblem;
import sparen.quantity.InvalidQuantity;

/**
 * Asks the devices that are connected what they measure, again and again, and reads their menus every so many hours. Of several nodes one
 * asks a device; nobody asks one that is written to; one that is silent is asked ever more seldom.
 */
@Component
public class Measuring implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(Measuring.class);
    private static final Duration USUAL = Duration.ofSeconds(10);
    /** A silent device keeps one waiting for some seconds: the others go on. */
    private static final int AT_ONCE = 32;

    private final Connections connections;
    private final Measurements measurements;
    private final WiredMenus menus;
    private final Duration every;
    private final boolean byItself;
    private final AtomicInteger underWay = new AtomicInteger();
    private ScheduledExecutorService beat;
    private ExecutorService threads;

    /** @param every how often a device is asked; 0 for never by itself */
    Measuring(
            Connections connections,
            Measurements measurements,
            WiredMenus menus,
            @Value("${sparen.measure-every}") Duration every) {
        this.connections = connections;
        this.measurements = measurements;
        this.menus = menus;
        byItself = !every.isZero();
        this.every = byItself ? every : USUAL;
    }

    @Override
    public void start() {
        threads = Executors.newFixedThreadPool(AT_ONCE);
        beat = Executors.newSingleThreadScheduledExecutor();
        if (byItself) {
            beat.scheduleWithFixedDelay(() -> unharmed(this::askDue), 3, 1, TimeUnit.SECONDS);
            beat.scheduleWithFixedDelay(() -> unharmed(measurements::thin), 1, 60, TimeUnit.MINUTES);
        }
    }

    @Override
    public void stop() {
        beat.shutdownNow();
        threads.shutdownNow();
        beat = null;
    }

    @Override
    public boolean isRunning() {
        return beat != null;
    }

    /** A database that is away for a while does not end the beat. */
    private static void unharmed(Runnable does) {
        try {
            does.run();
        } catch (DataAccessException away) {
            LOG.warn("devices were not asked: {}", away.getMessage());
        } catch (RuntimeException failed) {
            LOG.error("devices were not asked", failed);
        }
    }

    /** Begins to ask all whose time has come; what is under way. */
    public List<? extends Future<?>> askDue() {
        int free = AT_ONCE - underWay.get();
        List<Due> taken = free > 0 ? connections.takeDue(free) : List.of();
        underWay.addAndGet(taken.size());
        return taken.stream()
                .map(due -> threads.submit(() -> unharmed(() -> ask(due))))
                .toList();
    }

    private void ask(Due due) {
        try {
            DeviceOnWire wired = measurements.device(due.siteId(), due.device());
            try (Line line = connections.openToRead(due.siteId(), due.device())) {
                measurements.ask(due.siteId(), wired, line);
                if (due.readsMenu()) {
                    menus.keepIfOther(wired, due.siteId(), wired.read(line, wired.entries()), due.setBy());
                    connections.menuRead(due);
                }
            }
            connections.answered(due, every);
        } catch (LineProblem | InvalidQuantity | UnreadablePlan told) {
            // Nobody answers, its network is allowed no longer, or nobody knows its registers.
            connections.silent(due, told.getMessage(), every);
        } catch (Refusal refused) {
            // While somebody writes to it nothing is wrong; what cannot be is told where somebody looks.
            if (refused.status() != HttpStatus.CONFLICT) {
                connections.silent(due, refused.getMessage(), every);
            }
        } finally {
            underWay.decrementAndGet();
        }
    }
}
