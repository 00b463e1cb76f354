package sparen.app.web;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import sparen.quantity.Bounds;
import sparen.quantity.InvalidQuantity;

/** A photo as it is kept: drawn anew, so that nothing is left of what a camera writes beside the picture, such as the place. */
public final class Photo {
    /** A side of a kept photo (pixels). */
    private static final int MOST_SIDE = 1600;
    /** The most that is unpacked (pixels): a small file can be a very large picture. */
    private static final long MOST_PIXELS = 16_000_000;
    /** What the reader of JPEG says of one that was cut off, and makes grey. */
    private static final String CUT_OFF = "Truncated";

    private static final double QUALITY = 0.8;
    private static final List<String> KINDS = List.of("jpeg", "png");

    private Photo() {}

    /**
     * The photo, the right way up, its longer side at most 1600 pixels, as JPEG.
     *
     * @param given JPEG or PNG, whatever it calls itself
     * @throws InvalidQuantity when it is neither, or damaged, or too large
     */
    public static byte[] redrawn(byte[] given) {
        try {
            mustBePicture(given);
            ByteArrayOutputStream redrawn = new ByteArrayOutputStream();
            Thumbnails.of(new ByteArrayInputStream(given))
                    .size(MOST_SIDE, MOST_SIDE)
                    .imageType(BufferedImage.TYPE_INT_RGB)
                    .outputFormat("jpg")
                    .outputQuality(QUALITY)
                    .toOutputStream(redrawn);
            return redrawn.toByteArray();
        } catch (IOException damaged) {
            throw new InvalidQuantity("picture", "it cannot be read to its end: " + damaged.getMessage());
        }
    }

    private static void mustBePicture(byte[] given) throws IOException {
        try (ImageInputStream bytes = ImageIO.createImageInputStream(new ByteArrayInputStream(given))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(bytes);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            if (reader == null || !KINDS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                throw new InvalidQuantity("picture", "it is no photo: JPEG and PNG are taken");
            }
            reader.setInput(bytes);
            long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
            Bounds.within("picture", pixels, "pixels", 1, MOST_PIXELS);
            reader.addIIOReadWarningListener((source, warning) -> {
                if (warning.contains(CUT_OFF)) {
                    throw new InvalidQuantity("picture", "it was cut off on its way: send it again");
                }
            });
            reader.read(0);
            reader.dispose();
        }
    }
}
