package org.stratopneum.web.fleet.kept;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class TellingTextTest {

    private record Pair(Object one, Object other) {}

    private record Couple(Object one, Object other) {}

    private enum Word {
        A
    }

    private static Stream<Object> things() {
        return Stream.of(
                "",
                "a",
                "ab",
                1,
                1.5,
                Word.A,
                LocalDate.of(2026, 11, 30),
                new Pair("a", "b"),
                new Pair("ab", ""),
                new Pair("", "ab"),
                new Pair(null, "b"),
                new Pair("a", new Pair("b", "c")),
                new Pair(new Pair("a", "b"), "c"),
                new Couple("a", "b"),
                List.of("a", "b"),
                List.of("ab"),
                List.of(List.of("a"), "b"),
                List.of("a", List.of("b")),
                List.of(),
                Arrays.asList("a", null),
                Map.of("a", "b"),
                Optional.of(new Pair("c", "d")));
    }

    @Test
    void whatDiffersReadsDifferently() {
        assertThat(things().map(TellingText::of)).doesNotHaveDuplicates();
    }

    /** Not by what it is in memory: made anew it reads the same. */
    @Test
    void whatIsTheSameReadsTheSame() {
        assertThat(things().map(TellingText::of).toList())
                .isEqualTo(things().map(TellingText::of).toList());
    }

    @Test
    void whatIsMissingReadsAsNothing() {
        assertThat(TellingText.of(Optional.empty())).isEqualTo(TellingText.of(null));
    }
}
