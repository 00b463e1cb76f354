package sparen.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.right.Allowed;
import sparen.app.right.Role;
import sparen.app.site.SiteContent;
import sparen.app.site.SiteService;
import sparen.app.web.Refusal;
import sparen.bench.BenchScript;
import sparen.quantity.Bounds;
import tools.jackson.databind.json.JsonMapper;

/** Scripts of the bench, kept under a name. */
@RestController
class BenchScriptsController implements SiteContent {
    private final BenchScriptMapper mapper;
    private final SiteService sites;
    private final JsonMapper json;
    private final Clock clock;
    private final AuditLog audit;

    BenchScriptsController(BenchScriptMapper mapper, SiteService sites, JsonMapper json, Clock clock, AuditLog audit) {
        this.audit = audit;
        this.mapper = mapper;
        this.sites = sites;
        this.json = json;
        this.clock = clock;
    }

    /**
     * A script to be kept.
     *
     * @param name by which it is found; one of the same name gives way
     * @param live whether a model battery answered
     * @param seconds how far it was played (s), 0 to a week
     */
    record NamedScript(String name, boolean live, double seconds, BenchScript script) {
        NamedScript {
            Bounds.name("name", name);
            Bounds.within("seconds", seconds, 0, BenchScript.MOST_SECONDS);
            Bounds.present("script", script);
        }
    }

    /** A script that is kept. */
    record KeptScript(NamedScript script, String author, Instant savedAt) {}

    /** The site's kept bench scripts. */
    @GetMapping("/api/sites/{siteId}/bench-scripts")
    @Allowed(Role.OBSERVER)
    List<KeptScript> list(@PathVariable String siteId) {
        sites.mustExist(siteId);
        return mapper.list(siteId).stream().map(this::kept).toList();
    }

    /** Keeps a bench script by its name. */
    @PutMapping("/api/sites/{siteId}/bench-scripts")
    @Allowed(Role.TECHNICIAN)
    @Transactional
    List<KeptScript> save(@PathVariable String siteId, @RequestBody NamedScript script, Authentication who) {
        sites.mustExist(siteId);
        String turns = json.writeValueAsString(script.script());
        mapper.save(
                siteId,
                new BenchScriptMapper.Stored(
                        script.name(), script.live(), script.seconds(), turns, who.getName(), clock.instant()));
        audit.note(Deed.BENCH_SCRIPT_KEPT, siteId, script.name());
        return list(siteId);
    }

    @Override
    public void mustBeReadable(String siteId) {
        list(siteId);
    }

    /** Throws a bench script away. */
    @DeleteMapping("/api/sites/{siteId}/bench-scripts")
    @Allowed(Role.TECHNICIAN)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Transactional
    void remove(@PathVariable String siteId, @RequestParam String name) {
        if (mapper.remove(siteId, name) == 0) {
            throw Refusal.notFound("A script \"" + name + "\"");
        }
        audit.note(Deed.BENCH_SCRIPT_REMOVED, siteId, name);
    }

    private KeptScript kept(BenchScriptMapper.Stored stored) {
        BenchScript script = json.readValue(stored.turns(), BenchScript.class);
        return new KeptScript(
                new NamedScript(stored.name(), stored.live(), stored.seconds(), script),
                stored.author(),
                stored.savedAt());
    }
}
