package sparen.app.bundle;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;

/** A site as a file. */
@RestController
class BundleController {
    private static final String ZIP = "application/zip";

    private final Bundles bundles;
    private final SiteService sites;

    BundleController(Bundles bundles, SiteService sites) {
        this.bundles = bundles;
        this.sites = sites;
    }

    /**
     * The site that a bundle was opened as.
     *
     * @param id of the site, as it is called here
     */
    record OpenedBundle(String id) {}

    /** All of a site as one file that opens in another Sparen: plan with all revisions, profiles, visits, tests, log and photos. */
    @GetMapping(path = "/api/sites/{siteId}/bundle", produces = ZIP)
    @Allowed(Role.OBSERVER)
    void bundle(@PathVariable String siteId, HttpServletResponse response) throws IOException {
        sites.mustExist(siteId);
        response.setContentType(ZIP);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(siteId + ".sparen.zip")
                        .build()
                        .toString());
        bundles.write(siteId, response.getOutputStream());
    }

    /** Opens a site that came as a bundle: whole, or not at all. People it names who are not here are made, and may not sign in. */
    @PostMapping(path = "/api/sites/bundles", consumes = ZIP)
    @Allowed(value = Role.ADMINISTRATOR, bySession = true)
    @ResponseStatus(HttpStatus.CREATED)
    OpenedBundle open(@RequestBody byte[] bundle, Authentication who) {
        return new OpenedBundle(bundles.open(bundle, who));
    }
}
