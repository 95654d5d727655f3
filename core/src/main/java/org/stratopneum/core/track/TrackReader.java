package org.stratopneum.core.track;

import com.ctc.wstx.api.WstxInputProperties;
import com.ctc.wstx.stax.WstxInputFactory;
import java.io.FilterInputStream;
import java.io.InputStream;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;

/**
 * Reads tracks of the GPS Exchange Format (GPX 1.0 and 1.1) as a stream: memory does not grow with the file. Points of
 * all tracks are added up; segments are not joined. Heights gained count from 5 m on (our judgement). It leaves out
 * routes and waypoints, which nobody rode, and does not mend jumps of the receiver.
 */
public final class TrackReader {

    public static final String NOT_XML = "not-xml";
    public static final String HAS_DOCTYPE = "has-doctype";
    public static final String NOT_GPX = "not-gpx";
    public static final String NO_TRACK = "no-track";

    private static final String POINT = "trkpt";

    /** No height or moment is longer than this; whatever else stands in a point is not kept. */
    private static final int LONGEST = 64;

    private static final double HIGHEST_M = 9000;

    /** No GPX is nested deeper, or has longer attributes (letters). */
    private static final int DEEPEST = 100;

    private static final int LONGEST_ATTRIBUTE = 10_000;

    private final XMLStreamReader xml;
    private final String field;
    private final TrackSum sum = new TrackSum();

    private TrackReader(XMLStreamReader xml, String field) {
        this.xml = xml;
        this.field = field;
    }

    /**
     * @param in read to its end, and left open
     * @param field the field that faults are about
     * @throws InvalidInputException when it is not XML, has a document type, is not GPX, or has no point
     */
    public static Track read(InputStream in, String field) {
        // what nobody asks for is skipped without being kept, and depth, names and attributes have their limits
        XMLInputFactory factory = new WstxInputFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        factory.setProperty(WstxInputProperties.P_MAX_ELEMENT_DEPTH, DEEPEST);
        factory.setProperty(WstxInputProperties.P_MAX_ATTRIBUTE_SIZE, LONGEST_ATTRIBUTE);
        try {
            XMLStreamReader xml = factory.createXMLStreamReader(new Unclosed(in));
            try {
                return new TrackReader(xml, field).read();
            } finally {
                xml.close();
            }
        } catch (XMLStreamException exception) {
            throw new InvalidInputException(Problem.of(field, NOT_XML));
        }
    }

    private Track read() throws XMLStreamException {
        boolean root = true;
        while (xml.hasNext()) {
            int event = xml.next();
            if (event == XMLStreamConstants.DTD || event == XMLStreamConstants.ENTITY_REFERENCE) {
                throw new InvalidInputException(Problem.of(field, HAS_DOCTYPE));
            }
            if (event == XMLStreamConstants.START_ELEMENT) {
                if (root && !xml.getLocalName().equals("gpx")) {
                    throw new InvalidInputException(Problem.of(field, NOT_GPX));
                }
                root = false;
                if (xml.getLocalName().equals("trkseg")) {
                    sum.breakOff();
                } else if (xml.getLocalName().equals(POINT)) {
                    point();
                }
            }
        }
        if (sum.points() == 0) {
            throw new InvalidInputException(Problem.of(field, NO_TRACK));
        }
        return sum.track();
    }

    /** From the point's start to its end; only its own children count, not those of its extensions. */
    private void point() throws XMLStreamException {
        Double latitude = number(xml.getAttributeValue(null, "lat"), 90);
        Double longitude = number(xml.getAttributeValue(null, "lon"), 180);
        Double height = null;
        Instant time = null;
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
                    if (depth == 1 && xml.getLocalName().equals("ele")) {
                        height = number(text.toString(), HIGHEST_M);
                    } else if (depth == 1 && xml.getLocalName().equals("time")) {
                        time = moment(text.toString());
                    }
                    text.setLength(0);
                }
                case XMLStreamConstants.ENTITY_REFERENCE ->
                    throw new InvalidInputException(Problem.of(field, HAS_DOCTYPE));
                default -> {
                    // comments and the like say nothing
                }
            }
        }
        if (latitude == null || longitude == null) {
            sum.skip();
        } else {
            sum.add(latitude, longitude, height, time);
        }
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
