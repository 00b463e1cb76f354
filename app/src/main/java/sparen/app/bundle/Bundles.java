package sparen.app.bundle;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import sparen.app.account.Accounts;
import sparen.app.audit.AuditLog;
import sparen.app.audit.Deed;
import sparen.app.crew.Crews;
import sparen.app.plan.PlanSaved;
import sparen.app.site.SiteContent;
import sparen.app.site.SiteService;
import sparen.app.web.DatabaseAway;
import sparen.app.web.Refusal;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Puts sites into bundles and opens them: a zip of lines of JSON, a file a table, each row as the database has it. */
@Service
class Bundles {
    /** How bundles are written; goes up when an older Sparen could not open a newer one rightly. */
    private static final int FORMAT = 1;

    private static final String ABOUT = "site.json";
    private static final String PEOPLE = "people.jsonl";
    private static final String LINES = ".jsonl";
    /** Of all that is in one, unpacked (bytes). */
    private static final long MOST = 400_000_000;
    /** All bundles are of one time: what is in them tells when. */
    private static final LocalDateTime ONE_TIME = LocalDateTime.of(2026, 1, 1, 0, 0);

    private final BundleMapper mapper;
    private final SiteService sites;
    private final Accounts accounts;
    private final Crews crews;
    private final List<SiteContent> contents;
    private final AuditLog audit;
    private final ApplicationEventPublisher events;
    private final JsonMapper json;

    Bundles(
            BundleMapper mapper,
            SiteService sites,
            Accounts accounts,
            Crews crews,
            List<SiteContent> contents,
            AuditLog audit,
            ApplicationEventPublisher events,
            JsonMapper json) {
        this.mapper = mapper;
        this.sites = sites;
        this.accounts = accounts;
        this.crews = crews;
        this.contents = contents;
        this.audit = audit;
        this.events = events;
        this.json = json;
    }

    /** Writes all of a site. */
    @Transactional(readOnly = true)
    public void write(String siteId, OutputStream out) throws IOException {
        mapper.inUniversalTime();
        ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8);
        ObjectNode about = json.createObjectNode();
        about.put("format", FORMAT);
        about.put("name", sites.find(siteId).name());
        file(zip, ABOUT, about + "\n");
        Set<String> people = new TreeSet<>();
        for (BundledTable table : BundledTable.ALL) {
            zip.putNextEntry(entry(table.name() + LINES));
            List<IOException> broken = new ArrayList<>();
            mapper.rows(table.name(), table.where(), table.order(), siteId, row -> {
                String line = row.getResultObject();
                people.addAll(named(table, json.readTree(line)));
                try {
                    zip.write((line + "\n").getBytes(StandardCharsets.UTF_8));
                } catch (IOException failure) {
                    broken.add(failure);
                }
            });
            if (!broken.isEmpty()) {
                throw broken.get(0);
            }
            zip.closeEntry();
        }
        StringBuilder who = new StringBuilder();
        for (String name : people) {
            ObjectNode person = json.createObjectNode();
            person.put("name", name).put("fullName", accounts.fullName(name));
            who.append(person).append('\n');
        }
        file(zip, PEOPLE, who.toString());
        zip.finish();
    }

    private static List<String> named(BundledTable table, JsonNode row) {
        return table.people().stream()
                .map(column -> row.path(column).asString(""))
                .filter(name -> !name.isEmpty())
                .toList();
    }

    private static ZipEntry entry(String name) {
        ZipEntry entry = new ZipEntry(name);
        entry.setTimeLocal(ONE_TIME);
        return entry;
    }

    private static void file(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(entry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    /** Opens a bundle: its site, with all that is in it. */
    @Transactional
    public String open(byte[] bundle, Authentication who) {
        mapper.inUniversalTime();
        Map<String, String> files = files(bundle);
        JsonNode about = tree(
                ABOUT,
                1,
                Optional.ofNullable(files.get(ABOUT))
                        .orElseThrow(
                                () -> new InvalidQuantity("bundle", "has no " + ABOUT + ": it is no site of Sparen")));
        if (about.path("format").asInt(0) != FORMAT) {
            throw new InvalidQuantity("format", about.path("format") + " is not known; " + FORMAT + " is");
        }
        String name = about.path("name").asString("");
        Bounds.name("name", name);
        String site = sites.addNamed(name);
        crews.addSite(site, who);
        Map<String, String> people = people(files.getOrDefault(PEOPLE, ""));
        for (BundledTable table : BundledTable.ALL) {
            Set<String> columns = new LinkedHashSet<>(mapper.columns(table.name()));
            List<String> lines =
                    files.getOrDefault(table.name() + LINES, "").lines().toList();
            for (int i = 0; i < lines.size(); i++) {
                insert(table, columns, lines.get(i), i + 1, site, people);
            }
        }
        int newest = mapper.newest(site).orElseThrow(() -> new InvalidQuantity("bundle", "has no revision"));
        for (SiteContent content : contents) {
            mustBeReadable(content, site);
        }
        audit.note(Deed.BUNDLE_OPENED, site, "revision " + newest);
        events.publishEvent(new PlanSaved(site, newest));
        return site;
    }

    private static void mustBeReadable(SiteContent content, String site) {
        try {
            content.mustBeReadable(site);
        } catch (RuntimeException broken) {
            if (DatabaseAway.isAway(broken)) {
                throw broken;
            }
            throw new InvalidQuantity(
                    "bundle", "has what cannot be read: " + broken.getMessage() + ". Nothing of it was kept");
        }
    }

    private void insert(
            BundledTable table, Set<String> columns, String line, int number, String site, Map<String, String> people) {
        JsonNode row = tree(table.name() + LINES, number, line);
        ObjectNode over = json.createObjectNode();
        if (table.of().isEmpty()) {
            over.put("site_id", site);
        }
        for (String column : table.people()) {
            String name = row.path(column).asString("");
            if (!name.isEmpty()) {
                over.put(column, people.getOrDefault(name, name));
            }
        }
        Set<String> there = new LinkedHashSet<>(row.propertyNames());
        over.propertyNames().forEach(there::add);
        if (!columns.containsAll(there)) {
            there.removeAll(columns);
            throw new InvalidQuantity(
                    table.name() + "." + there.iterator().next(), "is not known here: the bundle is of a newer Sparen");
        }
        String names = String.join(", ", there);
        try {
            mapper.add(table.name(), names, line, over.toString());
        } catch (DataAccessException refused) {
            throw new Refusal(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "bundle",
                    "Line " + number + " of " + table.name() + LINES + " cannot be taken: "
                            + refused.getMostSpecificCause()
                                    .getMessage()
                                    .lines()
                                    .findFirst()
                                    .orElse("")
                            + ". Nothing of the bundle was kept.",
                    Map.of());
        }
    }

    private JsonNode tree(String file, int number, String line) {
        try {
            return json.readTree(line);
        } catch (JacksonException broken) {
            throw new InvalidQuantity(
                    "bundle", "line " + number + " of " + file + " is no JSON: " + broken.getOriginalMessage());
        }
    }

    /** Who is named, by whom they are here: of the same name and full name, or somebody new who may not sign in. */
    private Map<String, String> people(String lines) {
        Map<String, String> people = new HashMap<>();
        int number = 1;
        for (String line : lines.lines().toList()) {
            JsonNode person = tree(PEOPLE, number, line);
            number++;
            String name = person.path("name").asString("");
            people.put(name, accounts.known(name, person.path("fullName").asString(name)));
        }
        return people;
    }

    private static Map<String, String> files(byte[] bundle) {
        try {
            return unpacked(new ByteArrayInputStream(bundle));
        } catch (IOException | IllegalArgumentException broken) {
            throw new InvalidQuantity("bundle", "is broken, or no zip: " + broken.getMessage());
        }
    }

    private static Map<String, String> unpacked(InputStream bundle) throws IOException {
        Set<String> known = new LinkedHashSet<>(List.of(ABOUT, PEOPLE));
        BundledTable.ALL.forEach(table -> known.add(table.name() + LINES));
        Map<String, String> files = new LinkedHashMap<>();
        long left = MOST;
        ZipInputStream zip = new ZipInputStream(bundle, StandardCharsets.UTF_8);
        for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
            if (!known.contains(entry.getName()) || files.containsKey(entry.getName())) {
                throw new InvalidQuantity("bundle", "\"" + entry.getName() + "\" does not belong into it");
            }
            byte[] bytes = zip.readNBytes((int) Math.min(left + 1, Integer.MAX_VALUE - 8));
            left -= bytes.length;
            if (left < 0) {
                throw new InvalidQuantity("bundle", "is longer than " + MOST + " bytes, unpacked");
            }
            files.put(entry.getName(), new String(bytes, StandardCharsets.UTF_8));
        }
        return files;
    }
}
