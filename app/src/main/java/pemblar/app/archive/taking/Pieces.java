package pemblar.app.archive.taking;

import java.io.InputStream;
import java.util.function.IntFunction;

/** A file of an archive, read piece by piece, so that memory holds one. */
class Pieces extends InputStream {
    private final IntFunction<byte[]> pieces;
    private byte[] piece = {};
    private int next;
    private int at;

    /** @param pieces by place, from 0; null after the last */
    Pieces(IntFunction<byte[]> pieces) {
        this.pieces = pieces;
    }

    private boolean isAtEnd() {
        while (piece != null && at == piece.length) {
            piece = pieces.apply(next++);
            at = 0;
        }
        return piece == null;
    }

    @Override
    public int read() {
        return isAtEnd() ? -1 : piece[at++] & 0xff;
    }

    @Override
    public int read(byte[] into, int from, int length) {
        if (length == 0) return 0;
        if (isAtEnd()) return -1;
        int count = Math.min(length, piece.length - at);
        System.arraycopy(piece, at, into, from, count);
        at += count;
        return count;
    }
}
