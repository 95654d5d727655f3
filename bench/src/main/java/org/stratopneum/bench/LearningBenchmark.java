package org.stratopneum.bench;

import java.util.ArrayList;
import java.util.List;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.stratopneum.core.dialling.Feel;
import org.stratopneum.core.dialling.PersonalFactor;
import org.stratopneum.core.dialling.RideNote;

/** One note more, and the factor with its interval; wanted: under 1 ms. And fifty notes from nothing. */
@State(Scope.Benchmark)
public class LearningBenchmark {

    private final List<RideNote> notes = notes();
    private final PersonalFactor after = PersonalFactor.PRIOR.after(notes);

    private static List<RideNote> notes() {
        List<RideNote> notes = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            notes.add(new RideNote(0.002 * (i % 25 - 12), Feel.values()[i % 3], i % 5 != 0));
        }
        return notes;
    }

    @Benchmark
    public double oneNoteMore() {
        PersonalFactor then = after.after(notes.get(7));
        return then.low() + then.factor() + then.high();
    }

    @Benchmark
    public double fiftyNotes() {
        return PersonalFactor.PRIOR.after(notes).factor();
    }
}
