package org.stratopneum.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import org.stratopneum.core.job.Caution;

/** The table of the leak finder, read and checked. */
public final class LeakModel {

    private static final LeakModel TUBELESS = read(LeakTable.TUBELESS, AirSystem.TUBELESS);
    private static final LeakModel TUBE = read(LeakTable.TUBE, AirSystem.TUBE);

    private static final double ROUNDING = 1e-6;

    private final List<Cause> causes;
    private final Map<Cause, Double> prior = new EnumMap<>(Cause.class);
    private final Map<Cause, Double> fixMinutes = new EnumMap<>(Cause.class);
    private final Map<Circumstance, Map<Cause, Double>> known = new EnumMap<>(Circumstance.class);
    private final List<Check> checks = new ArrayList<>();

    private LeakModel(AirSystem system) {
        causes = Cause.of(system);
    }

    public static LeakModel of(AirSystem system) {
        return system == AirSystem.TUBELESS ? TUBELESS : TUBE;
    }

    /** @throws IllegalArgumentException where the table is not whole */
    static LeakModel read(String table, AirSystem system) {
        LeakModel model = new LeakModel(system);
        Map<String, List<String[]>> rows = new HashMap<>();
        List<String[]> heads = new ArrayList<>();
        Map<String, List<String>> after = new HashMap<>();
        for (String line : table.lines().toList()) {
            String[] words = line.strip().split("\\s+");
            switch (words[0]) {
                case "", "#" -> {}
                case "cause" -> {
                    model.prior.put(model.cause(words[1]), Double.valueOf(words[2]));
                    model.fixMinutes.put(model.cause(words[1]), Double.valueOf(words[3]));
                }
                case "known" -> model.know(words);
                case "check" -> {
                    heads.add(words);
                    rows.put(words[1], new ArrayList<>());
                }
                case "after" ->
                    after.computeIfAbsent(words[1], check -> new ArrayList<>())
                            .add(String.join(" ", Arrays.copyOfRange(words, 2, words.length)));
                default -> rows.get(heads.get(heads.size() - 1)[1]).add(words);
            }
        }
        for (String[] head : heads) {
            model.checks.add(model.check(head, rows.get(head[1]), after.getOrDefault(head[1], List.of())));
        }
        if (!model.prior.keySet().containsAll(model.causes)) {
            throw new IllegalArgumentException("a cause has no prior");
        }
        return model;
    }

    private Cause cause(String code) {
        return causes.stream()
                .filter(cause -> cause.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no cause " + code));
    }

    private void know(String[] words) {
        Circumstance circumstance = Arrays.stream(Circumstance.values())
                .filter(found -> found.code().equals(words[1]))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("nothing is known as " + words[1]));
        Map<Cause, Double> factors = new EnumMap<>(Cause.class);
        for (int i = 2; i < words.length; i += 2) {
            factors.put(cause(words[i]), Double.valueOf(words[i + 1]));
        }
        known.put(circumstance, factors);
    }

    private Check check(String[] head, List<String[]> rows, List<String> after) {
        List<String> answers = List.of(head).subList(4, head.length);
        Map<Cause, List<Double>> likelihood = new EnumMap<>(Cause.class);
        for (Cause cause : causes) {
            String[] row = rows.stream()
                    .filter(found -> found[0].equals(cause.code()))
                    .findFirst()
                    .or(() -> rows.stream()
                            .filter(found -> found[0].equals("others"))
                            .findFirst())
                    .orElseThrow(() -> new IllegalArgumentException(head[1] + " says nothing of " + cause.code()));
            List<Double> numbers =
                    Arrays.stream(row).skip(1).map(Double::valueOf).toList();
            double sum = numbers.stream().mapToDouble(Double::doubleValue).sum();
            if (numbers.size() != answers.size() || Math.abs(sum - 1) > ROUNDING) {
                throw new IllegalArgumentException(head[1] + " " + row[0] + " does not add up to one");
            }
            likelihood.put(cause, numbers);
        }
        return new Check(
                head[1],
                Double.parseDouble(head[2]),
                Double.parseDouble(head[3]),
                answers,
                likelihood,
                rows.stream().anyMatch(row -> row[0].equals("overnight")),
                cautions(head[1], rows),
                after);
    }

    /** Each check says what can hurt whoever looks, even where it is nothing. */
    private static Check.Cautions cautions(String check, List<String[]> rows) {
        String[] looking = rows.stream()
                .filter(row -> row[0].equals("caution"))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(check + " has no caution, not even none"));
        Map<String, Caution> seen = new HashMap<>();
        rows.stream()
                .filter(row -> row[0].equals("caution-if"))
                .forEach(row -> seen.put(row[1], Caution.valueOf(row[2])));
        return new Check.Cautions(
                looking[1].equals("none") ? Optional.empty() : Optional.of(Caution.valueOf(looking[1])), seen);
    }

    /** By so much every likelihood may be off (ratio). */
    private static final double SHAKEN = 0.3;

    /** The same with every likelihood off by up to 30 %, and each row made to add up to one again. */
    public LeakModel shaken(Random random) {
        return changed(likelihood -> likelihood * (1 - SHAKEN + 2 * SHAKEN * random.nextDouble()));
    }

    /** So many leaks of its own is the table's prior worth (Dirichlet; our judgement: a rider's own are few). */
    private static final double TABLE_COUNTS = 20;

    /**
     * The same with the prior of a rider whose own leaks are known: (20 p + n) / (20 + sum of n).
     *
     * @param confirmed how often each cause was confirmed; causes of the other system are left out
     */
    public LeakModel withOwn(Map<Cause, Integer> confirmed) {
        LeakModel own = like();
        own.checks.addAll(checks);
        double all = causes.stream()
                .mapToInt(cause -> confirmed.getOrDefault(cause, 0))
                .sum();
        double table = prior.values().stream().mapToDouble(Double::doubleValue).sum();
        prior.forEach((cause, share) -> own.prior.put(
                cause, (TABLE_COUNTS * share / table + confirmed.getOrDefault(cause, 0)) / (TABLE_COUNTS + all)));
        return own;
    }

    /** What holds the air. */
    public AirSystem system() {
        return causes.get(0) == Cause.NORMAL ? AirSystem.TUBELESS : AirSystem.TUBE;
    }

    /** The same without its checks. */
    private LeakModel like() {
        LeakModel other = new LeakModel(system());
        other.prior.putAll(prior);
        other.fixMinutes.putAll(fixMinutes);
        other.known.putAll(known);
        return other;
    }

    private LeakModel changed(DoubleUnaryOperator change) {
        LeakModel other = like();
        for (Check check : checks) {
            Map<Cause, List<Double>> likelihood = new EnumMap<>(Cause.class);
            check.likelihood().forEach((cause, row) -> {
                double[] changed =
                        row.stream().mapToDouble(change::applyAsDouble).toArray();
                double sum = Arrays.stream(changed).sum();
                likelihood.put(
                        cause,
                        Arrays.stream(changed).mapToObj(value -> value / sum).toList());
            });
            other.checks.add(new Check(
                    check.code(),
                    check.minutes(),
                    check.mess(),
                    check.answers(),
                    likelihood,
                    check.overnight(),
                    check.cautions(),
                    check.after()));
        }
        return other;
    }

    public List<Cause> causes() {
        return causes;
    }

    public List<Check> checks() {
        return List.copyOf(checks);
    }

    /** @throws NoSuchElementException where there is no such check */
    public Check check(String code) {
        return checks.stream()
                .filter(check -> check.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new NoSuchElementException("no check " + code));
    }

    /** What mending takes, without the hold test after it (min). */
    public double fixMinutes(Cause cause) {
        return fixMinutes.get(cause);
    }

    /** The same for the cause of this number among {@link #causes}. */
    double fixMinutesAt(int cause) {
        return fixMinutes.get(causes.get(cause));
    }

    /** How likely each cause is before anything was looked at (ratios that add up to 1). */
    public Belief prior(Set<Circumstance> circumstances) {
        double[] weight = new double[causes.size()];
        for (int i = 0; i < weight.length; i++) {
            Cause cause = causes.get(i);
            weight[i] = prior.get(cause);
            for (Circumstance circumstance : circumstances) {
                weight[i] *= known.getOrDefault(circumstance, Map.of()).getOrDefault(cause, 1.0);
            }
        }
        return new Belief(causes, weight);
    }

    /** How many times a circumstance raises the odds of a cause, the others being known too (ratio). */
    double times(Circumstance circumstance, Cause cause, Set<Circumstance> all) {
        Set<Circumstance> without = EnumSet.copyOf(all);
        without.remove(circumstance);
        return odds(prior(all).of(cause)) / odds(prior(without).of(cause));
    }

    private static double odds(double probability) {
        return probability / (1 - probability);
    }
}
