package sparen.app;

import static org.testng.Assert.assertEquals;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import org.testng.annotations.AfterMethod;
import sparen.document.Documents;
import sparen.program.Plan;
import sparen.standin.Site;
import tools.jackson.databind.node.ObjectNode;

/** The observatory's devices at the other end of a real wire. */
abstract class OverAWire extends OverHttp {
    static final String DEVICES = "/api/sites/skarvholm/devices/";
    static final int HOUSE = 1;
    static final int SHUNT = 2;

    Site site;
    int modbus;
    private Path stored;
    private Plan held;

    @AfterMethod
    public void switchOff() throws IOException {
        if (site != null) {
            site.close();
        }
    }

    /** The observatory as it was found, but for what is left out of it. */
    static Plan asFound() throws Exception {
        return Documents.read(Files.readString(Path.of("../demo/skarvholm-as-found.json")))
                .plan();
    }

    void switchOn(Plan holds) throws Exception {
        switchOff();
        modbus = TestDatabase.freePort();
        stored = Files.createTempDirectory("sparen-devices-");
        held = holds;
        site = new Site(held, stored, modbus, 1, Clock.systemUTC());
    }

    /** The supply of the devices fails and comes back: what was not stored is gone. */
    void losePower() throws Exception {
        site.close();
        site = new Site(held, stored, modbus, 1, Clock.systemUTC());
    }

    Browser connected(String device, int unit) throws Exception {
        ObjectNode ours = JSON.createObjectNode()
                .put("name", "Havörn")
                .put("secondFactorRequired", false)
                .put("offlineDays", 14);
        assertEquals(
                signedIn("signe")
                        .put("/api/organisation", ours.put("deviceNetworks", "127.0.0.0/8"))
                        .statusCode(),
                200);
        Browser liv = signedIn("liv");
        HttpResponse<String> answer = liv.put(DEVICES + device + "/connection", address("127.0.0.1", unit));
        assertEquals(answer.statusCode(), 200, answer.body());
        return liv;
    }

    ObjectNode address(String host, int unit) {
        return JSON.createObjectNode()
                .put("host", host)
                .put("port", modbus)
                .put("unit", unit)
                .put("readEveryHours", 24);
    }
}
