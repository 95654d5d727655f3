package org.stratopneum.web.intake;

import java.io.InputStream;
import java.util.function.IntFunction;

/** A file read piece by piece, of which one stands in memory. */
final class PieceStream extends InputStream {

    private final IntFunction<byte[]> pieces;
    private byte[] piece = new byte[0];
    private int at;
    private int next;
    private long read;

    /** @param pieces gives the piece of a number, or null after the last */
    PieceStream(IntFunction<byte[]> pieces) {
        this.pieces = pieces;
    }

    private boolean more() {
        while (at == piece.length) {
            byte[] following = pieces.apply(next);
            if (following == null) {
                return false;
            }
            next++;
            piece = following;
            at = 0;
        }
        return true;
    }

    @Override
    public int read() {
        if (!more()) {
            return -1;
        }
        read++;
        return piece[at++] & 0xFF;
    }

    @Override
    public int read(byte[] into, int offset, int length) {
        if (length == 0) {
            return 0;
        }
        if (!more()) {
            return -1;
        }
        int count = Math.min(length, piece.length - at);
        System.arraycopy(piece, at, into, offset, count);
        at += count;
        read += count;
        return count;
    }

    /** How many bytes were read so far. */
    long bytesRead() {
        return read;
    }
}
