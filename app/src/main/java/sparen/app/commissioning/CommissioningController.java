package sparen.app.commissioning;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.plan.PlanService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Photo;
import sparen.app.web.Refusal;
import sparen.app.web.WhenMade;
import sparen.handover.Commissioning;
import sparen.handover.StepAtVisit;
import sparen.handover.StepAtVisit.StepMark;
import sparen.handover.StepAtVisit.StepPhoto;
import sparen.handover.WorkStep;
import sparen.program.Plan;
import sparen.quantity.Bounds;

/** What is done at a site in which order, made from its newest plan, and what of it is done. */
@RestController
class CommissioningController {
    private static final int MOST_ROUNDS = 1000;

    private static final int MOST_PHOTOS = 300;
    private static final int MOST_PICTURE_BYTES = 2_800_000;

    private final CommissioningMapper mapper;
    private final PlanService plans;
    private final SiteService sites;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final WhenMade made;

    CommissioningController(
            CommissioningMapper mapper,
            PlanService plans,
            SiteService sites,
            AuditLog audit,
            TransactionTemplate transaction,
            WhenMade made) {
        this.mapper = mapper;
        this.plans = plans;
        this.sites = sites;
        this.audit = audit;
        this.transaction = transaction;
        this.made = made;
    }

    /**
     * What is done at a visit.
     *
     * @param round number of the visit, from 1 on; 0 before the first
     * @param begunBy who began it; absent before the first
     * @param begunAt when; absent before the first
     */
    record CommissioningView(int round, Optional<String> begunBy, Optional<Instant> begunAt, List<StepAtVisit> steps) {}

    /**
     * A photo of a step.
     *
     * @param id made by who asks: asked twice it is kept once
     * @param round of the visit
     * @param step id of the step
     * @param picture JPEG or PNG, to 2.8 MB; what a camera writes beside it is not kept
     */
    record NewPhoto(UUID id, int round, String step, byte[] picture) {
        NewPhoto {
            Bounds.present("id", id);
            Bounds.present("step", step);
            Bounds.present("picture", picture);
            Bounds.within("picture", picture.length, "bytes", 1, MOST_PICTURE_BYTES);
        }
    }

    /**
     * A visit that begins.
     *
     * @param number of the visit: one more than the last
     */
    record NewRound(int number) {
        NewRound {
            Bounds.within("number", number, "", 1, MOST_ROUNDS);
        }
    }

    /**
     * That a step was done.
     *
     * @param id made by who asks: asked twice it is kept once
     * @param round of the visit
     * @param step id of the step
     * @param done whether it is; not, where it was marked by mistake
     * @param measured what was measured, to 300 characters; absent for nothing
     * @param note anything worth knowing, to 300 characters; absent for nothing
     */
    record NewMark(UUID id, int round, String step, boolean done, Optional<String> measured, Optional<String> note) {
        NewMark {
            Bounds.present("id", id);
            Bounds.present("step", step);
            measured = text("measured", measured);
            note = text("note", note);
        }

        private static Optional<String> text(String field, Optional<String> given) {
            Optional<String> text = Bounds.orEmpty(given);
            text.ifPresent(one -> Bounds.within(field, one.length(), "characters", 0, 300));
            return text;
        }
    }

    private Plan plan(String siteId) {
        sites.mustExist(siteId);
        return plans.latest(siteId)
                .orElseThrow(() -> Refusal.notFound("A plan of the site"))
                .plan();
    }

    private Instant now() {
        return made.instant();
    }

    /** The steps of commissioning, each with how it stands. */
    @GetMapping("/api/sites/{siteId}/commissioning")
    @Allowed(Role.OBSERVER)
    CommissioningView steps(@PathVariable String siteId) {
        Plan plan = plan(siteId);
        Optional<CommissioningMapper.RoundRow> round = mapper.latest(siteId);
        Map<String, List<StepPhoto>> photos = round.stream()
                .flatMap(one -> mapper.photos(siteId, one.number()).stream())
                .collect(Collectors.groupingBy(
                        CommissioningMapper.PhotoRow::step,
                        Collectors.mapping(
                                one -> new StepPhoto(one.id(), one.takenBy(), one.takenAt()), Collectors.toList())));
        Map<String, StepMark> marks = round.stream()
                .flatMap(one -> mapper.marks(siteId, one.number()).stream())
                .collect(Collectors.toMap(
                        CommissioningMapper.MarkRow::step,
                        one -> new StepMark(
                                one.done(), one.measured(), one.note(), one.madeBy(), one.madeAt(), Optional.empty())));
        return new CommissioningView(
                round.map(CommissioningMapper.RoundRow::number).orElse(0),
                round.map(CommissioningMapper.RoundRow::begunBy),
                round.map(CommissioningMapper.RoundRow::begunAt),
                StepAtVisit.of(plan, marks, photos));
    }

    /** Begins a visit; nothing of it is done yet. Who asks with a number that is there already gets that visit. */
    @PostMapping("/api/sites/{siteId}/commissioning/rounds")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    CommissioningView begin(@PathVariable String siteId, @RequestBody NewRound wanted, Authentication who) {
        plan(siteId);
        int last =
                mapper.latest(siteId).map(CommissioningMapper.RoundRow::number).orElse(0);
        Bounds.within("number", wanted.number(), "", Math.max(1, last), last + 1);
        transaction.executeWithoutResult(status -> {
            if (mapper.begin(siteId, wanted.number(), who.getName(), now()) == 1) {
                audit.note(Deed.COMMISSIONING_BEGUN, siteId, "visit " + wanted.number());
            }
        });
        return steps(siteId);
    }

    /** The step of the newest plan that is meant. */
    private WorkStep step(String siteId, String id) {
        List<WorkStep> all = Commissioning.of(plan(siteId));
        Bounds.known("step", id, all.stream().map(WorkStep::id).toList());
        return all.stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
    }

    /** Refuses what is meant for another visit than the last. */
    private int mustBeLast(String siteId, int round) {
        int last =
                mapper.latest(siteId).map(CommissioningMapper.RoundRow::number).orElse(0);
        if (round != last || last == 0) {
            throw new Refusal(
                    HttpStatus.CONFLICT,
                    "another-visit",
                    last == 0
                            ? "No visit has begun."
                            : "Visit " + last + " has begun meanwhile: nothing more is kept in another.",
                    Map.of());
        }
        return last;
    }

    /** Keeps that a step was done; two people at once keep both. */
    @PostMapping("/api/sites/{siteId}/commissioning/marks")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    CommissioningView mark(@PathVariable String siteId, @RequestBody NewMark mark, Authentication who) {
        WorkStep step = step(siteId, mark.step());
        mark.measured().ifPresent(step::failure);
        mapper.mark(
                siteId,
                mustBeLast(siteId, mark.round()),
                new CommissioningMapper.MarkRow(
                        mark.id(),
                        mark.step(),
                        mark.done(),
                        mark.measured().orElse(""),
                        mark.note().orElse(""),
                        who.getName(),
                        now()));
        return steps(siteId);
    }

    /** Keeps a photo of a step. */
    @PostMapping("/api/sites/{siteId}/commissioning/photos")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    CommissioningView photo(@PathVariable String siteId, @RequestBody NewPhoto photo, Authentication who) {
        step(siteId, photo.step());
        int round = mustBeLast(siteId, photo.round());
        Bounds.within("photos", mapper.photos(siteId, round).size() + 1, "photos of a visit", 1, MOST_PHOTOS);
        mapper.addPhoto(
                siteId,
                round,
                new CommissioningMapper.PhotoRow(photo.id(), photo.step(), who.getName(), now()),
                Photo.redrawn(photo.picture()));
        return steps(siteId);
    }

    /** The picture of a photo. */
    @GetMapping(value = "/api/sites/{siteId}/commissioning/photos/{photo}", produces = MediaType.IMAGE_JPEG_VALUE)
    @Allowed(Role.OBSERVER)
    byte[] picture(@PathVariable String siteId, @PathVariable UUID photo) {
        sites.mustExist(siteId);
        return mapper.jpeg(siteId, photo)
                .orElseThrow(() -> Refusal.notFound("This photo"))
                .jpeg();
    }

    /** Takes a photo of the last visit away. */
    @DeleteMapping("/api/sites/{siteId}/commissioning/photos/{photo}")
    @Allowed(Role.TECHNICIAN)
    CommissioningView remove(@PathVariable String siteId, @PathVariable UUID photo) {
        sites.mustExist(siteId);
        mapper.latest(siteId).ifPresent(round -> mapper.removePhoto(siteId, round.number(), photo));
        return steps(siteId);
    }
}
