package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Future;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.Test;
import sparen.app.live.Measurements;
import sparen.app.live.Measuring;
import sparen.document.Documents;
import sparen.program.Plan;
import sparen.quantity.Fields;
import tools.jackson.databind.JsonNode;

/** What devices on the wire measure, asked by itself: kept, shown, thinned. */
public class LiveApiTest extends OverAWire {
    @Autowired
    private Measuring measuring;

    @Autowired
    private Measurements measurements;

    private static List<String> ask(String question) {
        return TestDatabase.shared().ask(question);
    }

    /** The time of every connected device comes, and it is asked. */
    private int asked() throws Exception {
        ask("update device_connection set ask_at = now()");
        List<? extends Future<?>> asking = measuring.askDue();
        assertEquals(measuring.askDue().size(), 0, "another node finds nothing to do");
        for (Future<?> one : asking) {
            one.get();
        }
        return asking.size();
    }

    private static JsonNode connectedNow(Browser who) throws Exception {
        return json(who.get("/api/sites/skarvholm/wires")).get(0);
    }

    private static int drifted(Browser who) throws Exception {
        return json(who.get("/api/sites?search=skarv"))
                .at("/sites/0/plan/drifted")
                .asInt();
    }

    @Test
    public void aConnectedDeviceIsAskedByItself() throws Exception {
        switchOn(asFound());
        connected("house-box", HOUSE);
        Browser odd = signedIn("odd");
        assertFalse(json(odd.get("/api/sites?search=skarv")).at("/sites/0").has("now"));
        assertEquals(asked(), 1);
        assertEquals(
                ask("select ask_at between now() and now() + interval '10 seconds' from device_connection"),
                List.of("t"),
                "asked again in ten seconds");
        double meter = site.meterVolts();
        JsonNode now = json(odd.get("/api/sites?search=skarv")).at("/sites/0/now");
        assertEquals(now.at("/numbers/BATTERY_VOLTS").asDouble(), meter, 0.2, now.toString());
        assertEquals(json(odd.get("/api/sites/skarvholm/now")), now);
        JsonNode live = json(odd.get(DEVICES + "house-box/live"));
        assertEquals(live.at("/measured/at"), now.get("at"), "nobody asks the device again within seconds");
        assertTrue(live.at("/measured/closed").has("freezer-output"), live.toString());
        assertEquals(json(odd.get(DEVICES + "house-box/measurements?hours=1")).size(), 1);
        assertEquals(odd.get(DEVICES + "house-box/measurements?hours=0").statusCode(), 422);

        switchOff();
        assertEquals(asked(), 1);
        JsonNode silent = connectedNow(odd).get("connection");
        assertTrue(silent.get("silentWhy").asString().contains("Nobody answers at 127.0.0.1"), silent.toString());
        String since = silent.get("silentSince").asString();
        assertEquals(asked(), 1);
        assertEquals(connectedNow(odd).at("/connection/silentSince").asString(), since, "still silent");
        switchOn(asFound());
        ask("update device_connection set port = " + modbus);
        assertEquals(asked(), 1);
        assertFalse(connectedNow(odd).get("connection").has("silentSince"));

        // Where an administrator allows its network no longer, nobody asks it.
        ask("update organisation set device_networks = '10.0.0.0/8'");
        assertEquals(asked(), 1);
        JsonNode forbidden = connectedNow(odd).get("connection");
        assertTrue(forbidden.get("silentWhy").asString().contains("127.0.0.1"), forbidden.toString());
    }

    /** Somebody turned a level at the cabinet: within a day that is found, once. */
    @Test
    public void whatSomebodyTurnedIsFoundByReadingAgain() throws Exception {
        Plan planned = Documents.read(Files.readString(Path.of("../demo/skarvholm.json")))
                .plan();
        switchOn(planned);
        Browser liv = connected("house-box", HOUSE);
        asked();
        String readings = DEVICES + "house-box/readings";
        assertEquals(json(liv.get(readings)).size(), 1, "read as it was connected");
        assertEquals(drifted(liv), 0);
        ask("update device_connection set read_at = now() - interval '25 hours'");
        asked();
        assertEquals(json(liv.get(readings)).size(), 1, "nothing is another");

        switchOn(Fields.withAt(planned, "program/outputs/freezer-output/protection/lvdVolts", 43.0));
        ask("update device_connection set port = " + modbus);
        asked();
        assertEquals(drifted(liv), 0, "its day is not over");
        ask("update device_connection set read_at = now() - interval '25 hours'");
        asked();
        asked();
        assertEquals(json(liv.get(readings)).size(), 2);
        assertEquals(drifted(liv), 1);
    }

    /** Ten minutes of two days ago, every ten seconds, worked out by hand: the lowest, the highest and where the contact moved stay. */
    @Test
    public void whatIsOldIsKeptMoreThinly() {
        ask("delete from measurement");
        ask(
                "insert into measurement (site_id, device, at, volts, numbers, closed) select 'skarvholm', 'house-box',"
                        + " date_trunc('hour', now()) - interval '2 days' + i * interval '10 seconds',"
                        + " case i when 7 then 44.1 when 31 then 55.5 else 48 end, '{}',"
                        + " case when i < 20 then '{\"a\": true}'::jsonb else '{\"a\": false}' end from generate_series(0, 59) i");
        ask("insert into measurement (site_id, device, at, volts, numbers, closed) select 'skarvholm', 'house-box',"
                + " now() - i * interval '10 seconds', 48, '{}', '{}' from generate_series(0, 59) i");
        measurements.thin();
        assertEquals(
                ask(
                        "select volts || ' ' || (closed ->> 'a') from measurement where at < now() - interval '1 day' order by at"),
                List.of("48 true", "44.1 true", "48 false", "55.5 false"));
        assertEquals(ask("select count(*) from measurement"), List.of("64"), "the last hour is kept whole");
        measurements.thin();
        assertEquals(ask("select count(*) from measurement"), List.of("64"), "thinned once it is thin");
    }
}
