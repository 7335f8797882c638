package app.chervil.server.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlainPictureTest {
    @Test
    void where_it_was_taken_is_left_out() {
        byte[] sent = Pictures.jpeg(80, 40, 1);
        assertThat(text(sent)).contains("59.9139N");

        assertThat(text(PlainPicture.of(sent))).doesNotContain("59.9139N", "Exif");
    }

    @Test
    void what_hides_behind_a_picture_is_left_out() {
        byte[] picture = Pictures.png(20, 20);
        byte[] page = "<script>alert(1)</script>".getBytes(StandardCharsets.US_ASCII);
        byte[] sent = Arrays.copyOf(picture, picture.length + page.length);
        System.arraycopy(page, 0, sent, picture.length, page.length);

        assertThat(text(PlainPicture.of(sent))).doesNotContain("<script>");
    }

    @ParameterizedTest(name = "held {0}: {1} by {2}, red {3}")
    @CsvSource({
        "1, 80, 40, left", "2, 80, 40, right", "3, 80, 40, right", "4, 80, 40, left",
        "5, 40, 80, top", "6, 40, 80, top", "7, 40, 80, bottom", "8, 40, 80, bottom"
    })
    void it_stands_upright_however_the_camera_was_held(int held, int width, int height, String red) {
        BufferedImage seen = Pictures.read(PlainPicture.of(Pictures.jpeg(80, 40, held)));

        assertThat(seen.getWidth()).isEqualTo(width);
        assertThat(seen.getHeight()).isEqualTo(height);
        int x =
                switch (red) {
                    case "left" -> width / 4;
                    case "right" -> width * 3 / 4;
                    default -> width / 2;
                };
        int y =
                switch (red) {
                    case "top" -> height / 4;
                    case "bottom" -> height * 3 / 4;
                    default -> height / 2;
                };
        Color there = new Color(seen.getRGB(x, y));
        assertThat(there.getRed()).isGreaterThan(200);
        assertThat(there.getBlue()).isLessThan(60);
    }

    @Test
    void a_small_file_that_claims_to_be_huge_is_not_decoded() {
        assertThatThrownBy(() -> PlainPicture.of(Pictures.pngThatClaims(30_000, 30_000)))
                .hasMessage("At most 60 megapixels a photo.");
    }

    @Test
    void one_larger_than_a_screen_shows_is_made_smaller() {
        BufferedImage seen = Pictures.read(PlainPicture.of(Pictures.png(4800, 1200)));

        assertThat(seen.getWidth()).isEqualTo(PlainPicture.LONGEST_SIDE);
        assertThat(seen.getHeight()).isEqualTo(600);
    }

    @Test
    void a_thin_line_stays_a_picture() {
        assertThat(Pictures.read(PlainPicture.of(Pictures.png(9000, 1))).getHeight())
                .isEqualTo(1);
    }

    @Test
    void a_webp_is_read_and_a_gif_is_not() {
        byte[] webp = Base64.getDecoder().decode("UklGRiQAAABXRUJQVlA4IBgAAAAwAQCdASoBAAEAAwA0JaQAA3AA/vuUAAA=");
        byte[] gif = Base64.getDecoder().decode("R0lGODlhAQABAIAAAAAAAP///yH5BAEAAAAALAAAAAABAAEAAAIBRAA7");

        assertThat(Pictures.read(PlainPicture.of(webp)).getWidth()).isEqualTo(1);
        assertThatThrownBy(() -> PlainPicture.of(gif)).hasMessage("This is no JPEG, PNG or WebP picture.");
    }

    @Test
    void half_a_picture_and_none_at_all_are_refused() {
        byte[] whole = Pictures.png(200, 200);

        assertThatThrownBy(() -> PlainPicture.of(Arrays.copyOf(whole, 40)))
                .hasMessage("This is no JPEG, PNG or WebP picture.");
        assertThatThrownBy(() -> PlainPicture.of(new byte[0])).hasMessage("This is no JPEG, PNG or WebP picture.");
    }

    private static String text(byte[] bytes) {
        return new String(bytes, StandardCharsets.ISO_8859_1);
    }
}
