package sparen.app.profile;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import sparen.format.Profile;

/** Packs a profile's times and powers into bytes for storage. */
final class ProfileSamples {
    private static final int BUFFER = 1 << 16;

    private ProfileSamples() {}

    static byte[] pack(Profile profile) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream data = new DataOutputStream(new GZIPOutputStream(bytes, BUFFER))) {
            data.writeInt(profile.seconds().length);
            for (double seconds : profile.seconds()) {
                data.writeDouble(seconds);
            }
            for (double watts : profile.watts()) {
                data.writeDouble(watts);
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("writing to memory", impossible);
        }
        return bytes.toByteArray();
    }

    static Profile unpack(ProfileMapper.Samples stored) {
        try (DataInputStream data = new DataInputStream(new BufferedInputStream(
                new GZIPInputStream(new ByteArrayInputStream(stored.samples()), BUFFER), BUFFER))) {
            double[] seconds = new double[data.readInt()];
            double[] watts = new double[seconds.length];
            for (int i = 0; i < seconds.length; i++) {
                seconds[i] = data.readDouble();
            }
            for (int i = 0; i < watts.length; i++) {
                watts[i] = data.readDouble();
            }
            return new Profile(Optional.ofNullable(stored.startsAt()), seconds, watts, stored.spanSeconds());
        } catch (IOException broken) {
            throw new UncheckedIOException("a stored profile cannot be unpacked", broken);
        }
    }
}
