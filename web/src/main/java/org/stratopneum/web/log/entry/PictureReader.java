package org.stratopneum.web.log.entry;

import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.imaging.jpeg.JpegProcessingException;
import com.drew.imaging.jpeg.JpegSegmentReader;
import com.drew.imaging.jpeg.JpegSegmentType;
import com.drew.lang.SequentialByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import net.coobird.thumbnailator.Thumbnails;
import net.coobird.thumbnailator.filters.ImageFilter;
import net.coobird.thumbnailator.util.exif.ExifFilterUtils;
import net.coobird.thumbnailator.util.exif.Orientation;
import org.springframework.core.io.InputStreamSource;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.platform.receive.Turns;

/**
 * Reads a photo and makes a new file of its picture alone, turned the right way up and no larger than a screen. Place,
 * time and camera, which a photo carries besides, are left behind with the old file. What it is, its bytes say; its name
 * does not matter. One is read at a time, and none of which the head says that it would take too much memory.
 */
@Component
public class PictureReader {

    /** More than cameras write (bytes). */
    static final long LARGEST = 15L << 20;

    /** Longest side of what is kept (pixels). */
    static final int SIDE = 2000;

    /** Longest side of what is read of it: larger than what is kept, so that it stays sharp when it is made smaller (pixels). */
    private static final int READ_SIDE = 3000;

    /** A small file may unpack to more than memory holds (megapixels): every row of it is unpacked. */
    static final double MOST_MP = 64;

    /** Of a picture that comes in several passes all of it stands in memory at once (megapixels). */
    static final double MOST_PASSES_MP = 26;

    /** One row stands in memory (pixels). */
    static final int LONGEST_SIDE = 32_000;

    private static final float QUALITY = 0.88f;
    private static final String JPEG = "jpeg";
    private static final int WAITING = 4;
    private static final Duration PATIENCE = Duration.ofSeconds(5);

    private static final int PNG_HEAD = 8;

    /** Length, type and sum of a chunk (bytes). */
    private static final int CHUNK_FRAME = 12;

    /** The chunks of a PNG that make its picture; texts and profiles would be unpacked whatever their size. */
    private static final Set<String> CHUNKS = Set.of("IHDR", "PLTE", "tRNS", "IDAT", "IEND");

    private final Turns turns = new Turns(1, WAITING, PATIENCE);

    /**
     * The picture of a file that was sent. Its bytes are fetched when its turn has come.
     *
     * @throws InvalidInputException when it is empty, too large, or no JPEG or PNG
     * @throws BusyException when others' pictures are being read
     */
    Picture read(InputStreamSource file, String field) {
        return turns.take(() -> read(bytesOf(file), field));
    }

    /**
     * The same picture made anew, for one that came in an archive; waits as long as it takes.
     *
     * @param file the bytes
     * @throws InvalidInputException when it is empty, too large, or no JPEG or PNG
     */
    public Picture again(byte[] file, String field) {
        return turns.await(() -> read(file, field));
    }

    private static byte[] bytesOf(InputStreamSource file) {
        if (file == null) {
            return new byte[0];
        }
        try (InputStream in = file.getInputStream()) {
            return in.readNBytes((int) LARGEST + 1);
        } catch (IOException exception) {
            throw new UncheckedIOException(exception);
        }
    }

    static Picture read(byte[] file, String field) {
        if (file.length == 0) {
            throw new InvalidInputException(Problem.of(field, Problem.MISSING));
        }
        limit(field, LARGEST / 1024.0 / 1024, file.length / 1024.0 / 1024, "MB");
        try {
            String format = formatOf(file);
            if (!format.equals(JPEG) && !format.equals("png")) {
                throw new InvalidInputException(Problem.of(field, "not-a-photo"));
            }
            boolean jpeg = format.equals(JPEG);
            BufferedImage image = decode(jpeg ? file : pictureOf(file), jpeg && inPasses(file), field);
            return encoded(jpeg ? held(file).apply(image) : image, format);
        } catch (InvalidInputException known) {
            throw known;
        } catch (IOException
                | IllegalArgumentException
                | IndexOutOfBoundsException
                | NegativeArraySizeException damaged) {
            throw new InvalidInputException(Problem.of(field, "photo-damaged"));
        }
    }

    private static void limit(String field, double limit, double value, String unit) {
        if (value > limit) {
            throw new InvalidInputException(new Problem(field, "too-large", limit, value, unit));
        }
    }

    /** What the bytes are, in lower case; empty where nobody here reads them. */
    private static String formatOf(byte[] file) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            return readers.hasNext() ? readers.next().getFormatName().toLowerCase(Locale.ROOT) : "";
        }
    }

    /** Only every n-th pixel is kept, and only so many ever stand in memory as are kept. */
    private static BufferedImage decode(byte[] file, boolean inPasses, String field) throws IOException {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            ImageReader reader = ImageIO.getImageReaders(in).next();
            try {
                reader.setInput(in, true, true);
                int longest = Math.max(reader.getWidth(0), reader.getHeight(0));
                limit(field, LONGEST_SIDE, longest, "px");
                limit(field, inPasses ? MOST_PASSES_MP : MOST_MP, reader.getWidth(0) / 1e6 * reader.getHeight(0), "MP");
                ImageReadParam every = reader.getDefaultReadParam();
                int step = (longest + READ_SIDE - 1) / READ_SIDE;
                every.setSourceSubsampling(step, step, 0, 0);
                return reader.read(0, every);
            } finally {
                reader.dispose();
            }
        }
    }

    /** A PNG with the chunks that make its picture, and no other (ISO/IEC 15948). */
    private static byte[] pictureOf(byte[] png) {
        ByteArrayOutputStream kept = new ByteArrayOutputStream(png.length);
        kept.write(png, 0, PNG_HEAD);
        ByteBuffer in = ByteBuffer.wrap(png);
        for (int at = PNG_HEAD; at + CHUNK_FRAME <= png.length; ) {
            int length = in.getInt(at);
            // longer than the file: it was cut off, and is read as far as it goes
            int whole = length < 0 || length > png.length - at - CHUNK_FRAME ? png.length - at : length + CHUNK_FRAME;
            if (CHUNKS.contains(new String(png, at + 4, 4, StandardCharsets.ISO_8859_1))) {
                kept.write(png, at, whole);
            }
            at += whole;
        }
        return kept.toByteArray();
    }

    /** Whether a JPEG comes in several passes (progressive, ITU-T T.81), or its head cannot be read to tell. */
    private static boolean inPasses(byte[] jpeg) throws IOException {
        try {
            return JpegSegmentReader.readSegments(
                            new SequentialByteArrayReader(jpeg),
                            List.of(JpegSegmentType.SOF2, JpegSegmentType.SOF6, JpegSegmentType.SOF10))
                    .getSegmentTypes()
                    .iterator()
                    .hasNext();
        } catch (JpegProcessingException unreadable) {
            return true;
        }
    }

    /** What turns and mirrors a picture as EXIF's table of orientations says; nothing where there is no EXIF. */
    private static ImageFilter held(byte[] jpeg) throws IOException {
        Integer orientation = null;
        try {
            Metadata metadata =
                    JpegMetadataReader.readMetadata(new ByteArrayInputStream(jpeg), List.of(new ExifReader()));
            ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
            orientation = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
        } catch (JpegProcessingException unreadable) {
            orientation = null;
        }
        Orientation known = orientation == null ? null : Orientation.typeOf(orientation);
        return ExifFilterUtils.getFilterForOrientation(known == null ? Orientation.TOP_LEFT : known);
    }

    private static Picture encoded(BufferedImage image, String format) throws IOException {
        int type = image.getColorModel().hasAlpha() ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB;
        boolean fits = Math.max(image.getWidth(), image.getHeight()) <= SIDE;
        var how = fits ? Thumbnails.of(image).scale(1) : Thumbnails.of(image).size(SIDE, SIDE);
        BufferedImage kept = how.imageType(type).asBufferedImage();
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Thumbnails.of(kept)
                .scale(1)
                .imageType(type)
                .outputFormat(format)
                .outputQuality(QUALITY)
                .toOutputStream(bytes);
        return new Picture("image/" + format, kept.getWidth(), kept.getHeight(), bytes.toByteArray());
    }
}
