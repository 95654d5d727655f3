package org.stratopneum.web.fleet.kept;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.stratopneum.web.support.Projects;

/** The script that the build runs, on sources of its own. */
class ModelVersionTest {

    private static final String SCRIPT = "web/src/main/build/model-version.sh";

    @TempDir
    Path project;

    private String version() throws IOException, InterruptedException {
        Path written = project.resolve("target/model-version");
        Process script = new ProcessBuilder("bash", project.resolve(SCRIPT).toString(), written.toString())
                .inheritIO()
                .start();
        assertThat(script.waitFor()).isZero();
        return Files.readString(written);
    }

    private void write(String file, String text) throws IOException {
        Path path = project.resolve(file);
        Files.createDirectories(path.getParent());
        Files.writeString(path, text);
    }

    @Test
    void anyLetterOfTheRulesMakesAnotherVersion() throws IOException, InterruptedException {
        write(SCRIPT, Files.readString(Projects.root().resolve(SCRIPT)));
        write("core/src/main/java/Rule.java", "class Rule {}");
        write("web/src/main/java/Asks.java", "class Asks {}");
        write("web/src/main/resources/words.properties", "a=b");
        String before = version();
        assertThat(before).matches("[0-9a-f]{64}\n");
        write("web/src/main/resources/words.properties", "a=c");
        assertThat(version()).as("words are not kept").isEqualTo(before);
        write("web/src/main/java/Asks.java", "class Asks { }");
        String asked = version();
        assertThat(asked).isNotEqualTo(before);
        write("core/src/main/java/Rule.java", "class Rule { }");
        assertThat(version()).isNotEqualTo(asked);
    }

    @Test
    void whatRunsHasOne() throws IOException {
        assertThat(new ModelVersion().begin().digest())
                .isEqualTo(new ModelVersion().begin().digest())
                .isNotEqualTo(ModelVersion.sha256().digest());
    }
}
