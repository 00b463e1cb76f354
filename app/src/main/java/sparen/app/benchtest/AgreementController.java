package sparen.app.benchtest;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.plan.PlanService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.handover.OwnersMatter;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** What owners have agreed to. */
@RestController
class AgreementController {
    private final AgreementMapper mapper;
    private final PlanService plans;
    private final SiteService sites;
    private final AuditLog audit;
    private final Clock clock;

    AgreementController(AgreementMapper mapper, PlanService plans, SiteService sites, AuditLog audit, Clock clock) {
        this.mapper = mapper;
        this.plans = plans;
        this.sites = sites;
        this.audit = audit;
        this.clock = clock;
    }

    /**
     * What of the newest revision the owner has agreed to.
     *
     * @param revision the newest
     * @param since the revision that the owner agreed to or lived with last: the first, where there is none
     * @param changes what has changed since that the owner pays for or lives with, in words
     * @param agreed that they agreed to the newest; absent while nobody has asked them
     */
    record AgreementView(int revision, int since, List<String> changes, Optional<Agreement> agreed) {}

    /** That somebody agreed. */
    record Agreement(String agreedBy, LocalDate agreedOn, String notedBy, Instant notedAt) {}

    /**
     * Who agreed, and when.
     *
     * @param revision that they agreed to: the newest
     * @param agreedBy a name
     * @param agreedOn the day
     */
    record NewAgreement(int revision, String agreedBy, LocalDate agreedOn) {
        NewAgreement {
            Bounds.name("agreedBy", agreedBy);
            Bounds.present("agreedOn", agreedOn);
            Bounds.within("agreedOn", agreedOn.getYear(), "(year)", 1990, 2100);
        }
    }

    private PlanService.Loaded latest(String siteId) {
        sites.mustExist(siteId);
        return plans.latest(siteId).orElseThrow(() -> Refusal.notFound("A plan of the site"));
    }

    /** What changed since the owner last agreed that they should know of, and whether they agreed to it. */
    @GetMapping("/api/sites/{siteId}/agreement")
    @Allowed(Role.OBSERVER)
    AgreementView agreement(@PathVariable String siteId) {
        PlanService.Loaded latest = latest(siteId);
        int newest = latest.revision().number();
        Optional<AgreementMapper.Row> last = mapper.last(siteId, newest);
        Optional<Agreement> agreed = last.filter(row -> row.revision() == newest)
                .map(row -> new Agreement(row.agreedBy(), row.agreedOn(), row.notedBy(), row.notedAt()));
        Optional<AgreementMapper.Row> before = newest == 0 ? Optional.empty() : mapper.last(siteId, newest - 1);
        int since = Math.max(
                before.map(AgreementMapper.Row::revision).orElse(0),
                Optional.ofNullable(mapper.lastSigned(siteId, newest)).orElse(0));
        return new AgreementView(
                newest,
                since,
                OwnersMatter.between(plans.revision(siteId, since).plan(), latest.plan()),
                agreed);
    }

    /** Notes that the owner agreed to the newest revision. */
    @PutMapping("/api/sites/{siteId}/agreement")
    @Allowed(Role.TECHNICIAN)
    @Transactional
    public AgreementView agree(@PathVariable String siteId, @RequestBody NewAgreement wanted, Authentication who) {
        int newest = latest(siteId).revision().number();
        if (wanted.revision() != newest) {
            throw new InvalidQuantity(
                    "revision",
                    "they agreed to revision " + wanted.revision() + ", and the newest is " + newest
                            + ": ask them about that one");
        }
        mapper.put(
                siteId,
                new AgreementMapper.Row(
                        newest,
                        wanted.agreedBy(),
                        wanted.agreedOn(),
                        who.getName(),
                        clock.instant().truncatedTo(ChronoUnit.MILLIS)));
        audit.note(Deed.AGREEMENT_NOTED, siteId, "revision " + newest + ", " + wanted.agreedBy());
        return agreement(siteId);
    }

    /** Takes back that they agreed. */
    @DeleteMapping("/api/sites/{siteId}/agreement")
    @Allowed(Role.TECHNICIAN)
    @Transactional
    public AgreementView takeBack(@PathVariable String siteId) {
        int newest = latest(siteId).revision().number();
        if (mapper.remove(siteId, newest) == 1) {
            audit.note(Deed.AGREEMENT_TAKEN_BACK, siteId, "revision " + newest);
        }
        return agreement(siteId);
    }
}
