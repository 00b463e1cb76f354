package sparen.app.sheet;

import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.plan.PlanService;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.device.FittedDevice;
import sparen.handover.SettingsSheet;

/** Settings sheets as PDF. */
@RestController
class SheetController {
    private final PlanService plans;
    private final SiteService sites;
    private final PdfWriter pdf;

    SheetController(PlanService plans, SiteService sites, PdfWriter pdf) {
        this.plans = plans;
        this.sites = sites;
        this.pdf = pdf;
    }

    /** The sheet of a device as a revision has it, to be printed and signed at the cabinet. */
    @GetMapping(
            value = "/api/sites/{siteId}/revisions/{number}/devices/{device}/sheet",
            produces = MediaType.APPLICATION_PDF_VALUE)
    @Allowed(Role.OBSERVER)
    ResponseEntity<byte[]> sheet(@PathVariable String siteId, @PathVariable int number, @PathVariable String device) {
        sites.mustExist(siteId);
        PlanService.Loaded loaded = plans.revision(siteId, number);
        FittedDevice fitted = loaded.plan().program().devices().stream()
                .filter(one -> one.id().equals(device))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("A device \"" + device + "\" in this revision"));
        SettingsSheet sheet = SettingsSheet.of(loaded.plan(), fitted);
        SheetPage page = new SheetPage(
                loaded.plan(), fitted, sheet, number, loaded.revision().savedAt());
        String name = "%s-%s-revision-%d.pdf".formatted(siteId, device, number);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline().filename(name).build().toString())
                .body(pdf.pdf(page.html()));
    }
}
