package org.stratopneum.bench.season;

import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.stratopneum.bench.season.truth.Figure;

/** Draws what the years came to: for each figure the mean of each way, and the span that eight of ten riders lie in. */
final class SeasonPlot {

    private static final int COLUMNS = 2;
    private static final int WIDTH = 470;
    private static final int ROW = 22;
    private static final int HEAD = 46;
    private static final int LEFT = 130;
    private static final int RIGHT = 60;
    private static final int GAP = 30;

    /** What is drawn: figures that are added up, under one name. */
    private record Panel(String name, List<Figure> of) {}

    private static final List<Panel> PANELS = List.of(
            new Panel("ridden off the best range (km)", List.of(Figure.SOFT_KM, Figure.HARD_KM)),
            new Panel("ridden with too little sealant (km)", List.of(Figure.DRY_KM)),
            new Panel("minutes at the bench", List.of(Figure.MINUTES)),
            new Panel("trips to the shed", List.of(Figure.TRIPS)),
            new Panel("days with a leak unmended", List.of(Figure.LEAK_DAYS)),
            new Panel("rim strikes", List.of(Figure.STRIKES)),
            new Panel("flats outdoors", List.of(Figure.FLATS)),
            new Panel("walked home", List.of(Figure.WALKED)));

    private final XMLStreamWriter out;

    private SeasonPlot(XMLStreamWriter out) {
        this.out = out;
    }

    static void write(Path file, List<Map<Way, Map<Figure, Double>>> years) throws IOException, XMLStreamException {
        try (Writer writer = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
            XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(writer);
            new SeasonPlot(xml).draw(years);
            xml.close();
        }
    }

    private void draw(List<Map<Way, Map<Figure, Double>>> years) throws XMLStreamException {
        int height = HEAD + ROW * Way.values().length + GAP;
        int rows = (PANELS.size() + COLUMNS - 1) / COLUMNS;
        out.writeStartElement("svg");
        out.writeDefaultNamespace("http://www.w3.org/2000/svg");
        attributes("viewBox", "0 0 " + COLUMNS * WIDTH + " " + rows * height, "role", "img");
        attributes("font-family", "sans-serif", "font-size", "13");
        element("title", years.size() + " riders and years: mean of each way, and eight of ten of the riders");
        out.writeEmptyElement("rect");
        attributes("width", "100%", "height", "100%", "fill", "#eef1f0");
        for (int i = 0; i < PANELS.size(); i++) {
            out.writeStartElement("g");
            attributes("transform", "translate(" + i % COLUMNS * WIDTH + " " + i / COLUMNS * height + ")");
            draw(PANELS.get(i), years);
            out.writeEndElement();
        }
        out.writeEndElement();
    }

    private void draw(Panel panel, List<Map<Way, Map<Figure, Double>>> years) throws XMLStreamException {
        text(16, 28, "start", "#14181b", "bold", panel.name);
        double most = Arrays.stream(Way.values())
                .mapToDouble(way -> Spread.of(years, way, panel.of).high())
                .max()
                .orElseThrow();
        double scale = (WIDTH - LEFT - RIGHT) / Math.max(1e-9, most);
        int y = HEAD;
        for (Way way : Way.values()) {
            Spread spread = Spread.of(years, way, panel.of);
            double middle = y + ROW / 2.0;
            String ink = way.followsTheApplication() ? "#2b34b8" : "#5d676b";
            text(LEFT - 10, middle + 4, "end", ink, "normal", way.said());
            line(LEFT, middle, LEFT + scale * most, middle, "#cdd5d3", 1);
            line(LEFT + scale * spread.low(), middle, LEFT + scale * spread.high(), middle, ink, 3);
            out.writeEmptyElement("circle");
            attributes("cx", number(LEFT + scale * spread.mean()), "cy", number(middle), "r", "5", "fill", ink);
            text(WIDTH - RIGHT + 10, middle + 4, "start", ink, "normal", figure(spread.mean()));
            y += ROW;
        }
    }

    private static String figure(double value) {
        return String.format(Locale.ROOT, value < 20 ? "%.1f" : "%.0f", value);
    }

    private void line(double x1, double y1, double x2, double y2, String ink, int wide) throws XMLStreamException {
        out.writeEmptyElement("line");
        attributes("x1", number(x1), "y1", number(y1), "x2", number(x2), "y2", number(y2));
        attributes("stroke", ink, "stroke-width", String.valueOf(wide));
    }

    private void text(double x, double y, String anchor, String ink, String weight, String words)
            throws XMLStreamException {
        out.writeStartElement("text");
        attributes("x", number(x), "y", number(y), "text-anchor", anchor, "fill", ink, "font-weight", weight);
        out.writeCharacters(words);
        out.writeEndElement();
    }

    private void element(String name, String words) throws XMLStreamException {
        out.writeStartElement(name);
        out.writeCharacters(words);
        out.writeEndElement();
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }

    private void attributes(String... pairs) throws XMLStreamException {
        for (int i = 0; i < pairs.length; i += 2) {
            out.writeAttribute(pairs[i], pairs[i + 1]);
        }
    }
}
