package org.stratopneum.bench.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.stratopneum.bench.season.truth.Figure;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

class SeasonPlotTest {

    private static Map<Way, Map<Figure, Double>> year(double each) {
        return Arrays.stream(Way.values())
                .collect(Collectors.toMap(
                        way -> way,
                        way -> Arrays.stream(Figure.values())
                                .collect(Collectors.toMap(figure -> figure, figure -> each * (way.ordinal() + 1))),
                        (one, other) -> one,
                        () -> new EnumMap<>(Way.class)));
    }

    /** Read again by the parser of the platform: a dot for each way in each panel, as far out as its mean. */
    @Test
    void meansStandInTheOrderOfTheirSizes(@TempDir Path folder) throws Exception {
        Path file = folder.resolve("season.svg");
        SeasonPlot.write(file, List.of(year(10), year(30)));
        Document svg = DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(file.toFile());
        NodeList panels = svg.getElementsByTagName("g");
        assertThat(panels.getLength()).isEqualTo(8);
        for (int panel = 0; panel < panels.getLength(); panel++) {
            NodeList dots = ((Element) panels.item(panel)).getElementsByTagName("circle");
            assertThat(dots.getLength()).isEqualTo(Way.values().length);
            List<Double> across = IntStream.range(0, dots.getLength())
                    .mapToObj(dot -> Double.valueOf(((Element) dots.item(dot)).getAttribute("cx")))
                    .toList();
            assertThat(across).isSorted().doesNotHaveDuplicates();
            assertThat(across.get(1) - across.get(0)).isCloseTo(across.get(6) - across.get(5), within(0.11));
        }
        assertThat(Files.readString(file)).contains("app, usual", "2 riders and years");
    }
}
