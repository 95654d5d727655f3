package org.stratopneum.web.launcher;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.stratopneum.web.support.Projects;
import org.stratopneum.web.support.RunningApplication;

/** What the launcher lets the application have, with a stand-in for Java that says what it was given. */
@ExtendWith(RunningApplication.class)
class RightsOnTheMachineTest {

    @TempDir
    Path folder;

    private final RunningApplication.Started started;

    RightsOnTheMachineTest(RunningApplication.Started started) {
        this.started = started;
    }

    private String run(String script) throws IOException, InterruptedException {
        Path out = folder.resolve("out");
        new ProcessBuilder("bash", "-c", script)
                .redirectErrorStream(true)
                .redirectOutput(out.toFile())
                .directory(Projects.root().toFile())
                .start()
                .waitFor();
        return Files.readString(out, StandardCharsets.UTF_8);
    }

    /** The launcher's words, with a folder of its own and a Java that only says who it is. */
    private String launcher(String java, String words) throws IOException, InterruptedException {
        Path bin = Files.createDirectories(folder.resolve("bin"));
        Path stub = Files.writeString(bin.resolve("java"), "#!/bin/sh\n" + java + "\n");
        Files.setPosixFilePermissions(stub, PosixFilePermissions.fromString("rwxr-xr-x"));
        for (Path open : List.of(folder, bin)) {
            Files.setPosixFilePermissions(open, PosixFilePermissions.fromString("rwxr-xr-x"));
        }
        return run("set -euo pipefail; ROOT=" + folder + "; STATE=" + folder + "/state; mkdir -p $STATE; PATH=" + bin
                + ":$PATH; for part in say tools database backup options application hosting; do . launcher/$part.sh; done;"
                + " application_folder; mkdir -p $APP; printf 'spring.datasource.username=a\\n' >$DB_CONFIG;"
                + " printf 'password=secret\\n' >$(owner_config $DB_CONFIG); chmod 0600 $STATE/*.properties; "
                + words);
    }

    @Test
    void rootStartsTheApplicationAsAUserWhoOwnsNothing() throws Exception {
        String said = launcher(
                "echo I am $(id -un); for word in \"$@\"; do case $word in *file:*) cat ${word#*file:};; esac; done;"
                        + " cat " + folder + "/state/owner.properties 2>&1; grep NoNewPrivs /proc/self/status",
                "start_options --port 9999 --no-demo --foreground; application_start");
        assertThat(said).contains("spring.datasource.username=a");
        if (isRoot()) {
            assertThat(said)
                    .contains("I am stratopneum", "Permission denied", "NoNewPrivs:\t1")
                    .doesNotContain("secret");
        }
    }

    private boolean isRoot() throws IOException, InterruptedException {
        return run("id -u").strip().equals("0");
    }

    @Test
    void theLogIsNotForEverybody() throws Exception {
        launcher("echo a line", "start_options --port 9999 --no-demo; application_start || true");
        assertThat(PosixFilePermissions.toString(
                        Files.getPosixFilePermissions(folder.resolve("state/application.log"))))
                .isEqualTo("rw-r-----");
    }

    /** What a client says of others' addresses is believed of the proxies that were named, and of nobody else. */
    @Test
    void onlyNamedProxiesAreBelieved() throws Exception {
        String said =
                launcher("echo $*", "start_options --port 9999 --foreground --proxy 192.0.2.7,::1; application_start");
        assertThat(said)
                .contains("--server.tomcat.remoteip.internal-proxies=192\\.0\\.2\\.7|::1", "--stratopneum.https=true");
    }

    /** At home what lies outside is simulated, and webhooks may lead to a neighbour; for others neither. */
    @Test
    void nothingIsSimulatedForOthers() throws Exception {
        assertThat(launcher("echo $*", "start_options --foreground; application_start"))
                .contains("--stratopneum.webhooks.private-addresses=true", "--stratopneum.demo=true")
                .doesNotContain("stand-ins=false");
        assertThat(launcher("echo $*", "start_options --foreground --proxy; application_start"))
                .contains("--stratopneum.stand-ins=false", "--stratopneum.demo=false")
                .doesNotContain("private-addresses");
    }

    @Test
    void aServersSettingsAreForTheirOwnersAloneAndAreNotWrittenOver() throws Exception {
        Path settings = Files.createDirectory(folder.resolve("settings"));
        assertThat(run("./stratopneum settings " + settings + " db.example:5433"))
                .contains("roles.sql");
        for (String name : List.of("application.properties", "owner.properties", "roles.sql")) {
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(settings.resolve(name))))
                    .as(name)
                    .isEqualTo("rw-------");
        }
        String serving = Files.readString(settings.resolve("application.properties"));
        String owning = Files.readString(settings.resolve("owner.properties"));
        assertThat(serving)
                .contains("jdbc:postgresql://db.example:5433/stratopneum", "username=stratopneum_app")
                .doesNotContain("owner");
        String password = owning.lines()
                .filter(line -> line.startsWith("password="))
                .map(line -> line.substring("password=".length()))
                .findFirst()
                .orElseThrow();
        assertThat(serving).doesNotContain(password);
        assertThat(Files.readString(settings.resolve("roles.sql"))).contains(password);
        assertThat(run("./stratopneum settings " + settings)).contains("nothing is written over");
        assertThat(settings.resolve("owner.properties")).hasContent(owning);
    }

    @Test
    void aDatabaseOfSomebodyElseIsNeitherStoppedNorForgotten() throws Exception {
        for (String command : List.of("start", "stop", "reset --yes", "restore a.backup --yes")) {
            assertThat(run("STRATOPNEUM_SETTINGS=" + folder + " ./stratopneum " + command))
                    .as(command)
                    .contains("somebody else's");
        }
    }

    @Test
    void theServingProcessHasNoPasswordOfTheOwner() throws IOException {
        assertThat(Files.readString(started.database().settings()))
                .contains("stratopneum_app")
                .doesNotContain("owner", "flyway");
        assertThat(PosixFilePermissions.toString(
                        Files.getPosixFilePermissions(started.database().owner())))
                .isEqualTo("rw-------");
        assertThat(started.context().getEnvironment().getProperty("spring.flyway.password"))
                .isNull();
    }

    @Test
    void aBackupGoesThroughNoLinkAndOverNoFile() throws Exception {
        Path elsewhere = folder.resolve("elsewhere");
        Path link = Files.createSymbolicLink(folder.resolve("link.backup"), elsewhere);
        Path there = Files.writeString(folder.resolve("there.backup"), "mine");
        for (Path taken : List.of(link, there)) {
            String said = run(
                    "./stratopneum test-database backup " + started.database().settings() + " " + taken);
            assertThat(said).contains("is there already; nothing is written over");
        }
        assertThat(elsewhere).doesNotExist();
        assertThat(there).hasContent("mine");
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.map(path -> path.getFileName().toString()))
                    .containsExactlyInAnyOrder("link.backup", "there.backup", "out");
        }
    }
}
