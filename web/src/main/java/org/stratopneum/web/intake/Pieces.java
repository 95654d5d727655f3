package org.stratopneum.web.intake;

import java.io.InputStream;
import java.util.UUID;

/** A file as it is kept, in pieces. */
final class Pieces implements Importer.Source {

    private final ImportMapper mapper;
    private final ImportRun run;
    private PieceStream last;

    Pieces(ImportMapper mapper, ImportRun run) {
        this.mapper = mapper;
        this.run = run;
    }

    @Override
    public InputStream open() {
        last = new PieceStream(number ->
                mapper.piece(run.id(), number).map(ImportMapper.Bytes::content).orElse(null));
        return last;
    }

    @Override
    public UUID id() {
        return run.id();
    }

    @Override
    public String name() {
        return run.fileName();
    }

    @Override
    public long bytes() {
        return run.bytes();
    }

    /** How many bytes were read since it was opened last. */
    long bytesRead() {
        return last == null ? 0 : last.bytesRead();
    }
}
