package sparen.quantity;

import static org.testng.Assert.assertEquals;

import java.util.List;
import java.util.Map;
import org.testng.annotations.Test;

/** Pointers with indices as places with ids. */
public class PlaceTest {
    private static final Map<String, Object> DOCUMENT = Map.of(
            "outputs", List.of(Map.of("id", "radio"), Map.of("id", "a/b~c"), Map.of("spans", List.of(1))),
            "charging", List.of(Map.of("controller", "mppt")));

    @Test
    public void entriesGoByTheirIds() {
        assertEquals(Place.withIds(DOCUMENT, "/outputs/0/lvdVolts"), "/outputs/radio/lvdVolts");
        assertEquals(Place.withIds(DOCUMENT, "/charging/0"), "/charging/mppt");
        assertEquals(Place.withIds(DOCUMENT, "/outputs/2/spans/0"), "/outputs/2/spans/0", "without an id by number");
        assertEquals(Place.withIds(DOCUMENT, "/outputs/9/x"), "/outputs/9/x", "what leads nowhere stays");
        assertEquals(Place.withIds(DOCUMENT, ""), "");
    }

    /** RFC 6901, section 3: a tilde is ~0, a slash ~1. */
    @Test
    public void anIdWithASlashStaysOneStep() {
        assertEquals(Place.withIds(DOCUMENT, "/outputs/1/id"), "/outputs/a~1b~0c/id");
    }
}
