package sparen.app.live;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import sparen.app.plan.PlanService;
import sparen.app.web.Refusal;
import sparen.app.wire.Connections;
import sparen.app.wire.DeviceOnWire;
import sparen.app.wire.Line;
import sparen.app.wire.LineProblem;
import sparen.device.LiveRegister.What;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** What devices measure: asked, kept, and thinned as it ages. */
@Service
public class Measurements {
    /** Whoever looks sees what was asked just before, and the device is left alone. */
    private static final Duration FRESH = Duration.ofSeconds(9);
    /** How old something is, and of how long a while (s) two measurements stay then; the oldest last. */
    private static final List<Age> AGES = List.of(
            new Age(Duration.ofHours(1), 60),
            new Age(Duration.ofDays(1), 15 * 60),
            new Age(Duration.ofDays(31), 6 * 3600));

    private static final int MOST_DEVICES = 500;

    private record Age(Duration from, int seconds) {}

    /** A device as a revision has it: its registers do not change but with the plan. */
    private record Fitted(String siteId, String device, int revision) {}

    private final MeasurementMapper mapper;
    private final Connections connections;
    private final PlanService plans;
    private final JsonMapper json;
    private final Clock clock;
    private final Cache<Fitted, DeviceOnWire> fitted =
            Caffeine.newBuilder().maximumSize(MOST_DEVICES).build();

    Measurements(MeasurementMapper mapper, Connections connections, PlanService plans, JsonMapper json, Clock clock) {
        this.mapper = mapper;
        this.connections = connections;
        this.plans = plans;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What a device measures.
     *
     * @param numbers V, A into the battery, %, W
     * @param closed whether each contact is closed, by the id of its output
     */
    public record Measurement(Instant at, Map<What, Double> numbers, Map<String, Boolean> closed) {}

    /**
     * What is measured at a site.
     *
     * @param at when last; absent where nothing is connected, or nothing answers
     * @param numbers V, A into the battery, %, W; of two devices that measure the same the later
     */
    public record MeasuredNow(Optional<Instant> at, Map<What, Double> numbers) {}

    /** What the devices of a site measured within the last minute. */
    MeasuredNow latest(String siteId) {
        List<MeasurementMapper.Row> rows = mapper.latest(siteId);
        return now(
                rows.isEmpty() ? null : rows.get(rows.size() - 1).at(),
                rows.stream().map(MeasurementMapper.Row::numbers).toList());
    }

    /**
     * What some measurements come to.
     *
     * @param at when the last was; null for none
     * @param numbers of each in JSON, the oldest first
     */
    public MeasuredNow now(Instant at, List<String> numbers) {
        Map<What, Double> all = new EnumMap<>(What.class);
        numbers.forEach(one -> all.putAll(json.readValue(one, new TypeReference<Map<What, Double>>() {})));
        return new MeasuredNow(Optional.ofNullable(at), all);
    }

    /** A device as the newest revision has it. */
    DeviceOnWire device(String siteId, String device) {
        Supplier<Refusal> noPlan = () -> Refusal.notFound("A plan of the site");
        int revision = plans.newest(siteId).orElseThrow(noPlan);
        return fitted.get(
                new Fitted(siteId, device, revision),
                key -> DeviceOnWire.of(plans.latest(siteId).orElseThrow(noPlan).plan(), device));
    }

    /** What a device measures now, or did within the last seconds. */
    Measurement now(String siteId, String device) throws LineProblem {
        List<Measurement> latest = since(siteId, device, clock.instant().minus(FRESH));
        if (!latest.isEmpty()) {
            return latest.get(latest.size() - 1);
        }
        DeviceOnWire wired = device(siteId, device);
        try (Line line = connections.openToRead(siteId, device)) {
            return ask(siteId, wired, line);
        }
    }

    /** Asks a device and keeps what it answers. */
    Measurement ask(String siteId, DeviceOnWire wired, Line line) throws LineProblem {
        DeviceOnWire.Measured measured = wired.measure(line);
        Instant at = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        mapper.keep(
                siteId,
                wired.device().id(),
                new MeasurementMapper.Row(
                        at,
                        measured.numbers().get(What.BATTERY_VOLTS),
                        json.writeValueAsString(measured.numbers()),
                        json.writeValueAsString(measured.closed())));
        return new Measurement(at, measured.numbers(), measured.closed());
    }

    /** What a device measured from an instant on, the oldest first. */
    List<Measurement> since(String siteId, String device, Instant from) {
        return mapper.since(siteId, device, from).stream()
                .map(row -> new Measurement(
                        row.at(),
                        json.readValue(row.numbers(), new TypeReference<>() {}),
                        json.readValue(row.closed(), new TypeReference<>() {})))
                .toList();
    }

    /** Thins what has become older: after an hour, a day and a month. */
    public void thin() {
        for (int i = 0; i < AGES.size(); i++) {
            Instant before = clock.instant().minus(AGES.get(i).from());
            Instant from =
                    i + 1 < AGES.size() ? clock.instant().minus(AGES.get(i + 1).from()) : Instant.EPOCH;
            mapper.thin(from, before, AGES.get(i).seconds());
        }
    }
}
