package org.stratopneum.web.log.entry;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Locale;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;

/**
 * Reads a photo and makes a new file of its picture alone, turned the right way up and no larger than a screen. Place,
 * time and camera, which a photo carries besides, are left behind with the old file. What it is, its bytes say; its name
 * does not matter.
 */
final class PictureReader {

    /** More than cameras write (bytes). */
    static final long LARGEST = 15L << 20;

    /** Longest side of what is kept (pixels). */
    static final int SIDE = 2000;

    /** A small file may unpack to more than memory holds (pixels). */
    static final long MOST_PIXELS = 120_000_000;

    private static final float QUALITY = 0.88f;
    private static final String JPEG = "jpeg";

    private PictureReader() {}

    /** @throws InvalidInputException when it is empty, too large, or no JPEG or PNG */
    static Picture read(byte[] file, String field) {
        if (file.length == 0) {
            throw new InvalidInputException(Problem.of(field, Problem.MISSING));
        }
        if (file.length > LARGEST) {
            throw tooLarge(field, LARGEST / 1024.0 / 1024, file.length / 1024.0 / 1024, "MB");
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            String format = reader == null ? "" : reader.getFormatName().toLowerCase(Locale.ROOT);
            if (!format.equals(JPEG) && !format.equals("png")) {
                throw new InvalidInputException(Problem.of(field, "not-a-photo"));
            }
            try {
                reader.setInput(in, true, true);
                BufferedImage image = upright(fitted(decode(reader, field)), orientation(file));
                return encoded(image, format);
            } finally {
                reader.dispose();
            }
        } catch (InvalidInputException known) {
            throw known;
        } catch (IOException
                | IllegalArgumentException
                | IndexOutOfBoundsException
                | NegativeArraySizeException damaged) {
            throw new InvalidInputException(Problem.of(field, "photo-damaged"));
        }
    }

    private static InvalidInputException tooLarge(String field, double limit, double value, String unit) {
        return new InvalidInputException(new Problem(field, "too-large", limit, value, unit));
    }

    /** Of a very large picture only every second or third pixel is read: it is made smaller anyway. */
    private static BufferedImage decode(ImageReader reader, String field) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > MOST_PIXELS) {
            throw tooLarge(field, MOST_PIXELS / 1e6, width / 1e6 * height, "MP");
        }
        ImageReadParam every = reader.getDefaultReadParam();
        int step = Math.max(1, Math.max(width, height) / (2 * SIDE));
        every.setSourceSubsampling(step, step, 0, 0);
        return reader.read(0, every);
    }

    private static BufferedImage fitted(BufferedImage image) {
        double scale = Math.min(1, (double) SIDE / Math.max(image.getWidth(), image.getHeight()));
        int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
        return drawn(
                image,
                width,
                height,
                AffineTransform.getScaleInstance(
                        (double) width / image.getWidth(), (double) height / image.getHeight()));
    }

    private static BufferedImage drawn(BufferedImage image, int width, int height, AffineTransform how) {
        boolean seeThrough = image.getColorModel().hasAlpha();
        BufferedImage drawn =
                new BufferedImage(width, height, seeThrough ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = drawn.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        pen.drawImage(image, how, null);
        pen.dispose();
        return drawn;
    }

    /** How the camera was held, 1 to 8 as EXIF numbers it; 1 where it does not say. */
    private static int orientation(byte[] file) throws IOException {
        try {
            Metadata metadata = ImageMetadataReader.readMetadata(new ByteArrayInputStream(file));
            ExifIFD0Directory exif = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer held = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            return held == null ? 1 : held;
        } catch (ImageProcessingException unreadable) {
            return 1;
        }
    }

    /** Turns and mirrors as EXIF's table of orientations says. */
    private static BufferedImage upright(BufferedImage image, int orientation) {
        int w = image.getWidth();
        int h = image.getHeight();
        AffineTransform how = switch (orientation) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, w, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, w, h);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, h);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, h, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, h, w);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, w);
            default -> null;
        };
        if (how == null) {
            return image;
        }
        boolean onItsSide = orientation >= 5;
        return drawn(image, onItsSide ? h : w, onItsSide ? w : h, how);
    }

    private static Picture encoded(BufferedImage image, String format) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName(format).next();
        try (ImageOutputStream out = ImageIO.createImageOutputStream(bytes)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            if (format.equals(JPEG)) {
                how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
                how.setCompressionQuality(QUALITY);
            }
            writer.setOutput(out);
            writer.write(null, new IIOImage(image, null, null), how);
        } finally {
            writer.dispose();
        }
        return new Picture("image/" + format, image.getWidth(), image.getHeight(), bytes.toByteArray());
    }
}
