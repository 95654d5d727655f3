package org.stratopneum.bench.web;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntFunction;
import java.util.function.Supplier;

/**
 * Sends requests by the clock, whether or not those before have been answered, and times each from the moment when it was
 * due, so that a stumbling server cannot hide behind a waiting client.
 */
final class Load {

    private static final int HANDS = 4;

    private final List<Day> days;
    private final Random random = new Random(20);

    /**
     * What came of the requests of one kind.
     *
     * @param times of the good answers (ms)
     * @param bytes the most that came over the wire
     * @param faults what was said instead of a good answer
     */
    record Measured(Times times, int bytes, List<String> faults) {}

    /** One request and what came of it, or why nothing did. */
    private record Sent(Day.Kind kind, double ms, int bytes, String fault) {}

    Load(List<Day> days) {
        this.days = List.copyOf(days);
    }

    /** As fast as a few hands can, until the code that runs is the code that stays. */
    void warmUp(int requests) {
        List<Day.Kind> mix = mix(requests);
        for (int i = 0; i < mix.size(); i += HANDS) {
            CompletableFuture.allOf(mix.subList(i, Math.min(mix.size(), i + HANDS)).stream()
                            .map(kind -> anyDay().request(kind).get())
                            .toArray(CompletableFuture[]::new))
                    .join();
        }
    }

    /** The mix of a day, so many a second for so many seconds. */
    Map<Day.Kind, Measured> day(double perSecond, int seconds) {
        List<Day.Kind> mix = mix((int) (perSecond * seconds));
        List<Sent> all = byTheClock(perSecond, mix.size(), mix::get, i -> anyDay().request(mix.get(i)));
        Map<Day.Kind, Measured> measured = new EnumMap<>(Day.Kind.class);
        for (Day.Kind kind : Day.Kind.values()) {
            measured.put(
                    kind,
                    measured(all.stream().filter(sent -> sent.kind == kind).toList()));
        }
        return measured;
    }

    /** Readings alone, each sent and not followed, of any of the riders. */
    Measured readings(double perSecond, int seconds) {
        return measured(
                byTheClock(perSecond, (int) (perSecond * seconds), i -> Day.Kind.WRITE, i -> anyDay().reading()));
    }

    private static Measured measured(List<Sent> all) {
        return new Measured(
                Times.of(all.stream()
                        .filter(sent -> sent.fault == null)
                        .map(Sent::ms)
                        .toList()),
                all.stream().mapToInt(Sent::bytes).max().orElse(0),
                all.stream().map(Sent::fault).filter(Objects::nonNull).toList());
    }

    private static List<Sent> byTheClock(
            double perSecond,
            int count,
            IntFunction<Day.Kind> kinds,
            IntFunction<Supplier<CompletableFuture<Browser.Answer>>> requests) {
        List<CompletableFuture<Sent>> all = new ArrayList<>();
        long pause = (long) (TimeUnit.SECONDS.toNanos(1) / perSecond);
        long start = System.nanoTime();
        for (int i = 0; i < count; i++) {
            Supplier<CompletableFuture<Browser.Answer>> request = requests.apply(i);
            long due = start + i * pause;
            for (long left = due - System.nanoTime(); left > 0; left = due - System.nanoTime()) {
                LockSupport.parkNanos(left);
            }
            Day.Kind kind = kinds.apply(i);
            all.add(request.get()
                    .handle((answer, fault) -> new Sent(
                            kind,
                            (System.nanoTime() - due) / 1e6,
                            answer == null ? 0 : answer.bytes(),
                            fault == null ? null : fault.toString())));
        }
        return all.stream().map(CompletableFuture::join).toList();
    }

    private Day anyDay() {
        return days.get(random.nextInt(days.size()));
    }

    private List<Day.Kind> mix(int count) {
        List<Day.Kind> all = new ArrayList<>();
        for (Day.Kind kind : Day.Kind.values()) {
            all.addAll(Collections.nCopies(kind.share(), kind));
        }
        List<Day.Kind> mix = new ArrayList<>();
        while (mix.size() < count) {
            Collections.shuffle(all, random);
            mix.addAll(all);
        }
        return mix.subList(0, count);
    }
}
