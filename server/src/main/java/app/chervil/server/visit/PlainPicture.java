package app.chervil.server.visit;

import app.chervil.server.problem.Rejected;
import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Set;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import org.jspecify.annotations.Nullable;

/**
 * A picture and nothing else: decoded within limits, stood upright, and written anew, so that no place it was taken at and
 * nothing that hides behind it is kept.
 */
final class PlainPicture {
    static final String TYPE = "image/jpeg";

    /** Long sides of more than this are made smaller; a screen shows no more. */
    static final int LONGEST_SIDE = 2400;

    /** A file may say that it is huge in a few bytes; this is what a phone takes. */
    static final long MOST_PIXELS = 60_000_000;

    private static final Set<String> KNOWN = Set.of("jpeg", "png", "webp");
    private static final float QUALITY = 0.88f;

    private PlainPicture() {}

    /**
     * The picture as a JPEG.
     *
     * @throws Rejected if it is no JPEG, PNG or WebP picture, or a huge one
     */
    static byte[] of(byte[] bytes) {
        try {
            return written(upright(decoded(bytes), orientation(bytes)));
        } catch (IOException | RuntimeException unreadable) {
            if (unreadable instanceof Rejected refusal) {
                throw refusal;
            }
            throw Rejected.field("photo", "no-picture", "This is no JPEG, PNG or WebP picture.");
        }
    }

    private static BufferedImage decoded(byte[] bytes) throws IOException {
        try (ImageInputStream input = ImageIO.createImageInputStream(new ByteArrayInputStream(bytes))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(input);
            if (!readers.hasNext()) {
                throw new IOException("no picture");
            }
            ImageReader reader = readers.next();
            try {
                if (!KNOWN.contains(reader.getFormatName().toLowerCase(java.util.Locale.ROOT))) {
                    throw new IOException("another kind of picture");
                }
                reader.setInput(input, true, true);
                if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                    throw Rejected.field("photo", "too-many-pixels", "At most 60 megapixels a photo.");
                }
                return reader.read(0);
            } finally {
                reader.dispose();
            }
        }
    }

    /** How the camera was held: 1 to 8 as EXIF counts; 1 if nobody says. */
    private static int orientation(byte[] bytes) throws IOException {
        try {
            @Nullable
            ExifIFD0Directory said = ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            @Nullable Integer held = said == null ? null : said.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            return held == null || held < 1 || held > 8 ? 1 : held;
        } catch (ImageProcessingException nothingSaid) {
            return 1;
        }
    }

    /** The picture as it is to be seen, on white, no larger than a screen shows. */
    private static BufferedImage upright(BufferedImage seen, int held) {
        int width = seen.getWidth();
        int height = seen.getHeight();
        boolean turned = held >= 5;
        double scale = Math.min(1, (double) LONGEST_SIDE / Math.max(width, height));
        int across = (int) Math.max(1, Math.round(scale * (turned ? height : width)));
        int down = (int) Math.max(1, Math.round(scale * (turned ? width : height)));
        AffineTransform turn = AffineTransform.getScaleInstance(scale, scale);
        turn.concatenate(turning(held, width, height));
        BufferedImage plain = new BufferedImage(across, down, BufferedImage.TYPE_INT_RGB);
        Graphics2D drawing = plain.createGraphics();
        drawing.setRenderingHint(
                java.awt.RenderingHints.KEY_INTERPOLATION, java.awt.RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        drawing.setColor(Color.WHITE);
        drawing.fillRect(0, 0, across, down);
        drawing.drawImage(seen, turn, null);
        drawing.dispose();
        return plain;
    }

    /** From the picture as it lies in the file to how it is seen (EXIF 2.32, tag 274). */
    private static AffineTransform turning(int held, int width, int height) {
        return switch (held) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, width, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, width, height);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, height);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, height, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, height, width);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, width);
            default -> new AffineTransform();
        };
    }

    private static byte[] written(BufferedImage picture) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByMIMEType(TYPE).next();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ImageOutputStream output = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.setOutput(output);
            writer.write(null, new IIOImage(picture, null, null), how);
        } finally {
            writer.dispose();
        }
        return bytes.toByteArray();
    }
}
