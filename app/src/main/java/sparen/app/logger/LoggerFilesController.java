package sparen.app.logger;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.file.FileLayouts;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteService;
import sparen.quantity.Bounds;
import sparen.table.FileKind;

/** Takes the files of loggers in, and away again. */
@RestController
class LoggerFilesController {
    private final LoggerFiles files;
    private final FileLayouts layouts;
    private final SiteService sites;

    LoggerFilesController(LoggerFiles files, FileLayouts layouts, SiteService sites) {
        this.files = files;
        this.layouts = layouts;
        this.sites = sites;
    }

    /**
     * A logger's file that the site has.
     *
     * @param first when its first line was
     * @param last when its last line was
     * @param notes gaps, jumps of its clock, what was left out
     */
    record LoggerFileAbout(
            String id, String name, Instant first, Instant last, int lines, List<String> notes, Instant importedAt) {
        static LoggerFileAbout of(LoggerFileMapper.About about) {
            return new LoggerFileAbout(
                    about.id(),
                    about.name(),
                    about.firstAt(),
                    about.lastAt(),
                    about.lines(),
                    about.notes().lines().toList(),
                    about.importedAt());
        }
    }

    /** The files of a site, in the order of what they recorded. */
    @GetMapping("/api/sites/{siteId}/logger-files")
    @Allowed(Role.OBSERVER)
    List<LoggerFileAbout> list(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return files.list(siteId).stream().map(LoggerFileAbout::of).toList();
    }

    /**
     * Takes a file in, whole or not at all; the same one twice is kept once.
     *
     * @param zone of times without an offset, where the layout has no other
     * @param layout in JSON; absent for as the last with these headings was, or as found
     */
    @PostMapping(path = "/api/sites/{siteId}/logger-files", consumes = "text/csv")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.CREATED)
    LoggerFileAbout take(
            @PathVariable String siteId,
            @RequestParam String name,
            @RequestParam ZoneId zone,
            @RequestParam Optional<String> layout,
            @RequestBody byte[] file,
            Authentication who) {
        sites.mustExist(siteId);
        Bounds.name("name", name);
        return LoggerFileAbout.of(
                files.take(siteId, name, layouts.of(siteId, FileKind.LOGGER, file, layout), zone, who.getName()));
    }

    /** Takes a file away. */
    @DeleteMapping("/api/sites/{siteId}/logger-files/{id}")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable String siteId, @PathVariable String id) {
        sites.mustExist(siteId);
        files.remove(siteId, id);
    }
}
