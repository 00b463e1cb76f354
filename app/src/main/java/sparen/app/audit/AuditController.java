package sparen.app.audit;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.export.Csv;

/** The trail as administrators read it. */
@RestController
class AuditController {
    private static final int PAGE = 100;
    private static final int MOST_EXPORTED = 100_000;
    private static final String NEWEST = "9223372036854775807";

    private final AuditMapper mapper;

    AuditController(AuditMapper mapper) {
        this.mapper = mapper;
    }

    /**
     * The newest first, a hundred at a time.
     *
     * @param before only those before this id
     * @param account only of this one; empty for all
     * @param site only at this one; empty for all
     */
    @GetMapping("/api/audit")
    @Allowed(Role.ADMINISTRATOR)
    List<AuditEntry> list(
            @RequestParam(defaultValue = NEWEST) long before,
            @RequestParam(defaultValue = "") String account,
            @RequestParam(defaultValue = "") String site) {
        return mapper.list(before, account, site, PAGE);
    }

    /** The newest hundred thousand as a table. */
    @GetMapping(path = "/api/audit.csv", produces = "text/csv")
    @Allowed(Role.ADMINISTRATOR)
    String export(
            @RequestParam(defaultValue = NEWEST) long before,
            @RequestParam(defaultValue = "") String account,
            @RequestParam(defaultValue = "") String site) {
        return Csv.of(table -> {
            table.writeRecord("at", "account", "token", "address", "deed", "site", "detail");
            for (AuditEntry one : mapper.list(before, account, site, MOST_EXPORTED)) {
                table.writeRecord(
                        one.at().toString(),
                        one.account(),
                        one.via(),
                        one.address(),
                        one.deed().name(),
                        one.site(),
                        one.detail());
            }
        });
    }
}
