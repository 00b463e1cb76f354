package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.List;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Many sites: sorted, found and told in parts by the server, from what was worked out when they were saved. */
public class SiteListTest extends OverHttp {
    private static void addSites(int count) {
        TestDatabase.shared()
                .ask("insert into site (id, name) select 'many-' || n, 'Skerry ' || n from generate_series(1, " + count
                        + ") n;"
                        + "insert into revision (site_id, number, schema_version, document, note, author)"
                        + " select 'many-' || n, 0, schema_version, document, '', 'liv' from revision, generate_series(1, "
                        + count
                        + ") n where site_id = 'kvarno' and number = 1");
    }

    private static JsonNode page(Browser who, String query) throws Exception {
        var answer = who.get("/api/sites?" + query);
        assertEquals(answer.statusCode(), 200, answer.body());
        return json(answer);
    }

    @Test
    public void comesInPartsTheNeediestFirst() throws Exception {
        addSites(250);
        Browser liv = signedIn("liv");
        List<String> ids = new ArrayList<>();
        int rank = 3;
        for (int offset = 0; offset < 300; offset += 100) {
            JsonNode part = page(liv, "size=100&offset=" + offset);
            assertEquals(part.get("total").asInt(), offset < 253 ? 253 : 0);
            for (JsonNode site : part.get("sites")) {
                ids.add(site.get("id").asString());
                assertTrue(site.get("rank").asInt() <= rank, site.toString());
                rank = site.get("rank").asInt();
            }
        }
        assertEquals(ids.stream().distinct().count(), 253, "each once");
        assertEquals(page(liv, "search=skerry%2025").get("total").asInt(), 2, "25 and 250");
        assertEquals(page(liv, "search=%25").get("total").asInt(), 0, "what is typed is no pattern");
        assertEquals(page(liv, "filter=drafts").get("total").asInt(), 0);
        assertEquals(liv.get("/api/sites?filter=worst").statusCode(), 422);
        assertEquals(liv.get("/api/sites?size=100000").statusCode(), 422);
        TestDatabase.shared().ask("update site set state = 'ARCHIVED' where id = 'many-7'");
        assertEquals(page(liv, "archived=true").at("/sites/0/id").asString(), "many-7");
        assertEquals(page(liv, "").get("putAway").asInt(), 1);
    }

    /** What was worked out once is told without reading a plan, and anew for a draft, a save and another engine. */
    @Test
    public void aLookComputesNothing() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode before = page(liv, "search=kvarn").at("/sites/0/plan");
        TestDatabase.shared().ask("update revision set document = '{}' where site_id = 'kvarno' and number = 1");
        assertEquals(page(liv, "search=kvarn").at("/sites/0/plan"), before);
        TestDatabase.shared().ask("update site_summary set engine = 'of before' where site_id = 'kvarno'");
        JsonNode anew = page(liv, "search=kvarn").at("/sites/0");
        assertTrue(anew.has("unreadable"));
        assertEquals(anew.get("rank").asInt(), 3);
    }

    @Test
    public void aSaveIsInTheListAtOnce() throws Exception {
        Browser liv = signedIn("liv");
        JsonNode loaded = latest(liv);
        assertFalse(
                page(liv, "search=h%C3%A4llgrund").at("/sites/0/plan/drafts").has(0));
        var draft = JSON.createObjectNode()
                .put("parent", loaded.at("/revision/number").asInt());
        draft.set("plan", withLvd(loaded, 11.7));
        assertTrue(liv.put("/api/sites/hallgrund/drafts", draft).statusCode() < 300);
        assertEquals(page(liv, "filter=drafts").at("/sites/0/plan/drafts/0").asString(), "Liv Nordhavn");
        // An LVD under what the battery bears is a danger.
        liv.post("/api/sites/hallgrund/revisions", newRevision(loaded, withLvd(loaded, 10.2)));
        JsonNode saved = page(liv, "filter=findings").at("/sites/0");
        assertEquals(saved.get("id").asString(), "hallgrund");
        assertTrue(saved.at("/plan/findings").size() > 0, saved.toString());
        assertEquals(
                saved.at("/plan/revision/number").asInt(),
                loaded.at("/revision/number").asInt() + 1);
        assertEquals(page(liv, "filter=drafts").get("total").asInt(), 0);
    }
}
