package org.stratopneum.web.intake;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.InputStreamSource;
import org.stratopneum.core.check.Problem;

/** Brings in files of one format. */
public interface Importer {

    ImportFormat format();

    /** Whether a file that begins so is one of these; a name says nothing. */
    default boolean recognises(byte[] head) {
        return false;
    }

    /** Why a file that begins so, and is nothing else, is not taken; empty where it is. */
    default Optional<Problem> refuses(byte[] head, InputStreamSource file) throws IOException {
        return Optional.empty();
    }

    /** How a new file is understood. */
    default Map<String, String> guess(Source file) throws IOException {
        return Map.of();
    }

    /** What is asked about a file, and seen of it. */
    default ImportForm form(Source file, Map<String, String> settings) throws IOException {
        return ImportForm.NOTHING;
    }

    /** What must still be said, in words by the field of the form. */
    default Map<String, String> open(Map<String, String> settings) {
        return Map.of();
    }

    /** A file that can be read from its beginning as often as wanted. */
    interface Source {

        /** The import that it belongs to. */
        UUID id();

        InputStream open() throws IOException;

        String name();

        long bytes();
    }

    /**
     * Reads a whole file. The caller has begun the transaction, and rolls it back where the file is only to be checked
     * or there are faults, so this may write as it goes; once there is a fault it need write no more.
     *
     * @param settings how the file is to be understood
     * @param run the import, for what is written to name it
     * @throws ImportStoppedException where nothing more can be read
     */
    void read(Source file, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException;
}
