package sparen.document;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import sparen.device.DeviceProfile;

/** The generic kinds of devices that ship with Sparen, of our own invention; users make theirs after them. */
public final class DeviceProfiles {
    private static final List<String> NAMES = List.of(
            "two-level-controller",
            "staged-controller",
            "light-terminal",
            "coded-disconnect",
            "monitor-relay",
            "inverter-charger",
            "relay-inverter",
            "hybrid",
            "twilight-timer");

    private DeviceProfiles() {}

    /** All of them. */
    public static List<DeviceProfile> shipped() {
        return NAMES.stream().map(DeviceProfiles::read).toList();
    }

    private static DeviceProfile read(String name) {
        String file = "/sparen/devices/" + name + ".json";
        try (InputStream stream = DeviceProfiles.class.getResourceAsStream(file)) {
            return Documents.readAny(new String(stream.readAllBytes(), StandardCharsets.UTF_8), DeviceProfile.class);
        } catch (IOException failure) {
            throw new UncheckedIOException(file, failure);
        } catch (DocumentProblem broken) {
            throw new IllegalStateException(file + " at " + broken.pointer(), broken);
        }
    }
}
