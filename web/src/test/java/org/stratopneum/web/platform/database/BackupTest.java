package org.stratopneum.web.platform.database;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Isolated;
import org.springframework.context.ConfigurableApplicationContext;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;
import org.stratopneum.web.support.ThrowAwayDatabase;
import org.stratopneum.web.support.TypedBike;

/** Everything in one file, and from that file on a fresh machine. */
@ExtendWith(RunningApplication.class)
@Isolated
class BackupTest {

    private final RunningApplication.Started running;
    private final Site site;

    BackupTest(RunningApplication.Started running, Site site) {
        this.running = running;
        this.site = site;
    }

    @Test
    void aFreshStartGoesOnFromABackupAndBack(@TempDir Path folder) throws IOException, SQLException {
        Guest guest = Guest.withAccount(site);
        Matcher name = Pattern.compile("Guest [0-9a-f-]{13}")
                .matcher(guest.get("/account").body());
        assertThat(name.find()).isTrue();
        TypedBike.enter(guest);
        String log = guest.get("/log").body();
        Path file = folder.resolve("all.backup");
        Map<String, String> there = backUpWhileNothingMoves(file);
        assertThatThrownBy(() -> running.database().backUp(file)).hasMessageContaining("is there already");

        ThrowAwayDatabase fresh = ThrowAwayDatabase.start();
        try {
            Path cut = folder.resolve("cut.backup");
            Files.write(cut, Arrays.copyOf(Files.readAllBytes(file), (int) (Files.size(file) * 2 / 3)));
            assertThatThrownBy(() -> fresh.restore(cut)).hasMessageContaining("nothing was changed");
            Path other = Files.writeString(folder.resolve("other"), "not a backup");
            assertThatThrownBy(() -> fresh.restore(other)).hasMessageContaining("is no backup");
            assertThat(contents(fresh)).isEmpty();

            fresh.restore(file);
            assertThat(contents(fresh)).isEqualTo(there).hasSizeGreaterThan(20);
            try (ConfigurableApplicationContext second = RunningApplication.Started.startOn(fresh)) {
                Guest again = guest.at(RunningApplication.siteOf(second));
                assertThat(lines(again.get("/log").body()))
                        .as("who is signed in stays behind")
                        .isNotEqualTo(lines(log));
                again.get("/sign-in");
                again.post("/sign-in", Map.of("name", name.group(), "password", "lichen on the north wall"));
                assertThat(lines(again.get("/log").body()))
                        .isEqualTo(lines(log))
                        .isNotEmpty();
            }
            fresh.restoreBack();
            assertThat(contents(fresh)).isEmpty();
        } finally {
            fresh.stop();
        }
    }

    /** Wherever it is killed, there is the old state or the new one, whole, and a way back from the new. */
    @Test
    @Tag("all")
    void aRestoreThatIsKilledLeavesOneOrTheOther(@TempDir Path folder) throws Exception {
        TypedBike.enter(Guest.withAccount(site));
        Path file = folder.resolve("all.backup");
        Map<String, String> other = backUpWhileNothingMoves(file);
        ThrowAwayDatabase fresh = ThrowAwayDatabase.start();
        try {
            Map<String, String> old = contents(fresh);
            long begun = System.nanoTime();
            fresh.restore(file);
            long whole = TimeUnit.NANOSECONDS.toMillis(System.nanoTime() - begun);
            assertThat(contents(fresh)).isEqualTo(other);
            fresh.restoreBack();
            int killed = 0;
            for (int twelfth = 0; twelfth < 12; twelfth++) {
                long ms = whole * twelfth / 12;
                Process restore = fresh.beginRestore(file);
                killed += restore.waitFor(ms, TimeUnit.MILLISECONDS) ? 0 : 1;
                restore.descendants().forEach(ProcessHandle::destroyForcibly);
                restore.destroyForcibly().waitFor();
                Thread.sleep(100);
                Map<String, String> now = contents(fresh);
                assertThat(now).as("killed after " + ms + " ms of " + whole).isIn(old, other);
                if (now.equals(other)) {
                    fresh.restoreBack();
                    assertThat(contents(fresh)).as("back after " + ms + " ms").isEqualTo(old);
                }
            }
            assertThat(killed).as("of twelve that were killed before their end").isGreaterThan(2);
        } finally {
            fresh.stop();
        }
    }

    @Test
    void oneOfEachDayIsKeptForAWeekAndOneOfEachWeekForAMonth(@TempDir Path folder) throws IOException {
        for (int day = 10; day < 29; day++) {
            Files.writeString(folder.resolve("stratopneum-2020-01-" + day + ".backup"), "old");
        }
        for (int week = 10; week < 16; week++) {
            Files.writeString(folder.resolve("stratopneum-week-2020-" + week + ".backup"), "old");
        }
        Path other = Files.writeString(folder.resolve("stratopneum-before-the-tour.backup"), "mine");
        running.database().backUpDaily(folder);
        running.database().backUpDaily(folder);
        try (Stream<Path> files = Files.list(folder)) {
            List<String> names =
                    files.map(one -> one.getFileName().toString()).sorted().toList();
            assertThat(names).hasSize(7 + 4 + 1).contains(other.getFileName().toString());
            assertThat(names.get(0)).isEqualTo("stratopneum-2020-01-23.backup");
            assertThat(names)
                    .contains("stratopneum-week-2020-13.backup")
                    .doesNotContain("stratopneum-week-2020-12.backup");
        }
    }

    /** What is done in the background goes on meanwhile: tried until the same was there before as after, which is said. */
    private Map<String, String> backUpWhileNothingMoves(Path file) throws IOException, SQLException {
        for (int tried = 0; tried < 5; tried++) {
            Files.deleteIfExists(file);
            Map<String, String> before = contents(running.database());
            running.database().backUp(file);
            if (contents(running.database()).equals(before)) {
                return before;
            }
        }
        throw new AssertionError("something was written during each of the backups");
    }

    private static List<String> lines(String page) {
        return page.lines()
                .filter(line -> line.contains("/log/"))
                .filter(line -> line.contains("<a href"))
                .toList();
    }

    /** Every table with the number and a digest of its rows, but for whoever is signed in. */
    private static Map<String, String> contents(ThrowAwayDatabase database) throws IOException, SQLException {
        Properties settings = new Properties();
        try (InputStream in = Files.newInputStream(database.owner())) {
            settings.load(in);
        }
        Map<String, String> contents = new TreeMap<>();
        try (Connection connection = DriverManager.getConnection(
                        settings.getProperty("url"), "stratopneum_owner", settings.getProperty("password"));
                Statement statement = connection.createStatement()) {
            List<String> tables = new ArrayList<>();
            try (ResultSet rows = statement.executeQuery(
                    "select table_name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'")) {
                while (rows.next()) {
                    tables.add(rows.getString(1));
                }
            }
            for (String table : tables) {
                try (ResultSet rows =
                        statement.executeQuery("select count(*) || ' ' || coalesce(md5(string_agg(t::text, '|'"
                                + " order by t::text)), '') from \"" + table + "\" t")) {
                    rows.next();
                    contents.put(table, rows.getString(1));
                }
            }
        }
        return contents;
    }
}
