package sparen.app.web;

import java.io.BufferedInputStream;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** Packs columns of numbers, all as long as the first, into bytes for storage; and names content. */
public final class Packed {
    private static final int BUFFER = 1 << 16;
    private static final int ID_DIGITS = 16;

    private Packed() {}

    public static byte[] pack(double[]... columns) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (DataOutputStream data = new DataOutputStream(new GZIPOutputStream(bytes, BUFFER))) {
            data.writeInt(columns[0].length);
            for (double[] column : columns) {
                for (double value : column) {
                    data.writeDouble(value);
                }
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException("writing to memory", impossible);
        }
        return bytes.toByteArray();
    }

    /** So many columns, as they were packed. */
    public static double[][] unpack(byte[] packed, int columns) {
        try (DataInputStream data = new DataInputStream(
                new BufferedInputStream(new GZIPInputStream(new ByteArrayInputStream(packed), BUFFER), BUFFER))) {
            double[][] values = new double[columns][data.readInt()];
            for (double[] column : values) {
                for (int i = 0; i < column.length; i++) {
                    column[i] = data.readDouble();
                }
            }
            return values;
        } catch (IOException broken) {
            throw new UncheckedIOException("stored numbers cannot be unpacked", broken);
        }
    }

    /** An id by content: the same content gets the same one, so taking it twice keeps it once. */
    public static String id(String prefix, String content) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(content.getBytes(StandardCharsets.UTF_8));
            return prefix + HexFormat.of().formatHex(digest).substring(0, ID_DIGITS);
        } catch (NoSuchAlgorithmException impossible) {
            throw new IllegalStateException("every Java has SHA-256", impossible);
        }
    }
}
