package sparen.app.web;

import java.util.Map;
import java.util.TreeMap;

/** What is sent to some operations, for the description of the API; a test sends each of them. */
public final class ApiExamples {
    /** By operation, as {@code POST /api/sites}; each can be sent about the site kvarno. */
    public static final Map<String, String> BODIES = new TreeMap<>(Map.of(
            "POST /api/account/tokens",
            "{\"name\": \"nightly copy\", \"changes\": false, \"days\": 90}",
            "POST /api/crews",
            """
            {"name": "North", "version": 0, "members": [{"account": "odd", "changes": true}], "sites": ["kvarno"]}""",
            "POST /api/session",
            "{\"name\": \"signe\", \"password\": \"havorn-demo\"}",
            "POST /api/sites/{siteId}/care",
            "{\"benchTest\": \"2026-11-01\", \"upkeep\": \"2027-05-01\"}",
            "POST /api/sites/{siteId}/copies",
            "{\"name\": \"Kvarnö, as it could be\"}",
            "POST /api/sites/{siteId}/log",
            """
            {"id": "7f1de0f0-6f0d-4f0a-9a55-0f6f4c1f2a10", "kind": "WATER_ADDED", "at": "2026-11-20T10:00:00Z",
             "numbers": {"litres": 1.2}}""",
            "POST /api/sites/{siteId}/revisions/{number}/name",
            "{\"name\": \"as handed over\"}",
            "PUT /api/sites/{siteId}/daily",
            "{\"days\": [{\"day\": \"2026-11-01\", \"lowestVolts\": 24.6, \"highestVolts\": 28.1}]}",
            "PUT /api/sites/{siteId}/upkeep/{kind}",
            "{\"everyDays\": 90}"));

    private ApiExamples() {}

    /** An operation's address for the site kvarno, its first revision and the water that is added. */
    public static String address(String path) {
        return path.replace("{siteId}", "kvarno").replace("{number}", "0").replace("{kind}", "WATER_ADDED");
    }
}
