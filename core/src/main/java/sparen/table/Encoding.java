package sparen.table;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/** The characters of a file from its bytes: UTF-8, UTF-16 of either order, or else Windows' Latin-1. */
public final class Encoding {
    private static final Charset LATIN = Charset.forName("windows-1252");
    private static final int LOOKED_AT = 1000;

    private Encoding() {}

    /** The text of a file; a byte order mark is left away. */
    public static String text(byte[] bytes) {
        if (begins(bytes, 0xFF, 0xFE)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16LE);
        }
        if (begins(bytes, 0xFE, 0xFF)) {
            return new String(bytes, 2, bytes.length - 2, StandardCharsets.UTF_16BE);
        }
        if (begins(bytes, 0xEF, 0xBB) && bytes.length > 2 && (bytes[2] & 0xFF) == 0xBF) {
            return new String(bytes, 3, bytes.length - 3, StandardCharsets.UTF_8);
        }
        int[] zeros = zeros(bytes);
        int pairs = Math.min(bytes.length, LOOKED_AT) / 2;
        if (pairs > 4 && zeros[1] > pairs / 2 && zeros[0] == 0) {
            return new String(bytes, StandardCharsets.UTF_16LE);
        }
        if (pairs > 4 && zeros[0] > pairs / 2 && zeros[1] == 0) {
            return new String(bytes, StandardCharsets.UTF_16BE);
        }
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException notUtf8) {
            return new String(bytes, LATIN);
        }
    }

    private static boolean begins(byte[] bytes, int first, int second) {
        return bytes.length > 1 && (bytes[0] & 0xFF) == first && (bytes[1] & 0xFF) == second;
    }

    /** How many zeros stand at even and at odd places: of Latin letters in two bytes one is 0. */
    private static int[] zeros(byte[] bytes) {
        int[] zeros = new int[2];
        for (int i = 0; i < Math.min(bytes.length, LOOKED_AT); i++) {
            zeros[i % 2] += bytes[i] == 0 ? 1 : 0;
        }
        return zeros;
    }
}
