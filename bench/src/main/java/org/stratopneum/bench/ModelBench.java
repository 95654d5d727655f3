package org.stratopneum.bench;

import java.io.IOException;
import java.io.Reader;
import java.io.Writer;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.results.RunResult;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.ChainedOptionsBuilder;
import org.openjdk.jmh.runner.options.OptionsBuilder;
import org.openjdk.jmh.runner.options.TimeValue;
import org.openjdk.jmh.runner.options.VerboseMode;

/**
 * How long the models take, beside what is wanted of them and what they took when that was recorded: as multiples of
 * computations that never change, measured in the same run.
 *
 * <p>Usage: ModelBench RECORDED [--record] [NAME...]; names are regular expressions. Ends with 1 where a goal is missed or a
 * model takes a fifth longer than recorded beside all of those; with --record it writes the file anew.
 */
public final class ModelBench {

    /** What is wanted (us). */
    private static final Map<String, Double> WANTED = Map.of(
            "AdviceBenchmark.adviceForABike", 20.0,
            "SealantBenchmark.depthToVolume", 50.0,
            "SealantBenchmark.volumeToDepth", 50.0,
            "DiagnosisBenchmark.nextCheckToMendSoon", 1000.0,
            "DiagnosisBenchmark.nextCheckToNameIt", 1000.0,
            "SealantBenchmark.forecastWithTwentyEvents", 10_000.0,
            "AirLossBenchmark.readAndPumpedDaily", 1000.0,
            "LearningBenchmark.oneNoteMore", 1000.0,
            "DueBenchmark.dueOfAWheel", 2000.0);

    private static final List<String> FIXED = List.of("FixedBenchmark.numbers", "FixedBenchmark.objects");
    private static final double SLOWER = 1.2;
    private static final int WARM_UP = 3;
    private static final int MEASURED = 5;
    private static final int PROCESSES = 2;
    private static final TimeValue EACH = TimeValue.seconds(2);

    private ModelBench() {}

    public static void main(String[] arguments) throws RunnerException, IOException {
        Path file = Path.of(arguments[0]);
        boolean record = arguments.length > 1 && arguments[1].equals("--record");
        Map<String, RunResult> results = run(arguments, record ? 2 : 1);
        Properties recorded = new Properties();
        if (Files.exists(file)) {
            try (Reader reader = Files.newBufferedReader(file)) {
                recorded.load(reader);
            }
        }
        boolean good = tell(results, recorded);
        if (record) {
            write(file, results, recorded);
        }
        System.exit(good || record ? 0 : 1);
    }

    private static Map<String, RunResult> run(String[] arguments, int names) throws RunnerException {
        ChainedOptionsBuilder options = new OptionsBuilder()
                .verbosity(VerboseMode.SILENT)
                .mode(Mode.AverageTime)
                .timeUnit(TimeUnit.MICROSECONDS)
                .warmupIterations(WARM_UP)
                .warmupTime(EACH)
                .measurementIterations(MEASURED)
                .measurementTime(EACH)
                .forks(PROCESSES)
                .include("FixedBenchmark");
        for (int i = names; i < arguments.length; i++) {
            options.include(arguments[i]);
        }
        if (names == arguments.length) {
            options.include(".*");
        }
        Collection<RunResult> all = new Runner(options.build()).run();
        Map<String, RunResult> results = new TreeMap<>();
        all.forEach(one ->
                results.put(one.getParams().getBenchmark().replaceFirst("org\\.stratopneum\\.bench\\.", ""), one));
        return results;
    }

    /** The middle one of the iterations: a few that the machine disturbed do not count. */
    private static double us(RunResult result) {
        return result.getPrimaryResult().getStatistics().getPercentile(50);
    }

    private static boolean tell(Map<String, RunResult> results, Properties recorded) {
        boolean good = true;
        say("%-45s %10s %8s %10s   %-20s %s", "", "us", "+-", "wanted", "x fixed", "recorded");
        for (Map.Entry<String, RunResult> entry : results.entrySet()) {
            double us = us(entry.getValue());
            Double wanted = WANTED.get(entry.getKey());
            String before = recorded.getProperty(entry.getKey(), "");
            boolean late = wanted != null && us > wanted;
            boolean slower = isSlower(multiples(entry.getValue(), results), before);
            good &= !late && !slower;
            say(
                    "%-45s %10.2f %8.2f %10s   %-20s %-20s %s%s",
                    entry.getKey(),
                    us,
                    entry.getValue().getPrimaryResult().getScoreError(),
                    wanted == null ? "" : String.format(Locale.ROOT, "%.0f", wanted),
                    written(multiples(entry.getValue(), results)),
                    before,
                    late ? "LATE " : "",
                    slower ? "SLOWER than recorded by more than a fifth" : "");
        }
        return good;
    }

    private static double[] multiples(RunResult result, Map<String, RunResult> results) {
        return FIXED.stream()
                .mapToDouble(fixed -> us(result) / us(results.get(fixed)))
                .toArray();
    }

    private static boolean isSlower(double[] multiples, String before) {
        if (before.isEmpty()) {
            return false;
        }
        String[] each = before.split(" ");
        return IntStream.range(0, multiples.length).allMatch(i -> multiples[i] > SLOWER * Double.parseDouble(each[i]));
    }

    private static String written(double[] multiples) {
        return Arrays.stream(multiples)
                .mapToObj(multiple -> String.format(Locale.ROOT, "%.4f", multiple))
                .collect(Collectors.joining(" "));
    }

    private static void write(Path file, Map<String, RunResult> results, Properties recorded) throws IOException {
        Map<String, String> lines = new TreeMap<>();
        recorded.stringPropertyNames().forEach(name -> lines.put(name, recorded.getProperty(name)));
        results.forEach((name, result) -> lines.put(name, written(multiples(result, results))));
        try (Writer writer = Files.newBufferedWriter(file)) {
            writer.write("# What each took as a multiple of " + String.join(" and of ", FIXED)
                    + ": written by ./stratopneum bench --record\n");
            for (Map.Entry<String, String> line : lines.entrySet()) {
                writer.write(line.getKey() + '=' + line.getValue() + '\n');
            }
        }
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
