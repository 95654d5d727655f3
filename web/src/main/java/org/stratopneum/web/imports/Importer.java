package org.stratopneum.web.imports;

import java.io.IOException;
import java.io.InputStream;
import java.util.Map;
import java.util.UUID;

/** Brings in files of one format. */
public interface Importer {

    ImportFormat format();

    /**
     * Reads a whole file. The caller has begun the transaction, and rolls it back where the file is only to be checked
     * or there are faults, so this may write as it goes; once there is a fault it need write no more.
     *
     * @param settings how the file is to be understood
     * @param run the import, for what is written to name it
     * @throws ImportStoppedException where nothing more can be read
     */
    void read(InputStream in, Map<String, String> settings, UUID run, ImportProgress progress) throws IOException;
}
