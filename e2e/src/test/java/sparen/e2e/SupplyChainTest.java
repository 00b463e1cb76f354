package sparen.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipInputStream;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** All that ships may be shipped: each library of both bills of materials has a licence that asks no more than to be named, or is shipped unchanged. */
public class SupplyChainTest {
    /** By SPDX's list of licences, from memory. */
    private static final Set<String> FREE = Set.of(
            "Apache-2.0",
            "MIT",
            "ISC",
            "BSD-2-Clause",
            "BSD-3-Clause",
            // as the calendar library calls BSD-2-Clause
            "FreeBSD License",
            "CC0-1.0",
            "OFL-1.1",
            "EPL-2.0",
            "LGPL-2.1-or-later",
            "Mozilla Public License Version 2.0");

    /** Says a name that no list has; what it ships with is looked at instead. */
    private static final String SESSION = "spring-session";

    /** A bill, and what in it is our own. */
    @DataProvider
    private Object[][] bills() {
        return new Object[][] {
            {"../app/target/bom.json", Set.of("core", "document", "browser", "web"), 80},
            {"../web/target/bom.json", Set.of("no-charts"), 10},
        };
    }

    @Test(dataProvider = "bills")
    public void everyLibraryIsFree(String bill, Set<String> ours, int atLeast) throws IOException {
        JsonNode components =
                JsonMapper.shared().readTree(Files.readString(Path.of(bill))).get("components");
        assertTrue(components.size() >= atLeast, bill + " lists " + components.size());
        List<String> others = new ArrayList<>();
        for (JsonNode one : components) {
            String name = one.get("name").asString();
            boolean isFree = false;
            for (JsonNode licence : one.path("licenses")) {
                isFree |= FREE.contains(licence.at("/license/id")
                        .asString(licence.at("/license/name").asString("")));
            }
            if (!isFree && !ours.contains(name) && !name.startsWith(SESSION)) {
                others.add(name + " " + one.path("licenses"));
            }
        }
        assertEquals(others, List.of());
    }

    @Test
    public void whatSaysANameThatNoListHasShipsWithAKnownText() throws IOException {
        int seen = 0;
        try (ZipFile application = new ZipFile("../app/target/sparen.jar")) {
            for (ZipEntry entry : application.stream()
                    .filter(one -> one.getName().startsWith("BOOT-INF/lib/" + SESSION))
                    .toList()) {
                ZipInputStream jar = new ZipInputStream(new ByteArrayInputStream(
                        application.getInputStream(entry).readAllBytes()));
                for (ZipEntry inside = jar.getNextEntry(); inside != null; inside = jar.getNextEntry()) {
                    if (inside.getName().equals("META-INF/LICENSE.txt")) {
                        String text = new String(jar.readAllBytes(), StandardCharsets.UTF_8);
                        assertTrue(text.contains("Apache License") && text.contains("Version 2.0"), entry.getName());
                        seen++;
                    }
                }
            }
        }
        assertEquals(seen, 2);
    }
}
