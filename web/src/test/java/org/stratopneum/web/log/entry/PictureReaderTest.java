package org.stratopneum.web.log.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;

class PictureReaderTest {

    /**
     * Where the red corner, top left in the file, stands for the eye: EXIF 2.3 (JEITA CP-3451C), orientation tag 0112,
     * names the row and the column that the first row and column of the file stand for.
     */
    @ParameterizedTest
    @CsvSource({
        "1, 40, 20, 0, 0", "2, 40, 20, 1, 0", "3, 40, 20, 1, 1", "4, 40, 20, 0, 1",
        "5, 20, 40, 0, 0", "6, 20, 40, 1, 0", "7, 20, 40, 1, 1", "8, 20, 40, 0, 1"
    })
    void itIsTurnedTheRightWayUp(int orientation, int width, int height, int right, int down) throws IOException {
        Picture picture = PictureReader.read(photo(40, 20, orientation), "file");
        assertThat(picture.width()).isEqualTo(width);
        assertThat(picture.height()).isEqualTo(height);
        BufferedImage image = ImageIO.read(new ByteArrayInputStream(picture.bytes()));
        Color corner = new Color(image.getRGB(right == 1 ? width - 3 : 2, down == 1 ? height - 3 : 2));
        Color opposite = new Color(image.getRGB(right == 1 ? 2 : width - 3, down == 1 ? 2 : height - 3));
        assertThat(corner.getRed() - corner.getBlue())
                .as("red where %s is", orientation)
                .isGreaterThan(100);
        assertThat(opposite.getRed() - opposite.getBlue()).isLessThan(-100);
    }

    /** An outside reader of metadata finds the place in what came, and nothing of it in what is kept. */
    @Test
    void thePlaceIsLeftBehind() throws Exception {
        byte[] photo = photo(40, 20, 6);
        assertThat(ImageMetadataReader.readMetadata(new ByteArrayInputStream(photo))
                        .getFirstDirectoryOfType(GpsDirectory.class)
                        .getGeoLocation()
                        .getLatitude())
                .isEqualTo(46.5);
        byte[] kept = PictureReader.read(photo, "file").bytes();
        assertThat(ImageMetadataReader.readMetadata(new ByteArrayInputStream(kept))
                        .getDirectoriesOfType(ExifDirectoryBase.class))
                .isEmpty();
        assertThat(new String(kept, StandardCharsets.ISO_8859_1)).doesNotContain("Exif", "GPS");
    }

    @Test
    void aLargePictureIsMadeSmallerInItsShape() {
        Picture picture = PictureReader.read(png(4300, 1075), "file");
        assertThat(picture.mediaType()).isEqualTo("image/png");
        assertThat(picture.width()).isEqualTo(PictureReader.SIDE);
        assertThat(picture.height()).isBetween(499, 501);
    }

    @Test
    void aSmallFileThatUnpacksToTooMuchIsNotUnpacked() {
        assertThatThrownBy(() -> PictureReader.read(emptyPng(60_000, 60_000), "file"))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining("too-large");
    }

    @ParameterizedTest
    @ValueSource(strings = {"<svg xmlns='http://www.w3.org/2000/svg'/>", "GIF89a\1\0\1\0\0\0\0", "%PDF-1.7", "<html>"})
    void otherFilesAreRefusedWhateverTheyAreCalled(String content) {
        assertThatThrownBy(() -> PictureReader.read(content.getBytes(StandardCharsets.ISO_8859_1), "file"))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining("not-a-photo");
    }

    @Test
    void whatIsCutOffIsCalledDamagedAndWhatIsEmptyMissing() {
        byte[] png = png(300, 200);
        assertThatThrownBy(() -> PictureReader.read(Arrays.copyOf(png, 60), "file"))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining("photo-damaged");
        assertThatThrownBy(() -> PictureReader.read(new byte[0], "file")).hasMessageContaining("missing");
    }

    private static BufferedImage image(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        var pen = image.createGraphics();
        pen.setColor(Color.BLUE);
        pen.fillRect(0, 0, width, height);
        pen.setColor(Color.RED);
        pen.fillRect(0, 0, width / 2, height / 2);
        pen.dispose();
        return image;
    }

    private static byte[] file(BufferedImage image, String format) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, format, out);
        } catch (IOException exception) {
            throw new IllegalStateException(exception);
        }
        return out.toByteArray();
    }

    private static byte[] png(int width, int height) {
        return file(image(width, height), "png");
    }

    /** A JPEG with an EXIF block that says how the camera was held and where: 46° 30' N, 13° 15' E. */
    private static byte[] photo(int width, int height, int orientation) {
        byte[] jpeg = file(image(width, height), "jpeg");
        byte[] exif = exif(orientation);
        ByteBuffer out = ByteBuffer.allocate(jpeg.length + exif.length + 4);
        out.put(jpeg, 0, 2)
                .putShort((short) 0xFFE1)
                .putShort((short) (exif.length + 2))
                .put(exif);
        return out.put(jpeg, 2, jpeg.length - 2).array();
    }

    private static byte[] exif(int orientation) {
        ByteBuffer tiff = ByteBuffer.allocate(200);
        tiff.put("Exif\0\0MM\0*".getBytes(StandardCharsets.ISO_8859_1)).putInt(8);
        tiff.putShort((short) 2);
        field(tiff, 0x0112, 3, 1, orientation << 16);
        field(tiff, 0x8825, 4, 1, 38);
        tiff.putInt(0);
        tiff.putShort((short) 4);
        field(tiff, 1, 2, 2, 'N' << 24);
        field(tiff, 2, 5, 3, 92);
        field(tiff, 3, 2, 2, 'E' << 24);
        field(tiff, 4, 5, 3, 116);
        tiff.putInt(0);
        for (int part : new int[] {46, 1, 30, 1, 0, 1, 13, 1, 15, 1, 0, 1}) {
            tiff.putInt(part);
        }
        return Arrays.copyOf(tiff.array(), tiff.position());
    }

    private static void field(ByteBuffer tiff, int tag, int type, int count, int value) {
        tiff.putShort((short) tag).putShort((short) type).putInt(count).putInt(value);
    }

    /** Head and end of a PNG without a picture between them. */
    private static byte[] emptyPng(int width, int height) {
        byte[] head = ByteBuffer.allocate(17)
                .put("IHDR".getBytes(StandardCharsets.US_ASCII))
                .putInt(width)
                .putInt(height)
                .put(new byte[] {8, 2, 0, 0, 0})
                .array();
        CRC32 sum = new CRC32();
        sum.update(head);
        ByteBuffer png = ByteBuffer.allocate(33);
        png.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        return png.putInt(13).put(head).putInt((int) sum.getValue()).array();
    }
}
