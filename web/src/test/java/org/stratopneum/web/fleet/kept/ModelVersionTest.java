package org.stratopneum.web.fleet.kept;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ModelVersionTest {

    @Test
    void anyByteOfTheRulesMakesAnotherVersion(@TempDir Path code) throws IOException {
        Path rule = Files.createDirectories(code.resolve("sealant")).resolve("Rule.class");
        Files.write(rule, new byte[] {1, 2, 3});
        Files.write(code.resolve("Other.class"), new byte[] {4});
        byte[] before = ModelVersion.digest(code);
        assertThat(ModelVersion.digest(code)).isEqualTo(before).hasSize(32);
        Files.write(rule, new byte[] {1, 2, 4});
        assertThat(ModelVersion.digest(code)).isNotEqualTo(before);
        assertThat(ModelVersion.digest(rule))
                .as("of one file, as it lies in a build")
                .hasSize(32);
    }

    @Test
    void theCoreThatRunsHasOne() {
        assertThat(new ModelVersion().begin().digest())
                .isEqualTo(new ModelVersion().begin().digest());
    }
}
