package org.stratopneum.web.launcher;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.HashSet;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.stratopneum.web.support.Projects;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What the application is made of stands in it (CycloneDX 1.6), and is what its build asked for. */
class BillOfMaterialsTest {

    private static final Pattern SHIPPED = Pattern.compile(
            "<dependency>(?:(?!</dependency>|<scope>test).)*?<artifactId>([^<]+)</artifactId>"
                    + "(?:(?!</dependency>|<scope>test).)*?</dependency>",
            Pattern.DOTALL);

    @Test
    void everyLibraryIsListedWithItsVersionAndDigest() throws IOException {
        JsonNode bill;
        try (InputStream in = getClass().getResourceAsStream("/META-INF/sbom/stratopneum.cdx.json")) {
            bill = JsonMapper.shared().readTree(in);
        }
        assertThat(bill.get("bomFormat").asString()).isEqualTo("CycloneDX");
        Set<String> listed = new HashSet<>();
        for (JsonNode component : bill.get("components")) {
            listed.add(component.get("name").asString());
            assertThat(component.get("version").asString()).isNotBlank();
            assertThat(component.get("purl").asString()).startsWith("pkg:maven/");
        }
        Matcher asked =
                SHIPPED.matcher(Files.readString(Projects.root().resolve("web/pom.xml"), StandardCharsets.UTF_8));
        Set<String> shipped = new HashSet<>();
        while (asked.find()) {
            shipped.add(asked.group(1));
        }
        assertThat(shipped).hasSizeGreaterThan(20).contains("thumbnailator", "mybatis-spring-boot-starter");
        assertThat(listed).containsAll(shipped);
    }
}
