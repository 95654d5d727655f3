package org.stratopneum.web.support;

import java.nio.file.Files;
import java.nio.file.Path;

/** Where the project lies. */
public final class Projects {

    private Projects() {}

    /** The folder that holds the launcher, from wherever the tests run. */
    public static Path root() {
        Path folder = Path.of("").toAbsolutePath();
        while (folder != null && !Files.isRegularFile(folder.resolve("stratopneum"))) {
            folder = folder.getParent();
        }
        if (folder == null) {
            throw new IllegalStateException("no launcher above " + Path.of("").toAbsolutePath());
        }
        return folder;
    }
}
