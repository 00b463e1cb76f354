package sparen.app.plan;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.profile.ProfileService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.export.StructuredText;
import sparen.export.Tables;
import sparen.program.Output;
import sparen.program.Plan;

/** Revisions in formats that other programs read. */
@RestController
class ExportsController {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);
    private static final MediaType PLAIN = new MediaType("text", "plain", StandardCharsets.UTF_8);

    private final PlanService plans;
    private final ProfileService profiles;
    private final SiteService sites;

    ExportsController(PlanService plans, ProfileService profiles, SiteService sites) {
        this.plans = plans;
        this.profiles = profiles;
        this.sites = sites;
    }

    /** The levels of a revision as a table: outputs, volts or state of charge, delays. */
    @GetMapping("/api/sites/{siteId}/revisions/{number}/levels.csv")
    @Allowed(Role.OBSERVER)
    ResponseEntity<String> levels(@PathVariable String siteId, @PathVariable int number) {
        Plan plan = plan(siteId, number);
        String name = siteId + "-" + number + "-levels.csv";
        return file(name, CSV, Tables.levels(plan, profiles.namedIn(siteId, plan)));
    }

    /** The outputs of a revision as a table: devices, terminals, loads, rules. */
    @GetMapping("/api/sites/{siteId}/revisions/{number}/outputs.csv")
    @Allowed(Role.OBSERVER)
    ResponseEntity<String> outputs(@PathVariable String siteId, @PathVariable int number) {
        return file(siteId + "-" + number + "-outputs.csv", CSV, Tables.outputs(plan(siteId, number)));
    }

    /** The logic of an output as structured text. */
    @GetMapping("/api/sites/{siteId}/revisions/{number}/logic/{output}")
    @Allowed(Role.OBSERVER)
    ResponseEntity<String> logic(@PathVariable String siteId, @PathVariable int number, @PathVariable String output) {
        Plan plan = plan(siteId, number);
        Output named = plan.program().outputs().stream()
                .filter(one -> one.id().equals(output))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("An output \"" + output + "\""));
        return file(siteId + "-" + number + "-" + output + ".st", PLAIN, StructuredText.of(plan, named));
    }

    private Plan plan(String siteId, int number) {
        sites.mustExist(siteId);
        return plans.revision(siteId, number).plan();
    }

    private static ResponseEntity<String> file(String name, MediaType type, String text) {
        String disposition =
                ContentDisposition.attachment().filename(name).build().toString();
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition)
                .body(text);
    }
}
