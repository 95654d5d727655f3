package org.stratopneum.web.intake;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class PieceStreamTest {

    /** However a file is cut, and however it is read, it is the same file. */
    @Test
    void piecesAreOneFile() throws IOException {
        Random random = new Random(7);
        for (int round = 0; round < 50; round++) {
            byte[] file = new byte[random.nextInt(5000)];
            random.nextBytes(file);
            List<byte[]> pieces = new ArrayList<>();
            for (int at = 0; at < file.length; ) {
                int end = Math.min(file.length, at + random.nextInt(700));
                pieces.add(Arrays.copyOfRange(file, at, end));
                at = end;
            }
            PieceStream whole = stream(pieces);
            assertThat(whole.readAllBytes()).isEqualTo(file);
            assertThat(whole.bytesRead()).isEqualTo(file.length);
            assertThat(whole.read()).isEqualTo(-1);
            PieceStream single = stream(pieces);
            for (byte one : file) {
                assertThat(single.read()).isEqualTo(one & 0xFF);
            }
            assertThat(single.read(new byte[0])).isZero();
            assertThat(single.read(new byte[3])).isEqualTo(-1);
        }
    }

    private static PieceStream stream(List<byte[]> pieces) {
        return new PieceStream(number -> number < pieces.size() ? pieces.get(number) : null);
    }
}
