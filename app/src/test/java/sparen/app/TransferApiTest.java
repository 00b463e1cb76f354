package sparen.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import sparen.document.Documents;
import sparen.program.Plan;
import sparen.quantity.Fields;
import sparen.standin.Fault;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The observatory's devices over a real wire: the stand-in at one end, the application at the other, and an independent master (Debian's
 * mbpoll) that reads the raw words, which are worked out by hand: the house inverter counts hundredths of a volt.
 */
public class TransferApiTest extends OverAWire {
    private static final String TRANSFERS = "/api/sites/skarvholm/transfers/";
    private static final String FREEZER_OFF = "freezer-output/voltageDisconnect.lvdVolts";
    private static final String FREEZER_ON = "freezer-output/voltageDisconnect.lvrVolts";
    private static final int FREEZER_OFF_REGISTER = 1311;
    private static final int CAPACITY_REGISTER = 50;
    /** At every how many requests something is killed; {@code -Dsparen.killed-every=1} for each. */
    private static final int KILLED_EVERY = Integer.getInteger("sparen.killed-every", 6);

    /** What an independent master reads at a register of a device. */
    private int raw(int unit, int register) throws Exception {
        return raw(unit, register, 1).get(0);
    }

    private List<Integer> raw(int unit, int register, int words) throws Exception {
        Process master = new ProcessBuilder(
                        "mbpoll",
                        "-m",
                        "tcp",
                        "-p",
                        String.valueOf(modbus),
                        "-a",
                        String.valueOf(unit),
                        "-r",
                        String.valueOf(register),
                        "-c",
                        String.valueOf(words),
                        "-t",
                        "4",
                        "-0",
                        "-1",
                        "127.0.0.1")
                .redirectErrorStream(true)
                .start();
        String said = new String(master.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        List<Integer> read = Pattern.compile("\\[\\d+\\]:\\s+(\\d+)")
                .matcher(said)
                .results()
                .map(word -> Integer.parseInt(word.group(1)))
                .toList();
        assertEquals(read.size(), words, said);
        return read;
    }

    private static ObjectNode begin() {
        return JSON.createObjectNode().put("id", UUID.randomUUID().toString());
    }

    private static JsonNode prepared(Browser liv, String device) throws Exception {
        HttpResponse<String> answer = liv.post(DEVICES + device + "/transfers", begin());
        assertEquals(answer.statusCode(), 201, answer.body());
        return json(answer);
    }

    /** Reads what is asked for off the displays, as somebody standing there does. */
    private HttpResponse<String> compared(Browser liv, JsonNode transfer, int unit) throws Exception {
        ObjectNode compared = JSON.createObjectNode();
        ObjectNode shown = compared.putObject("shown");
        transfer.at("/content/asked")
                .forEach(one -> shown.put(
                        one.get("place").asString(),
                        site.display(unit).get(one.get("place").asString())));
        compared.put("meterVolts", Math.rint(site.meterVolts() * 10) / 10);
        return liv.post(TRANSFERS + transfer.get("id").asString() + "/display", compared);
    }

    private static JsonNode ended(Browser liv, JsonNode transfer, String how, Integer password) throws Exception {
        String path = TRANSFERS + transfer.get("id").asString();
        ObjectNode go = JSON.createObjectNode();
        if (password != null) {
            go.put("password", password);
        }
        HttpResponse<String> sent = liv.post(path + "/" + how, go);
        assertEquals(sent.statusCode(), 202, sent.body());
        Patience.until(
                "it has ended or stopped",
                () -> !json(liv.get(path)).get("running").asBoolean());
        return json(liv.get(path));
    }

    private static List<String> changes(JsonNode transfer) {
        List<String> changes = new ArrayList<>();
        transfer.at("/content/changes")
                .forEach(one -> changes.add(one.get("place").asString() + " "
                        + one.get("holds").asString() + " " + one.get("planned").asString()));
        return changes;
    }

    @Test
    public void aPlanGoesIntoADevice() throws Exception {
        switchOn(asFound());
        HttpResponse<String> nowhere =
                signedIn("liv").put(DEVICES + "house-box/connection", address("127.0.0.1", HOUSE));
        assertEquals(nowhere.statusCode(), 422);
        assertTrue(nowhere.body().contains("there are none"), nowhere.body());
        Browser liv = connected("house-box", HOUSE);
        assertEquals(
                liv.put(DEVICES + "house-box/connection", address("10.0.0.7", HOUSE))
                        .statusCode(),
                422);
        for (String name : List.of("skarvholm.example", "cafe", "dead.beef")) {
            HttpResponse<String> named = liv.put(DEVICES + "house-box/connection", address(name, HOUSE));
            assertTrue(named.body().contains("is not a numeric address"), "a name could be another machine tomorrow");
        }
        Browser odd = signedIn("odd");
        assertEquals(odd.post(DEVICES + "house-box/transfers", begin()).statusCode(), 403);

        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), 4250, "42.5 V as it was found");
        JsonNode transfer = prepared(liv, "house-box");
        assertEquals(
                changes(transfer),
                List.of(
                        "inverter-enable/voltageDisconnect.lvrDelaySeconds 0 900",
                        "inverter-enable/voltageDisconnect.lvrVolts 43.9 52.8",
                        "freezer-output/voltageDisconnect.lvrVolts 44 51.6",
                        "inverter-enable/voltageDisconnect.lvdVolts 43.5 49.2",
                        "freezer-output/voltageDisconnect.lvdVolts 42.5 46.4",
                        "inverter-enable/voltageDisconnect.lvdDelaySeconds 0 30"));
        assertTrue(transfer.at("/content/dropsWhileSaving").toString().contains("Kitchen"), transfer.toString());
        String id = transfer.get("id").asString();
        assertEquals(
                liv.post(TRANSFERS + id + "/sending", JSON.createObjectNode()).statusCode(),
                409,
                "nothing is written before display and meter have been compared");
        HttpResponse<String> agreed = compared(liv, transfer, HOUSE);
        assertEquals(agreed.statusCode(), 200, agreed.body());
        assertEquals(
                odd.post(TRANSFERS + id + "/sending", JSON.createObjectNode()).statusCode(), 403);

        HttpResponse<String> without = liv.post(TRANSFERS + id + "/sending", JSON.createObjectNode());
        assertEquals(without.statusCode(), 422);
        assertTrue(without.body().contains("wants its password"), without.body());
        JsonNode locked = ended(liv, transfer, "sending", 1111);
        assertFalse(locked.get("ended").asBoolean());
        assertTrue(locked.get("problem").asString().contains("may want its password"), locked.toString());
        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), 4250);

        JsonNode done = ended(liv, transfer, "sending", 2718);
        assertEquals(done.get("stage").asString(), "DONE", done.toString());
        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), 4640);
        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER + 2), 5160);
        assertEquals(raw(HOUSE, 1211), 4920);
        assertEquals(raw(HOUSE, 1212), 30);
        assertEquals(raw(HOUSE, 1213), 5280);
        assertEquals(raw(HOUSE, 1214), 900);
        String handover = liv.get("/api/sites/skarvholm/handover").body();
        assertFalse(handover.contains("DRIFTED"), handover);
        assertEquals(
                liv.post(DEVICES + "house-box/transfers", begin()).statusCode(), 409, "there is nothing left to write");
        String trail = signedIn("signe").get("/api/audit?site=skarvholm").body();
        assertTrue(trail.contains("House inverter, open at: 46.4 V"), trail);
        assertTrue(trail.contains("TRANSFER_DONE"), trail);
    }

    /** A fault of the device, when it shows, and what is said. */
    @DataProvider
    private Object[][] faults() {
        return new Object[][] {
            {Fault.READS_TEN_TIMES, "preparing", "cannot stand at"},
            {Fault.OTHER_SCALE, "preparing", "cannot stand at"},
            {Fault.WRITES_A_TENTH, "sending", "reads back as"},
            {Fault.ROUNDS, "sending", "reads back as"},
            {Fault.REJECTS, "sending", "it failed at it"},
            {Fault.FORGETS, "sending", "Read back after saving"},
        };
    }

    @Test(dataProvider = "faults")
    public void whatADeviceDoesWrongIsCaught(Fault fault, String when, String said) throws Exception {
        switchOn(with(asFound(), "inverter-enable", 49.21, 52.8));
        Browser liv = connected("house-box", HOUSE);
        if (when.equals("preparing")) {
            site.turn(HOUSE, fault);
            HttpResponse<String> refused = liv.post(DEVICES + "house-box/transfers", begin());
            assertEquals(refused.statusCode(), 424, refused.body());
            assertTrue(refused.body().contains(said), refused.body());
            assertEquals(liv.get(DEVICES + "house-box/readings").body(), "[]", "nothing is kept");
            return;
        }
        JsonNode transfer = prepared(liv, "house-box");
        assertEquals(compared(liv, transfer, HOUSE).statusCode(), 200);
        site.turn(HOUSE, fault);
        JsonNode stopped = ended(liv, transfer, "sending", 2718);
        assertFalse(stopped.get("ended").asBoolean());
        assertTrue(stopped.get("problem").asString().contains(said), stopped.toString());
        HttpResponse<String> second = liv.post(DEVICES + "house-box/transfers", begin());
        assertEquals(second.statusCode(), 409, "as long as it may be half written, no other begins");
        site.turn(HOUSE, fault);
        JsonNode back = ended(liv, transfer, "rolling-back", 2718);
        assertEquals(back.get("stage").asString(), "ROLLED_BACK", back.toString());
        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), 4250, "as it was found");
    }

    /** While another node writes to a device nobody else gets at it, nor takes the transfer back. */
    @Test
    public void whatIsWrittenToIsNobodyElses() throws Exception {
        switchOn(with(asFound(), "inverter-enable", 49.21, 52.8));
        Browser liv = connected("house-box", HOUSE);
        JsonNode transfer = prepared(liv, "house-box");
        assertEquals(compared(liv, transfer, HOUSE).statusCode(), 200);
        String id = transfer.get("id").asString();
        TestDatabase.shared()
                .ask("update transfer set stage = 'WRITING' where id = '" + id + "'; insert into device_lease values"
                        + " ('127.0.0.1 port " + modbus + " unit " + HOUSE + "', '" + id
                        + "', gen_random_uuid(), now() + interval '1 hour')");
        ObjectNode go = JSON.createObjectNode().put("password", 2718);
        for (String refused : List.of("/sending", "/rolling-back", "/leaving")) {
            assertEquals(liv.post(TRANSFERS + id + refused, go).statusCode(), 409, refused);
        }
        assertEquals(compared(liv, transfer, HOUSE).statusCode(), 409);
        String house = DEVICES + "house-box";
        assertEquals(liv.post(house + "/connection/readings", begin()).statusCode(), 409);
        assertEquals(liv.get(house + "/live").statusCode(), 409);
        assertEquals(liv.put(house + "/connection", address("127.0.0.2", HOUSE)).statusCode(), 409);
        assertTrue(json(liv.get(TRANSFERS + id)).get("running").asBoolean());
        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), 4250, "nothing of all that went into it");
    }

    /** A device that takes its time with each answer is waited for. */
    @Test
    public void aSlowDeviceIsWaitedFor() throws Exception {
        switchOn(with(asFound(), "inverter-enable", 49.21, 52.8));
        Browser liv = connected("house-box", HOUSE);
        JsonNode transfer = prepared(liv, "house-box");
        assertEquals(compared(liv, transfer, HOUSE).statusCode(), 200);
        site.turn(HOUSE, Fault.SLOW);
        assertEquals(ended(liv, transfer, "sending", 2718).get("stage").asString(), "DONE");
        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), 4640);
        assertEquals(raw(HOUSE, 1213), 5280);
    }

    /** Many at once send the same transfer and leave it: one is heard, and what was left has changed nothing. */
    @Test(invocationCount = 3)
    public void ofManyAtOnceOneIsHeard() throws Exception {
        switchOn(with(asFound(), "inverter-enable", 49.21, 52.8));
        Browser liv = connected("house-box", HOUSE);
        JsonNode transfer = prepared(liv, "house-box");
        assertEquals(compared(liv, transfer, HOUSE).statusCode(), 200);
        String path = TRANSFERS + transfer.get("id").asString();
        ObjectNode go = JSON.createObjectNode().put("password", 2718);
        List<CompletableFuture<Integer>> all = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            Browser one = signedIn("liv");
            String how = i % 2 == 0 ? "/sending" : "/leaving";
            all.add(CompletableFuture.supplyAsync(() -> {
                try {
                    return one.post(path + how, go).statusCode();
                } catch (Exception failed) {
                    throw new IllegalStateException(failed);
                }
            }));
        }
        List<Integer> answers = all.stream().map(CompletableFuture::join).toList();
        assertEquals(answers.stream().filter(status -> status < 300).count(), 1, answers.toString());
        Patience.until("it has ended", () -> json(liv.get(path)).get("ended").asBoolean());
        boolean isLeft = answers.contains(200);
        assertEquals(json(liv.get(path)).get("stage").asString(), isLeft ? "LEFT" : "DONE");
        assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), isLeft ? 4250 : 4640);
    }

    private static Plan with(Plan plan, String output, double lvd, double lvr) {
        String rule = "program/outputs/" + output + "/protection/";
        return Fields.withAt(Fields.withAt(plan, rule + "lvdVolts", lvd), rule + "lvrVolts", lvr);
    }

    /** A scale that is wrong both ways gives numbers that can be: only the display of the device tells. */
    @Test
    public void aWrongScaleBothWaysIsCaughtAtTheDisplay() throws Exception {
        switchOn(asFound());
        Browser liv = connected("shunt-box", SHUNT);
        JsonNode transfer = prepared(liv, "shunt-box");
        ObjectNode compared = JSON.createObjectNode().put("meterVolts", site.meterVolts());
        ObjectNode shown = compared.putObject("shown");
        transfer.at("/content/asked")
                .forEach(one -> shown.put(
                        one.get("place").asString(),
                        Double.parseDouble(
                                        site.display(SHUNT).get(one.get("place").asString()))
                                / 10));
        HttpResponse<String> refused = liv.post(TRANSFERS + transfer.get("id").asString() + "/display", compared);
        assertEquals(refused.statusCode(), 422);
        assertTrue(refused.body().contains("10 times too much"), refused.body());
        compared.remove("shown");
        assertEquals(compared(liv, transfer, SHUNT).statusCode(), 200);
        compared.set("shown", shownOf(transfer));
        compared.put("meterVolts", site.meterVolts() * 1.03);
        String path = TRANSFERS + transfer.get("id").asString();
        assertEquals(liv.post(path + "/display", compared).statusCode(), 422, "the meter is 3 % off");
        assertEquals(
                liv.post(path + "/sending", JSON.createObjectNode()).statusCode(),
                409,
                "what agreed before counts no longer");
    }

    /**
     * The monitor counts its capacity in tenths of an ampere-hour, in two registers, the high one first: 7000 Ah are 70,000 = 1 × 65,536 +
     * 4,464, and the 590 Ah of the plan 5,900. With the low one first 7000 Ah would be 4,464 × 65,536 + 1 tenths, which is no capacity.
     */
    @Test
    public void aNumberOfTwoRegistersGoesInWholeAndInOrder() throws Exception {
        switchOn(Fields.withAt(asFound(), "site/monitors/shunt/configuredAmpereHours", 7000.0));
        assertEquals(raw(SHUNT, CAPACITY_REGISTER, 2), List.of(1, 4464));
        Browser liv = connected("shunt-box", SHUNT);
        site.turn(SHUNT, Fault.OTHER_ORDER);
        HttpResponse<String> refused = liv.post(DEVICES + "shunt-box/transfers", begin());
        assertEquals(refused.statusCode(), 424, refused.body());
        assertTrue(refused.body().contains("cannot stand at"), refused.body());
        site.turn(SHUNT, Fault.OTHER_ORDER);
        JsonNode transfer = prepared(liv, "shunt-box");
        assertTrue(changes(transfer).toString().contains("configuredAmpereHours 7000 590"), transfer.toString());
        assertEquals(compared(liv, transfer, SHUNT).statusCode(), 200);
        assertEquals(ended(liv, transfer, "sending", null).get("stage").asString(), "DONE");
        assertEquals(raw(SHUNT, CAPACITY_REGISTER, 2), List.of(0, 5900));
    }

    private ObjectNode shownOf(JsonNode transfer) {
        ObjectNode shown = JSON.createObjectNode();
        transfer.at("/content/asked")
                .forEach(one -> shown.put(
                        one.get("place").asString(),
                        site.display(SHUNT).get(one.get("place").asString())));
        return shown;
    }

    /**
     * Cut at every single request in turn, before it is heard or before its answer is, the device's supply too at half of them: sent on it is
     * whole, and never was silently not.
     */
    @Test
    public void cutAtAnyStepItIsNeverSilentlyHalfInForce() throws Exception {
        Plan planned = Documents.read(Files.readString(Path.of("../demo/skarvholm.json")))
                .plan();
        int cuts = 0;
        for (int request = 0; ; request++) {
            switchOn(with(planned, "freezer-output", 42.5, 44));
            Browser liv = connected("house-box", HOUSE);
            JsonNode transfer = prepared(liv, "house-box");
            assertEquals(changes(transfer), List.of(FREEZER_ON + " 44 51.6", FREEZER_OFF + " 42.5 46.4"));
            assertEquals(compared(liv, transfer, HOUSE).statusCode(), 200);
            site.cutter().cutAfter(request, request % 2 == 1);
            JsonNode first = ended(liv, transfer, "sending", 2718);
            boolean whole = Map.of(FREEZER_OFF, "46.4", FREEZER_ON, "51.6").entrySet().stream()
                    .allMatch(one -> site.display(HOUSE).get(one.getKey()).equals(one.getValue()));
            if (first.get("ended").asBoolean()) {
                assertTrue(whole);
                break;
            }
            cuts++;
            assertTrue(first.hasNonNull("problem"), first.toString());
            if (request % 4 < 2) {
                losePower();
            }
            boolean back = request % 3 == 2;
            JsonNode then = ended(liv, transfer, back ? "rolling-back" : "sending", 2718);
            assertEquals(then.get("stage").asString(), back ? "ROLLED_BACK" : "DONE", request + ": " + then);
            assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), back ? 4250 : 4640, "cut at request " + request);
            TestDatabase.shared().asAtFirst();
        }
        assertTrue(cuts >= 10, cuts + " cuts");
    }

    /** What is killed. */
    @DataProvider
    private Object[][] killed() {
        return new Object[][] {{"database"}, {"node"}};
    }

    /**
     * kill -9 of the database, or of the node of the application that writes, while a request is on its way, at every few in turn: the transfer
     * stays open, and sent on, by another node, it is whole.
     */
    @Test(dataProvider = "killed")
    public void killedInTheMiddleATransferStaysOpen(String killed) throws Exception {
        Plan planned = Documents.read(Files.readString(Path.of("../demo/skarvholm.json")))
                .plan();
        TestDatabase database = TestDatabase.shared();
        int kills = 0;
        for (int request = 0; ; request += KILLED_EVERY) {
            switchOn(with(planned, "freezer-output", 42.5, 44));
            Browser liv = connected("house-box", HOUSE);
            JsonNode transfer = prepared(liv, "house-box");
            assertEquals(compared(liv, transfer, HOUSE).statusCode(), 200);
            AtomicBoolean isKilled = new AtomicBoolean();
            Optional<OtherNode> node = killed.equals("node") ? Optional.of(OtherNode.start()) : Optional.empty();
            site.cutter().meanwhileAfter(request, () -> {
                // Told only when it is gone: who starts it before that starts nothing.
                node.<Runnable>map(one -> one::kill).orElse(database::kill).run();
                isKilled.set(true);
            });
            String path = TRANSFERS + transfer.get("id").asString();
            ObjectNode go = JSON.createObjectNode().put("password", 2718);
            liv.node = node.map(OtherNode::port).orElse(port);
            assertEquals(liv.post(path + "/sending", go).statusCode(), 202);
            liv.node = port;
            Patience.until(
                    "it is killed or done",
                    () -> isKilled.get() || !json(liv.get(path)).path("running").asBoolean(true));
            if (!isKilled.get()) {
                node.ifPresent(OtherNode::kill);
                break;
            }
            kills++;
            if (node.isEmpty()) {
                database.start();
            }
            Patience.until(
                    "the application has its database again",
                    () -> liv.get(path).statusCode() == 200);
            // Twenty seconds pass.
            database.ask("delete from device_lease");
            JsonNode open = json(liv.get(path));
            assertFalse(open.get("ended").asBoolean(), request + ": " + open);
            JsonNode then = ended(liv, transfer, "sending", 2718);
            assertEquals(then.get("stage").asString(), "DONE", request + ": " + then);
            assertEquals(raw(HOUSE, FREEZER_OFF_REGISTER), 4640, "killed at request " + request);
            database.asAtFirst();
        }
        System.out.println(killed + " killed at " + kills + " requests, the transfer sent on each time");
        assertTrue(kills >= 3, kills + " kills");
    }
}
