package org.stratopneum.bench.season.hut;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.stratopneum.bench.season.truth.Dealt;
import org.stratopneum.bench.season.truth.Figure;
import org.stratopneum.bench.season.truth.Year;

/**
 * Makes the demo's year: one run of the simulation, written down as its rider would have. Usage: DemoYear FILE [SEED].
 */
public final class DemoYear {

    /** In its year nobody stops beside the trail but where the demo's script says so, and something is due at its end. */
    static final long SEED = 28;

    private DemoYear() {}

    public static void main(String[] arguments) throws IOException {
        Files.write(Path.of(arguments[0]), of(arguments.length > 1 ? Long.parseLong(arguments[1]) : SEED));
    }

    /** The entries of a year. */
    static List<String> of(long seed) {
        HutJournal journal = new HutJournal(Dealt.by(seed * 7 + 3));
        pass(seed, journal);
        return journal.lines();
    }

    /** Passes it, and says what it came to. */
    static Map<Figure, Double> pass(long seed, HutJournal journal) {
        return Year.of(new HutHome(seed), new Ilse(journal, Dealt.by(seed * 101)));
    }
}
