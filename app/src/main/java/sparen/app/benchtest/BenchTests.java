package sparen.app.benchtest;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.apache.commons.codec.digest.DigestUtils;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.handover.DeviceReadings;
import sparen.app.plan.PlanService;
import sparen.app.site.SiteContent;
import sparen.app.web.Refusal;
import sparen.app.web.WhenMade;
import sparen.handover.BenchTestView;
import sparen.handover.BenchTestView.PluggedIn;
import sparen.handover.BenchTestView.StepResult;
import sparen.handover.BenchTestView.TriedStep;
import sparen.handover.Provocation.Today;
import sparen.handover.TestStep;
import sparen.program.Plan;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Programs tried on site. */
@Service
class BenchTests implements SiteContent {
    private final BenchTestMapper mapper;
    private final PlanService plans;
    private final DeviceReadings readings;
    private final AuditLog audit;
    private final JsonMapper json;
    private final WhenMade made;

    BenchTests(
            BenchTestMapper mapper,
            PlanService plans,
            DeviceReadings readings,
            AuditLog audit,
            JsonMapper json,
            WhenMade made) {
        this.mapper = mapper;
        this.plans = plans;
        this.readings = readings;
        this.audit = audit;
        this.json = json;
        this.made = made;
    }

    private PlanService.Loaded latest(String siteId) {
        return plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of the site"));
    }

    private Instant now() {
        return made.instant();
    }

    /** All tests of a site, the newest first. */
    List<BenchTestView> list(String siteId) {
        PlanService.Loaded latest = latest(siteId);
        List<TestStep> steps = TestStep.of(latest.plan());
        return mapper.of(siteId).stream()
                .map(row -> view(siteId, row, latest.plan(), steps, Today.UNKNOWN))
                .toList();
    }

    @Override
    public void mustBeReadable(String siteId) {
        list(siteId);
    }

    BenchTestView find(String siteId, UUID id, Today today) {
        PlanService.Loaded latest = latest(siteId);
        return view(siteId, row(siteId, id), latest.plan(), TestStep.of(latest.plan()), today);
    }

    private BenchTestMapper.Row row(String siteId, UUID id) {
        return mapper.find(siteId, id).orElseThrow(() -> Refusal.notFound("This test"));
    }

    private BenchTestView view(String siteId, BenchTestMapper.Row row, Plan newest, List<TestStep> now, Today today) {
        List<TestStep> steps = json.readValue(row.steps(), new TypeReference<>() {});
        List<BenchTestMapper.ResultRow> results = mapper.results(row.id());
        return new BenchTestView(
                        row.id(),
                        row.revision(),
                        row.begunBy(),
                        row.begunAt(),
                        row.signed(),
                        Optional.ofNullable(row.endedBy()),
                        Optional.ofNullable(row.endedAt()),
                        Optional.ofNullable(row.checksum()),
                        steps.stream().map(step -> tried(step, results)).toList(),
                        mapper.plugged(row.id()).stream()
                                .map(BenchTests::plugged)
                                .toList(),
                        row.endedAt() == null ? atDevices(siteId, newest) : List.of(),
                        List.of())
                .judged(newest, now, today);
    }

    private static TriedStep tried(TestStep step, List<BenchTestMapper.ResultRow> all) {
        List<BenchTestMapper.ResultRow> results =
                all.stream().filter(one -> one.step().equals(step.id())).toList();
        Optional<StepResult> last = results.stream()
                .reduce((earlier, later) -> later)
                .map(one -> new StepResult(
                        Optional.ofNullable(one.measured()),
                        Optional.ofNullable(one.afterSeconds()),
                        Optional.ofNullable(one.setTo()),
                        one.instrument(),
                        one.note(),
                        one.measuredBy(),
                        one.measuredAt()));
        return TriedStep.of(step, last, results.size());
    }

    private static PluggedIn plugged(BenchTestMapper.PluggedRow row) {
        return new PluggedIn(
                row.id(),
                row.what(),
                row.pluggedBy(),
                row.pluggedAt(),
                Optional.ofNullable(row.removedBy()),
                Optional.ofNullable(row.removedAt()));
    }

    /** What devices hold that keeps a test from being signed. */
    private List<String> atDevices(String siteId, Plan newest) {
        return Stream.concat(
                        mapper.halfWritten(siteId).stream()
                                .map(device -> "something was sent to " + name(newest, device) + " and not to its end"),
                        readings.drifted(siteId, newest).stream()
                                .map(device -> name(newest, device) + " holds something that is not planned"))
                .toList();
    }

    private static String name(Plan plan, String device) {
        return plan.program().devices().stream()
                .filter(one -> one.id().equals(device))
                .map(one -> one.name())
                .findFirst()
                .orElse(device);
    }

    /**
     * Begins a test of the newest plan.
     *
     * @param id made by who asks: asked twice it is begun once
     * @throws Refusal when another goes on, or nothing of the plan can be tried
     */
    @Transactional
    public void begin(String siteId, UUID id, String account) {
        if (mapper.find(siteId, id).isPresent()) {
            return;
        }
        PlanService.Loaded latest = latest(siteId);
        List<TestStep> steps = TestStep.of(latest.plan());
        if (steps.isEmpty()) {
            throw new Refusal(
                    HttpStatus.CONFLICT, "nothing-to-try", "No output of the newest plan goes by a level.", Map.of());
        }
        try {
            mapper.insert(id, siteId, latest.revision().number(), account, now(), json.writeValueAsString(steps));
        } catch (DuplicateKeyException open) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "open-test",
                    "Another test of this site goes on. Sign it or end it first.",
                    Map.of());
        }
        audit.note(Deed.TEST_BEGUN, siteId, "revision " + latest.revision().number() + ", " + steps.size() + " levels");
    }

    /**
     * Keeps what was measured; what was measured before stays.
     *
     * @throws InvalidQuantity when the test has no such step
     */
    @Transactional
    public void measured(String siteId, UUID test, BenchTestMapper.ResultRow result) {
        List<TestStep> steps = json.readValue(row(siteId, test).steps(), new TypeReference<>() {});
        Bounds.known("step", result.step(), steps.stream().map(TestStep::id).toList());
        mustGoOn(test);
        mapper.addResult(test, result);
    }

    /** Notes something that was plugged in. */
    @Transactional
    public void plug(String siteId, UUID test, UUID id, String what, String account) {
        row(siteId, test);
        mustGoOn(test);
        mapper.plug(test, id, what, account, now());
    }

    /** Notes that it was taken away. */
    @Transactional
    public void unplug(String siteId, UUID test, UUID id, String account) {
        row(siteId, test);
        mustGoOn(test);
        mapper.unplug(test, id, account, now());
    }

    private void mustGoOn(UUID test) {
        if (!mapper.lock(test)) {
            throw new Refusal(
                    HttpStatus.CONFLICT, "ended", "This test has ended: nothing of it changes any more.", Map.of());
        }
    }

    /**
     * Signs a test: from then on nothing of it changes.
     *
     * @throws Refusal when something keeps it from that
     */
    @Transactional
    public void sign(String siteId, UUID test, String account) {
        mustGoOn(row(siteId, test).id());
        BenchTestView view = find(siteId, test, Today.UNKNOWN);
        if (!view.blocking().isEmpty()) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "not-ready",
                    "It cannot be signed yet: " + String.join("; ", view.blocking()) + ".",
                    Map.of());
        }
        mapper.end(test, true, account, now(), DigestUtils.sha256Hex(json.writeValueAsString(view)));
        audit.note(
                Deed.TEST_SIGNED,
                siteId,
                "revision " + view.revision() + ", " + view.steps().size() + " levels");
    }

    /** Ends a test unsigned; what was measured stays to be read. */
    @Transactional
    public void end(String siteId, UUID test, String account) {
        mustGoOn(row(siteId, test).id());
        mapper.end(test, false, account, now(), null);
        audit.note(Deed.TEST_ENDED, siteId, "unsigned");
    }
}
