package sparen.app.benchtest;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.WhenMade;
import sparen.handover.BenchTestView;
import sparen.handover.Provocation.Today;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** Programs tried on site, level by level, and signed. */
@RestController
class BenchTestController {
    private static final double MOST = 1e6;

    private final BenchTests tests;
    private final SiteService sites;
    private final WhenMade made;

    BenchTestController(BenchTests tests, SiteService sites, WhenMade made) {
        this.tests = tests;
        this.sites = sites;
        this.made = made;
    }

    /** An id made by who asks: asked twice it is begun once. */
    record NewBenchTest(UUID id) {
        NewBenchTest {
            Bounds.present("id", id);
        }
    }

    /**
     * What was measured at a step.
     *
     * @param id made by who asks: asked twice it is kept once
     * @param measured where the contact moved, in the step's unit, −1e6 to 1e6; absent where the step is left out, which the note says why
     * @param afterSeconds after how long (s), 0 to 1e6; absent where nobody looked at a watch
     * @param setTo what the level was set to for the test, −1e6 to 1e6; absent where it was as planned
     * @param instrument what it was measured with; absent where the step is left out
     * @param note anything worth knowing, to 300 characters; absent for nothing
     */
    record NewResult(
            UUID id,
            String step,
            Optional<Double> measured,
            Optional<Double> afterSeconds,
            Optional<Double> setTo,
            Optional<String> instrument,
            Optional<String> note) {
        NewResult {
            Bounds.present("id", id);
            Bounds.present("step", step);
            measured = Bounds.orEmpty(measured);
            measured.ifPresent(value -> Bounds.within("measured", value, "", -MOST, MOST));
            afterSeconds = Bounds.orEmpty(afterSeconds);
            afterSeconds.ifPresent(value -> Bounds.within("afterSeconds", value, "s", 0, MOST));
            setTo = Bounds.orEmpty(setTo);
            setTo.ifPresent(value -> Bounds.within("setTo", value, "", -MOST, MOST));
            instrument = Bounds.name("instrument", instrument);
            note = Bounds.orEmpty(note).filter(text -> !text.isBlank());
            note.ifPresent(text -> Bounds.within("note", text.length(), "characters", 0, 300));
            if (measured.isEmpty() && note.isEmpty()) {
                throw new InvalidQuantity("note", "has to say why the step is left out");
            }
            if (measured.isPresent() && instrument.isEmpty()) {
                throw new InvalidQuantity("instrument", "has to say what it was measured with");
            }
        }
    }

    /**
     * Something plugged in for the test.
     *
     * @param id made by who asks: asked twice it is noted once
     * @param what it is, such as a balancer, a charger, a laptop
     */
    record NewPlugged(UUID id, String what) {
        NewPlugged {
            Bounds.present("id", id);
            Bounds.name("what", what);
        }
    }

    /** All tests of a site, the newest first. */
    @GetMapping("/api/sites/{siteId}/bench-tests")
    @Allowed(Role.OBSERVER)
    List<BenchTestView> list(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return tests.list(siteId);
    }

    /**
     * A test.
     *
     * @param volts of the battery now (V), so that it can be said to what levels are set; absent where nobody knows
     * @param percent its state of charge now; absent where nobody knows
     * @param arrayWatts what the arrays give now (W); absent where nobody knows
     */
    @GetMapping("/api/sites/{siteId}/bench-tests/{test}")
    @Allowed(Role.OBSERVER)
    BenchTestView test(
            @PathVariable String siteId,
            @PathVariable UUID test,
            @RequestParam Optional<Double> volts,
            @RequestParam Optional<Double> percent,
            @RequestParam Optional<Double> arrayWatts) {
        sites.mustExist(siteId);
        volts.ifPresent(value -> Bounds.above("volts", value, "V", 0, 1000));
        percent.ifPresent(value -> Bounds.within("percent", value, "%", 0, 100));
        arrayWatts.ifPresent(value -> Bounds.within("arrayWatts", value, "W", 0, 1e6));
        return tests.find(siteId, test, new Today(volts, percent, arrayWatts));
    }

    /** Begins a bench test of the newest revision. */
    @PostMapping("/api/sites/{siteId}/bench-tests")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    BenchTestView begin(@PathVariable String siteId, @RequestBody NewBenchTest wanted, Authentication who) {
        sites.mustExist(siteId);
        tests.begin(siteId, wanted.id(), who.getName());
        return tests.find(siteId, wanted.id(), Today.UNKNOWN);
    }

    /** Keeps what was measured at a step; what was measured there before stays too. */
    @PostMapping("/api/sites/{siteId}/bench-tests/{test}/results")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    BenchTestView measured(
            @PathVariable String siteId, @PathVariable UUID test, @RequestBody NewResult result, Authentication who) {
        sites.mustExist(siteId);
        tests.measured(
                siteId,
                test,
                new BenchTestMapper.ResultRow(
                        result.id(),
                        result.step(),
                        result.measured().orElse(null),
                        result.afterSeconds().orElse(null),
                        result.setTo().orElse(null),
                        result.instrument().orElse(""),
                        result.note().orElse(""),
                        who.getName(),
                        made.instant()));
        return tests.find(siteId, test, Today.UNKNOWN);
    }

    /** Notes that something was plugged in for the test and has to be taken away after it. */
    @PostMapping("/api/sites/{siteId}/bench-tests/{test}/plugged")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    BenchTestView plug(
            @PathVariable String siteId, @PathVariable UUID test, @RequestBody NewPlugged plugged, Authentication who) {
        sites.mustExist(siteId);
        tests.plug(siteId, test, plugged.id(), plugged.what(), who.getName());
        return tests.find(siteId, test, Today.UNKNOWN);
    }

    /** It was taken away. */
    @PostMapping("/api/sites/{siteId}/bench-tests/{test}/plugged/{plugged}/unplugging")
    @Allowed(Role.TECHNICIAN)
    BenchTestView unplug(
            @PathVariable String siteId, @PathVariable UUID test, @PathVariable UUID plugged, Authentication who) {
        sites.mustExist(siteId);
        tests.unplug(siteId, test, plugged, who.getName());
        return tests.find(siteId, test, Today.UNKNOWN);
    }

    /** Signs it with the name of who is signed in; from then on nothing of it changes. */
    @PostMapping("/api/sites/{siteId}/bench-tests/{test}/signature")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    BenchTestView sign(@PathVariable String siteId, @PathVariable UUID test, Authentication who) {
        sites.mustExist(siteId);
        tests.sign(siteId, test, who.getName());
        return tests.find(siteId, test, Today.UNKNOWN);
    }

    /** Ends it unsigned; what was measured stays to be read. */
    @PostMapping("/api/sites/{siteId}/bench-tests/{test}/ending")
    @Allowed(value = Role.TECHNICIAN, bySession = true)
    BenchTestView end(@PathVariable String siteId, @PathVariable UUID test, Authentication who) {
        sites.mustExist(siteId);
        tests.end(siteId, test, who.getName());
        return tests.find(siteId, test, Today.UNKNOWN);
    }
}
