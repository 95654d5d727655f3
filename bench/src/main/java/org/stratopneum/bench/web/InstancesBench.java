package org.stratopneum.bench.web;

import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;

/**
 * Two instances behind nginx on one database, which a second one follows: what riders notice of it. Asked is through nginx
 * as riders do.
 *
 * <p>Usage: InstancesBench ADDRESS PSQL DATABASE MANY_RIDERS_SQL LOG PORT WATCH PORT WATCH REPLICA_STOP
 * REPLICA_START COMMAND...; the database as its superuser; the two about the replica are lines for a shell. Ends with 1 where
 * something is not as it should be.
 */
public final class InstancesBench {

    private static final int RIDERS = 20;
    private static final double PER_SECOND = 10;
    private static final int SECONDS = 80;
    private static final int WARM_UP = 1500;
    private static final int READ_BACK = 200;

    /** What a replica was answering when it went away is not answered: the connections to it. */
    private static final int IN_FLIGHT = 16;

    private static final int SOCKETS = 2;
    private static final int LINES = 10;

    private final List<Instance> instances;
    private final String address;
    private final Sql sql;
    private boolean good = true;

    private InstancesBench(List<Instance> instances, String address, Sql sql) {
        this.instances = instances;
        this.address = address;
        this.sql = sql;
    }

    public static void main(String[] arguments) throws IOException, InterruptedException {
        List<String> command = List.of(arguments).subList(11, arguments.length);
        List<Instance> instances = new ArrayList<>();
        for (int i = 5; i < 9; i += 2) {
            instances.add(new Instance(
                    command,
                    new File(arguments[4]),
                    Integer.parseInt(arguments[i]),
                    Integer.parseInt(arguments[i + 1])));
        }
        InstancesBench bench = new InstancesBench(instances, arguments[0], new Sql(arguments[1], arguments[2]));
        try {
            for (Instance instance : instances) {
                instance.start();
            }
            bench.run(arguments[3], arguments[9], arguments[10]);
        } finally {
            for (Instance instance : instances) {
                instance.stop();
            }
        }
        say(bench.good ? "all as it should be" : "not all is as it should be");
        System.exit(bench.good ? 0 : 1);
    }

    private void run(String copying, String stopReplica, String startReplica) throws IOException, InterruptedException {
        Copies copies = new Copies(address, sql, copying);
        copies.upTo(RIDERS);
        List<Browser> browsers = new ArrayList<>();
        List<Day> days = new ArrayList<>();
        for (int i = 0; i < RIDERS; i++) {
            browsers.add(copies.browser(i));
            days.add(new Day(browsers.get(i), i));
        }
        sessions(browsers.get(0));
        Load load = new Load(days);
        load.warmUp(WARM_UP);
        ownWrites(days);
        underLoad(load, "both restarted by turns", 0, this::restartByTurns);
        underLoad(load, "replica away and back", IN_FLIGHT, () -> {
            shell(stopReplica);
            pause(15);
            shell(startReplica);
        });
        gauge(browsers.get(0));
        mails();
    }

    private void sessions(Browser browser) {
        boolean known = instances.stream()
                .allMatch(instance -> browser.at(instance.address())
                        .get("/account")
                        .join()
                        .text()
                        .contains("Rider 0"));
        tell(known, "somebody who signed in at one is known to the other");
    }

    /** Each is on the page that is asked for at once. */
    private void ownWrites(List<Day> days) {
        double before = fromReplica();
        int missed = 0;
        for (int i = 0; i < READ_BACK; i++) {
            missed += days.get(i % days.size()).isReadBack() ? 0 : 1;
        }
        tell(missed == 0, "%d readings written and looked for at once: %d not there", READ_BACK, missed);
        double after = fromReplica();
        tell(after > before, "%.0f reading transactions of these were answered by the replica", after - before);
    }

    /** How many transactions its pool has served. */
    private double fromReplica() {
        return instances.stream()
                .mapToDouble(instance ->
                        instance.figures().sum("hikaricp_connections_usage_seconds_count{pool=\"stratopneum-replica\""))
                .sum();
    }

    private interface Happening {
        void happen() throws IOException, InterruptedException;
    }

    private void underLoad(Load load, String what, int most, Happening happening)
            throws IOException, InterruptedException {
        CompletableFuture<Map<Day.Kind, Load.Measured>> asked =
                CompletableFuture.supplyAsync(() -> load.day(PER_SECOND, SECONDS));
        pause(5);
        happening.happen();
        boolean done = !asked.isDone();
        Map<Day.Kind, Load.Measured> measured = asked.join();
        List<String> faults = measured.values().stream()
                .flatMap(kind -> kind.faults().stream())
                .toList();
        faults.stream().limit(3).forEach(fault -> say("    %s", fault));
        int count = measured.values().stream()
                .mapToInt(kind -> kind.times().count())
                .sum();
        double longest = measured.values().stream()
                .mapToDouble(kind -> kind.times().longest())
                .max()
                .orElseThrow();
        tell(
                done && faults.size() <= most,
                "%s, at %.0f requests a second: %d answers, %d faults, p95 of home %.0f ms, longest of all %.0f ms",
                what,
                PER_SECOND,
                count,
                faults.size(),
                measured.get(Day.Kind.HOME).times().p95(),
                longest);
    }

    /** As docs/deploy.md says: one, and when it is ready the next. */
    private void restartByTurns() throws IOException, InterruptedException {
        for (Instance instance : instances) {
            instance.stop();
            instance.start();
            pause(10);
        }
    }

    /** One socket leads to each of them. */
    private void gauge(Browser browser) {
        List<AtomicInteger> heard = new ArrayList<>();
        for (int i = 0; i < SOCKETS; i++) {
            heard.add(browser.listen("/gauge-stream?unit=PSI&ceiling=300"));
        }
        pause(3);
        tell(
                heard.stream().allMatch(lines -> lines.get() >= LINES),
                "the live gauge through nginx, at both: %s readings in 3 s",
                heard);
    }

    /** All mails of one moment, which both instances look for. */
    private void mails() {
        double before = mailed();
        sql.ask(
                "-c",
                "insert into digest (owner, address, every, secret, confirmed_at, next_at) select owner, replace(name_key, ' ', '.') ||"
                        + " '@bikes.example', 'DAY', md5(name) || md5(name), now(), now() from account where name like 'Rider %'");
        pause(40);
        double sent = mailed() - before;
        tell(sent == RIDERS, "%d mails were due, %.0f were sent by both together and taken", RIDERS, sent);
    }

    private double mailed() {
        return instances.stream()
                .mapToDouble(instance -> instance.figures().sum("stratopneum_mail_total{outcome=\"taken\"}"))
                .sum();
    }

    private static void pause(int seconds) {
        LockSupport.parkNanos(TimeUnit.SECONDS.toNanos(seconds));
    }

    private static void shell(String line) throws IOException, InterruptedException {
        int status = new ProcessBuilder("bash", "-c", line).inheritIO().start().waitFor();
        if (status != 0) {
            throw new IllegalStateException(line);
        }
    }

    private void tell(boolean asItShouldBe, String format, Object... values) {
        good &= asItShouldBe;
        say((asItShouldBe ? "  good: " : "  BAD:  ") + format, values);
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format + "%n", values);
    }
}
