package sparen.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** A site as full as they come: a demo site with twenty outputs. */
final class TwentyOutputs {
    private TwentyOutputs() {}

    /** Its document. */
    static Path document() throws IOException {
        JsonMapper json = JsonMapper.builder().build();
        ObjectNode document = (ObjectNode) json.readTree(Files.readString(Path.of("../demo/hallgrund.json")));
        ObjectNode site = (ObjectNode) document.at("/plan/site");
        site.put("name", "Twenty outputs");
        ArrayNode loads = (ArrayNode) site.get("loads");
        ArrayNode outputs = (ArrayNode) document.at("/plan/program/outputs");
        for (int i = outputs.size(); i < 20; i++) {
            ObjectNode load = loads.get(1).deepCopy().asObject();
            loads.add(load.put("id", "lamp-" + i).put("name", "Lamp " + i));
            ObjectNode output = outputs.get(1).deepCopy().asObject();
            output.put("id", "output-" + i).put("name", "Output " + i);
            output.putArray("loads").add("lamp-" + i);
            outputs.add(output);
        }
        Path file = Path.of("target/twenty.json");
        Files.writeString(file, document.toString());
        return file;
    }
}
