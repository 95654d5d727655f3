package org.stratopneum.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
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
    private final Map<String, Integer> numbers = new HashMap<>();
    private final Map<String, Cause> signs = new HashMap<>();
    private final Map<Cause, List<String>> own = new EnumMap<>(Cause.class);
    private LeakStates states;

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
                case "sign" -> model.signs.put(words[1] + " " + words[2], model.cause(words[3]));
                case "own" ->
                    model.own.put(model.cause(words[1]), List.of(words).subList(2, words.length));
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
            model.add(model.check(head, rows.get(head[1]), after.getOrDefault(head[1], List.of())));
        }
        if (!model.prior.keySet().containsAll(model.causes)) {
            throw new IllegalArgumentException("a cause has no prior");
        }
        model.states = new LeakStates(model);
        return model;
    }

    private void add(Check check) {
        numbers.put(check.code(), checks.size());
        checks.add(check);
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
                new Check.Kind(says(rows, "overnight"), says(rows, "repeat"), says(rows, "bubbles-only")),
                cautions(head[1], rows),
                after);
    }

    private static boolean says(List<String[]> rows, String word) {
        return rows.stream().anyMatch(row -> row[0].equals(word));
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

    /**
     * The same, its numbers off: each times exp(spread z) with z standard normal, and each row made to add up to one again.
     *
     * @param likelihoods spread of the logarithms of likelihoods, {@code priors} of priors
     */
    public LeakModel shaken(Random random, double likelihoods, double priors) {
        LeakModel other = like();
        other.prior.replaceAll((cause, share) -> share * Math.exp(priors * random.nextGaussian()));
        for (Check check : checks) {
            Map<Cause, List<Double>> likelihood = new EnumMap<>(Cause.class);
            for (Cause cause : causes) {
                double[] changed = check.likelihood().get(cause).stream()
                        .mapToDouble(value -> value * Math.exp(likelihoods * random.nextGaussian()))
                        .toArray();
                double sum = Arrays.stream(changed).sum();
                likelihood.put(
                        cause,
                        Arrays.stream(changed).mapToObj(value -> value / sum).toList());
            }
            other.add(new Check(
                    check.code(),
                    check.minutes(),
                    check.mess(),
                    check.answers(),
                    likelihood,
                    check.kind(),
                    check.cautions(),
                    check.after()));
        }
        other.states = new LeakStates(other);
        return other;
    }

    /** So many leaks of its own is the table's prior worth (Dirichlet; our judgement: a rider's own are few). */
    private static final double TABLE_COUNTS = 20;

    /**
     * The same with the prior of a rider whose own leaks are known: (20 p + n) / (20 + sum of n). Valves of tubes that were
     * noted before core and stem were told apart count for both, by the table.
     *
     * @param confirmed how often each cause was confirmed; causes of the other system are left out
     */
    public LeakModel withOwn(Map<Cause, Integer> confirmed) {
        LeakModel own = like();
        checks.forEach(own::add);
        own.states = states;
        double valves = confirmed.getOrDefault(Cause.TUBE_VALVE, 0);
        Map<Cause, Double> counts = new EnumMap<>(Cause.class);
        for (Cause cause : causes) {
            boolean valve = cause == Cause.TUBE_CORE || cause == Cause.TUBE_STEM;
            double shared =
                    valve ? valves * prior.get(cause) / (prior.get(Cause.TUBE_CORE) + prior.get(Cause.TUBE_STEM)) : 0;
            counts.put(cause, confirmed.getOrDefault(cause, 0) + shared);
        }
        double all = counts.values().stream().mapToDouble(Double::doubleValue).sum();
        double table = prior.values().stream().mapToDouble(Double::doubleValue).sum();
        prior.forEach((cause, share) ->
                own.prior.put(cause, (TABLE_COUNTS * share / table + counts.get(cause)) / (TABLE_COUNTS + all)));
        return own;
    }

    /** What holds the air. */
    public AirSystem system() {
        return causes.get(0) == Cause.NORMAL ? AirSystem.TUBELESS : AirSystem.TUBE;
    }

    /** The same without its checks and states. */
    private LeakModel like() {
        LeakModel other = new LeakModel(system());
        other.prior.putAll(prior);
        other.fixMinutes.putAll(fixMinutes);
        other.known.putAll(known);
        other.signs.putAll(signs);
        other.own.putAll(own);
        return other;
    }

    /** The number of a check among {@link #checks}. */
    int number(String check) {
        return numbers.get(check);
    }

    /** The cause, with its look-alikes, that an answer points at. */
    Optional<Cause> sign(String check, String answer) {
        return Optional.ofNullable(signs.get(check + " " + answer));
    }

    /** The checks that tell of a cause or its look-alikes, the usual one first. */
    List<String> ownChecks(Cause cause) {
        return cause.alike().stream()
                .filter(own::containsKey)
                .map(own::get)
                .findFirst()
                .orElseThrow();
    }

    public List<Cause> causes() {
        return causes;
    }

    public List<Check> checks() {
        return Collections.unmodifiableList(checks);
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

    /** What is believed before anything was looked at. */
    public Belief prior(Set<Circumstance> circumstances) {
        Map<Cause, Double> shares = shares(circumstances);
        return new Belief(
                states, states.weights(causes.stream().mapToDouble(shares::get).toArray()));
    }

    /** How common each cause is before anything was looked at (ratios that add up to 1). */
    Map<Cause, Double> shares(Set<Circumstance> circumstances) {
        Map<Cause, Double> shares = new EnumMap<>(Cause.class);
        for (Cause cause : causes) {
            double weight = prior.get(cause);
            for (Circumstance circumstance : circumstances) {
                weight *= known.getOrDefault(circumstance, Map.of()).getOrDefault(cause, 1.0);
            }
            shares.put(cause, weight);
        }
        double sum = shares.values().stream().mapToDouble(Double::doubleValue).sum();
        shares.replaceAll((cause, weight) -> weight / sum);
        return shares;
    }

    /** How many times a circumstance raises the odds of a cause, the others being known too (ratio). */
    double times(Circumstance circumstance, Cause cause, Set<Circumstance> all) {
        Set<Circumstance> without = EnumSet.copyOf(all);
        without.remove(circumstance);
        return odds(shares(all).get(cause)) / odds(shares(without).get(cause));
    }

    private static double odds(double probability) {
        return probability / (1 - probability);
    }
}
