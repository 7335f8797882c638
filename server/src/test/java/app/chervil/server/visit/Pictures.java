package app.chervil.server.visit;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;

/** Pictures as phones and strangers send them. */
public final class Pictures {
    private Pictures() {}

    /** A picture whose left half is red and whose right half is blue. */
    static BufferedImage halves(int width, int height) {
        BufferedImage picture = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < width; x++) {
            for (int y = 0; y < height; y++) {
                picture.setRGB(x, y, (x < width / 2 ? Color.RED : Color.BLUE).getRGB());
            }
        }
        return picture;
    }

    static byte[] png(int width, int height) {
        return written(halves(width, height), "png");
    }

    /** A JPEG that says how the camera was held, and where. */
    public static byte[] jpeg(int width, int height, int held) {
        byte[] plain = written(halves(width, height), "jpg");
        byte[] place = "59.9139N 10.7522E".getBytes(StandardCharsets.US_ASCII);
        ByteBuffer tiff = ByteBuffer.allocate(80)
                .put("Exif\0\0MM\0*".getBytes(StandardCharsets.US_ASCII))
                .putInt(8)
                .putShort((short) 2)
                .putShort((short) 0x010E)
                .putShort((short) 2)
                .putInt(place.length)
                .putInt(38)
                .putShort((short) 0x0112)
                .putShort((short) 3)
                .putInt(1)
                .putShort((short) held)
                .putShort((short) 0)
                .putInt(0)
                .put(place);
        byte[] told = java.util.Arrays.copyOf(tiff.array(), tiff.position());
        return ByteBuffer.allocate(plain.length + told.length + 4)
                .put(plain, 0, 2)
                .putShort((short) 0xFFE1)
                .putShort((short) (told.length + 2))
                .put(told)
                .put(plain, 2, plain.length - 2)
                .array();
    }

    /** A file of some dozen bytes that says it is a picture of this size. */
    static byte[] pngThatClaims(int width, int height) {
        ByteBuffer head = ByteBuffer.allocate(17)
                .put("IHDR".getBytes(StandardCharsets.US_ASCII))
                .putInt(width)
                .putInt(height)
                .put(new byte[] {8, 2, 0, 0, 0});
        CRC32 sum = new CRC32();
        sum.update(head.array());
        return ByteBuffer.allocate(33)
                .put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'})
                .putInt(13)
                .put(head.array())
                .putInt((int) sum.getValue())
                .array();
    }

    static BufferedImage read(byte[] bytes) {
        try {
            return ImageIO.read(new ByteArrayInputStream(bytes));
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }

    private static byte[] written(BufferedImage picture, String format) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, format, bytes);
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
        return bytes.toByteArray();
    }
}
