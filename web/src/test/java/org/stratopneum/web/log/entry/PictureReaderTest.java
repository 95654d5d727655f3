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
import java.lang.management.ManagementFactory;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.support.Others;

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

    /** 64 megapixels, and a short text that unpacks to 100 MB: what they take is that of the picture that is kept. */
    @Test
    void whatIsLargeOutsideIsSmallInMemory() {
        byte[] large = file(new BufferedImage(7999, 7999, BufferedImage.TYPE_3BYTE_BGR), "jpeg");
        assertThat(takenBy(() ->
                        assertThat(PictureReader.read(large, "file").width()).isEqualTo(2000)))
                .isLessThan(160L << 20);
        byte[] full = withText(file(new BufferedImage(40, 20, BufferedImage.TYPE_BYTE_INDEXED), "png"), 100 << 20);
        assertThat(full).hasSizeLessThan(1 << 20);
        assertThat(takenBy(() ->
                        assertThat(PictureReader.read(full, "file").width()).isEqualTo(40)))
                .isLessThan(16L << 20);
    }

    /** ITU-T T.81: a progressive picture stands in memory as a whole, so fewer pixels of it are allowed. */
    @Test
    void whatComesInPassesMayHaveFewerPixels() throws IOException {
        BufferedImage image = new BufferedImage(7000, 4000, BufferedImage.TYPE_BYTE_GRAY);
        assertThat(PictureReader.read(file(image, "jpeg"), "file").width()).isEqualTo(2000);
        assertThatThrownBy(() -> PictureReader.read(progressive(image), "file"))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining("too-large");
    }

    @Test
    void oneIsReadAtATimeAndAFewMayWait() throws Exception {
        byte[] png = png(900, 900);
        PictureReader reader = new PictureReader();
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch go = new CountDownLatch(1);
        try (var others = new Others(24)) {
            Future<Integer> slow = others.run(() -> reader.read(
                            () -> {
                                begun.countDown();
                                waitFor(go);
                                return new ByteArrayInputStream(png);
                            },
                            "file")
                    .width());
            waitFor(begun);
            List<Future<Integer>> crowd = new ArrayList<>();
            for (int i = 0; i < 20; i++) {
                crowd.add(others.run(() ->
                        reader.read(() -> new ByteArrayInputStream(png), "file").width()));
            }
            long refused = Others.failures(crowd, BusyException.class, 16);
            go.countDown();
            assertThat(refused).isEqualTo(16);
            assertThat(slow.get()).isEqualTo(900);
            assertThat(Others.failures(crowd, BusyException.class, 17)).isEqualTo(16);
        }
    }

    private static void waitFor(CountDownLatch latch) {
        try {
            assertThat(latch.await(20, TimeUnit.SECONDS)).isTrue();
        } catch (InterruptedException exception) {
            throw new IllegalStateException(exception);
        }
    }

    /** How much memory a piece of work asked for, given back or not (bytes). */
    private static long takenBy(Runnable work) {
        var threads = (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
        long before = threads.getCurrentThreadAllocatedBytes();
        work.run();
        return threads.getCurrentThreadAllocatedBytes() - before;
    }

    private static byte[] progressive(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), how);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }

    /** A PNG with a packed text of so many zeros behind its head (zTXt). */
    private static byte[] withText(byte[] png, int zeros) {
        ByteArrayOutputStream chunk = new ByteArrayOutputStream();
        chunk.writeBytes("zTXtword\0\0".getBytes(StandardCharsets.ISO_8859_1));
        try (DeflaterOutputStream packed = new DeflaterOutputStream(chunk)) {
            for (int i = 0; i < zeros; i += 1 << 20) {
                packed.write(new byte[1 << 20]);
            }
        } catch (IOException exception) {
            throw new IllegalStateException(exception);
        }
        CRC32 sum = new CRC32();
        sum.update(chunk.toByteArray());
        int head = 33;
        return ByteBuffer.allocate(png.length + chunk.size() + 8)
                .put(png, 0, head)
                .putInt(chunk.size() - 4)
                .put(chunk.toByteArray())
                .putInt((int) sum.getValue())
                .put(png, head, png.length - head)
                .array();
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
