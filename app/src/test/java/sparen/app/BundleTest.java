package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** A site goes out as a file and comes in elsewhere: the same, to its last byte. */
public class BundleTest extends OverHttp {
    private static byte[] bundle(Browser who, String site) throws Exception {
        return who.file("/api/sites/" + site + "/bundle");
    }

    private static HttpResponse<String> open(Browser who, byte[] bundle) throws Exception {
        return who.send("POST", "/api/sites/bundles", BundleFiles.TYPE, bundle);
    }

    private static List<String> ask(String question) {
        return TestDatabase.shared().ask(question);
    }

    /** Every demo site, with its revisions, recorded month and daily figures; the plan it opens with is the one it had. */
    @Test
    public void whatIsOpenedGivesTheSameFileAgain() throws Exception {
        Browser signe = signedIn("signe");
        for (String site : List.of("hallgrund", "kvarno", "skarvholm")) {
            byte[] first = bundle(signe, site);
            assertTrue(BundleFiles.in(first).get("revision.jsonl").lines().count() >= 2, site);
            HttpResponse<String> opened = open(signe, first);
            assertEquals(opened.statusCode(), 201, opened.body());
            String there = json(opened).get("id").asString();
            assertTrue(there.startsWith(site + "-") || !there.equals(site), there);
            assertEquals(bundle(signe, there), first, site);
            JsonNode plan =
                    json(signe.get("/api/sites/" + site + "/revisions/latest")).get("plan");
            assertEquals(
                    json(signe.get("/api/sites/" + there + "/revisions/latest")).get("plan"), plan);
        }
        assertTrue(ask("select count(*) from logger_file").get(0).equals("2"), "the month came along");
    }

    /** Somebody the bundle names who is not here is made, and may not sign in; one of the same name who is another stays themselves. */
    @Test
    public void peopleOfElsewhereMayNotSignIn() throws Exception {
        Browser signe = signedIn("signe");
        Map<String, String> files = BundleFiles.in(bundle(signe, "kvarno"));
        files.computeIfPresent("people.jsonl", (name, text) -> text.replace("Liv Nordhavn", "Liv of Elsewhere"));
        String site = json(open(signe, BundleFiles.zip(files))).get("id").asString();
        assertEquals(
                ask("select author from revision where site_id = '" + site + "' and number = 1"), List.of("liv-2"));
        assertEquals(ask("select active from account where name = 'liv-2'"), List.of("f"));
    }

    /** It opens whole or not at all: a line that cannot be, a file that does not belong, a column of a newer Sparen; and not for everybody. */
    @Test
    public void whatIsWrongLeavesNothing() throws Exception {
        Browser signe = signedIn("signe");
        byte[] good = bundle(signe, "hallgrund");
        String before = ask("select count(*) from site").get(0);
        Map<String, String> broken = BundleFiles.in(good);
        broken.computeIfPresent("daily_figure.jsonl", (name, text) -> "{\"day\": \"never\"}\n");
        Map<String, String> foreign = BundleFiles.in(good);
        foreign.put("../passwd", "x");
        Map<String, String> newer = BundleFiles.in(good);
        newer.computeIfPresent("revision.jsonl", (name, text) -> text.replaceFirst("\\{", "{\"colour\": 1, "));
        Map<String, String> injected = BundleFiles.in(good);
        injected.computeIfPresent(
                "revision.jsonl", (name, text) -> text.replaceFirst("\\{", "{\"number) select 1; --\": 1, "));
        Map<String, String> unread = BundleFiles.in(good);
        unread.computeIfPresent("revision.jsonl", (name, text) -> text.replace("lvdVolts", "lvdAmps"));
        for (Map<String, String> one : List.of(
                broken,
                unread,
                foreign,
                newer,
                injected,
                Map.of("site.json", "{"),
                Map.of("site.json", "{\"format\": 1, \"name\": \"\"}"))) {
            HttpResponse<String> answer = open(signe, BundleFiles.zip(one));
            assertEquals(answer.statusCode(), 422, answer.body());
        }
        assertEquals(ask("select count(*) from site").get(0), before);
        assertEquals(open(signedIn("liv"), good).statusCode(), 403);
    }

    /** A new table of a site is in its bundle, or named among those that are left out. */
    @Test
    public void everyTableOfASiteIsThoughtOf() throws Exception {
        TreeSet<String> there = new TreeSet<>(
                ask(
                        "select distinct table_name from information_schema.columns where table_schema = 'public' and column_name = 'site_id'"));
        TreeSet<String> known = new TreeSet<>(List.of(
                "draft",
                "crew_site",
                "calendar_feed",
                "device_connection",
                "measurement",
                "transfer",
                "outlook",
                "site_summary",
                "work"));
        BundleFiles.in(bundle(signedIn("signe"), "kvarno"))
                .keySet()
                .forEach(file -> known.add(file.replace(".jsonl", "")));
        there.removeAll(known);
        assertEquals(there, new TreeSet<>());
    }
}
