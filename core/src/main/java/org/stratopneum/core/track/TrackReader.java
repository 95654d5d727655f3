package org.stratopneum.core.track;

import com.ctc.wstx.api.WstxInputProperties;
import com.ctc.wstx.stax.WstxInputFactory;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PushbackInputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPInputStream;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;

/**
 * Reads recorded rides as a stream: memory does not grow with the file. It knows the GPS Exchange Format (GPX 1.0 and
 * 1.1) and the XML of training computers (TCX), each packed by gzip (RFC 1952) or not. Tracks of one day are one ride,
 * those of several days as many; segments are not joined. Heights gained count from 5 m on (our judgement). It leaves out
 * routes and waypoints, which nobody rode, and does not mend jumps of the receiver.
 */
public final class TrackReader {

    public static final String NOT_XML = "not-xml";
    public static final String HAS_DOCTYPE = "has-doctype";
    public static final String NOT_GPX = "not-gpx";
    public static final String NO_TRACK = "no-track";

    public static final String TOO_LARGE = "track-too-large";

    /** No ride is larger once it is unpacked (bytes). */
    static final long MOST_UNPACKED = 500L << 20;

    private static final int GZIP_1 = 0x1F;
    private static final int GZIP_2 = 0x8B;

    private static final double WARMEST_C = 60;

    /** No height or moment is longer than this; whatever else stands in a point is not kept. */
    private static final int LONGEST = 64;

    private static final double HIGHEST_M = 9000;

    /** No GPX is nested deeper, or has longer attributes (letters). */
    private static final int DEEPEST = 100;

    private static final int LONGEST_ATTRIBUTE = 10_000;

    private final XMLStreamReader xml;
    private final String field;
    private final ZoneId zone;
    private final List<TrackSum> sums = new ArrayList<>(List.of(new TrackSum()));
    private boolean newTrack;

    private TrackReader(XMLStreamReader xml, String field, ZoneId zone) {
        this.xml = xml;
        this.field = field;
        this.zone = zone;
    }

    /**
     * @param in read to its end, and left open
     * @param field the field that faults are about
     * @param zone by whose days it is told whether tracks are of one day
     * @throws InvalidInputException when it is not XML, has a document type, is neither GPX nor TCX, has no point, or
     *     unpacks to more than 500 MB
     */
    public static Recording read(InputStream in, String field, ZoneId zone) {
        // what nobody asks for is skipped without being kept, and depth, names and attributes have their limits
        XMLInputFactory factory = new WstxInputFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(WstxInputProperties.P_MAX_ELEMENT_DEPTH, DEEPEST);
        factory.setProperty(WstxInputProperties.P_MAX_ATTRIBUTE_SIZE, LONGEST_ATTRIBUTE);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(unpacked(in, field));
            try {
                return new TrackReader(xml, field, zone).read();
            } finally {
                xml.close();
            }
        } catch (XMLStreamException | IOException exception) {
            throw new InvalidInputException(Problem.of(field, NOT_XML));
        }
    }

    private static InputStream unpacked(InputStream in, String field) throws IOException {
        PushbackInputStream from = new PushbackInputStream(new Unclosed(in), 2);
        byte[] first = from.readNBytes(2);
        from.unread(first);
        boolean packed = first.length == 2 && (first[0] & 0xFF) == GZIP_1 && (first[1] & 0xFF) == GZIP_2;
        return packed ? new Bounded(new GZIPInputStream(from), field) : from;
    }

    private Recording read() throws XMLStreamException {
        boolean root = true;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.DTD || event == XMLStreamConstants.ENTITY_REFERENCE) {
                throw new InvalidInputException(Problem.of(field, HAS_DOCTYPE));
            }
            if (event == XMLStreamConstants.START_ELEMENT) {
                String name = xml.getLocalName();
                if (root && !name.equals("gpx") && !name.equals("TrainingCenterDatabase")) {
                    throw new InvalidInputException(Problem.of(field, NOT_GPX));
                }
                root = false;
                switch (name) {
                    case "trk", "Activity" -> newTrack = true;
                    case "trkseg", "Track" -> sum().breakOff();
                    case "trkpt" ->
                        point(new Point(
                                number(xml.getAttributeValue(null, "lat"), 90),
                                number(xml.getAttributeValue(null, "lon"), 180)));
                    case "Trackpoint" -> point(new Point(null, null));
                    default -> {
                        // says nothing of the way
                    }
                }
            }
        }
        List<Track> rides = sums.stream()
                .filter(one -> one.points() > 0)
                .map(TrackSum::track)
                .toList();
        if (rides.isEmpty()) {
            throw new InvalidInputException(Problem.of(field, NO_TRACK));
        }
        return new Recording(rides);
    }

    private TrackSum sum() {
        return sums.get(sums.size() - 1);
    }

    /** A point as far as it is read; each part null where it is not there or makes no sense. */
    private static final class Point {

        private Double latitude;
        private Double longitude;
        private Double height;
        private Instant time;
        private Double temperature;

        Point(Double latitude, Double longitude) {
            this.latitude = latitude;
            this.longitude = longitude;
        }

        /** @param depth of the element in the point: what is deeper is an extension, or a position */
        void take(String element, int depth, String text) {
            boolean own = depth == 1;
            switch (element) {
                case "ele", "AltitudeMeters" -> height = own ? number(text, HIGHEST_M) : height;
                case "time", "Time" -> time = own ? moment(text) : time;
                case "LatitudeDegrees" -> latitude = number(text, 90);
                case "LongitudeDegrees" -> longitude = number(text, 180);
                case "atemp" -> temperature = number(text, WARMEST_C);
                default -> {
                    // says nothing of the way
                }
            }
        }
    }

    /** From the point's start to its end. */
    private void point(Point point) throws XMLStreamException {
        int depth = 1;
        StringBuilder text = new StringBuilder();
        while (depth > 0) {
            switch (xml.next()) {
                case XMLStreamConstants.START_ELEMENT -> {
                    depth++;
                    text.setLength(0);
                }
                case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA -> keep(text);
                case XMLStreamConstants.END_ELEMENT -> {
                    depth--;
                    point.take(xml.getLocalName(), depth, text.toString());
                    text.setLength(0);
                }
                case XMLStreamConstants.ENTITY_REFERENCE ->
                    throw new InvalidInputException(Problem.of(field, HAS_DOCTYPE));
                default -> {
                    // comments and the like say nothing
                }
            }
        }
        if (point.latitude == null || point.longitude == null) {
            sum().skip();
            return;
        }
        if (newTrack && isOfAnotherDay(point.time)) {
            sums.add(new TrackSum());
        }
        newTrack = false;
        sum().add(point.latitude, point.longitude, point.height, point.time, point.temperature);
    }

    private boolean isOfAnotherDay(Instant time) {
        Instant start = sum().start();
        return time != null
                && start != null
                && !LocalDate.ofInstant(time, zone).equals(LocalDate.ofInstant(start, zone));
    }

    private void keep(StringBuilder text) {
        if (text.length() < LONGEST) {
            text.append(xml.getTextCharacters(), xml.getTextStart(), Math.min(xml.getTextLength(), LONGEST));
        }
    }

    /** Null where it is no number, or farther from 0 than {@code most}. */
    private static Double number(String text, double most) {
        if (text == null) {
            return null;
        }
        try {
            double value = Double.parseDouble(text.strip());
            return Math.abs(value) <= most ? value : null;
        } catch (NumberFormatException exception) {
            return null;
        }
    }

    /** Null where it is no moment; without an offset it is universal time, as the format says. */
    private static Instant moment(String text) {
        String stripped = text.strip();
        try {
            return OffsetDateTime.parse(stripped).toInstant();
        } catch (DateTimeException exception) {
            try {
                return LocalDateTime.parse(stripped).toInstant(ZoneOffset.UTC);
            } catch (DateTimeException again) {
                return null;
            }
        }
    }

    /** What is unpacked, up to a limit. */
    private static final class Bounded extends FilterInputStream {

        private final String field;
        private long left = MOST_UNPACKED;

        Bounded(InputStream in, String field) {
            super(in);
            this.field = field;
        }

        @Override
        public int read() throws IOException {
            count(1);
            return super.read();
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            int count = super.read(into, offset, length);
            count(Math.max(0, count));
            return count;
        }

        private void count(int read) {
            left -= read;
            if (left < 0) {
                throw new InvalidInputException(Problem.of(field, TOO_LARGE));
            }
        }
    }

    /** XML readers close what they have read to its end. */
    private static final class Unclosed extends FilterInputStream {

        Unclosed(InputStream in) {
            super(in);
        }

        @Override
        public void close() {
            // whoever opened it closes it
        }
    }
}
