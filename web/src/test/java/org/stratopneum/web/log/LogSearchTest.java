package org.stratopneum.web.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class LogSearchTest {

    private static final UUID SKYLARK = UUID.randomUUID();
    private static final UUID REAR = UUID.randomUUID();
    private static final List<LogSearch.Named> NAMES = List.of(
            new LogSearch.Named("bike_id", SKYLARK, "Old Skylark"), new LogSearch.Named("wheel_id", REAR, "REAR"));

    @Test
    void wordsQuotesAndAMinusAreTold() {
        assertThat(LogSearch.terms("Rear \"would not  seal\" -winter -\"set one\""))
                .extracting(LogSearch.Term::words, LogSearch.Term::without)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("rear", false),
                        org.assertj.core.groups.Tuple.tuple("would not seal", false),
                        org.assertj.core.groups.Tuple.tuple("winter", true),
                        org.assertj.core.groups.Tuple.tuple("set one", true));
    }

    /** Whatever is typed is read; signs that mean something to a database are no words. */
    @Test
    void nothingThatIsTypedIsTooMuch() {
        assertThat(LogSearch.terms(null)).isEmpty();
        assertThat(LogSearch.terms("  \"\" - -\" ' | & ! :* () \\ ")).isEmpty();
        assertThat(LogSearch.terms("\"never closed"))
                .extracting(LogSearch.Term::words)
                .containsExactly("never", "closed");
        assertThat(LogSearch.terms("a ".repeat(500))).hasSizeLessThan(20);
    }

    @Test
    void aNameIsFoundByTheBeginningOfItsWords() {
        assertThat(named("skyl")).isEqualTo(Map.of("bike_id", List.of(SKYLARK)));
        assertThat(named("\"old sky\"")).isEqualTo(Map.of("bike_id", List.of(SKYLARK)));
        assertThat(named("\"sky old\"")).isEmpty();
        assertThat(named("lark")).isEmpty();
        assertThat(named("Rear")).isEqualTo(Map.of("wheel_id", List.of(REAR)));
    }

    private static Map<String, List<UUID>> named(String typed) {
        return LogSearch.terms(typed).get(0).naming(NAMES).named();
    }
}
