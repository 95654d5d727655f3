package org.stratopneum.web.door.account;

import io.nayuki.qrcodegen.QrCode;

/**
 * A QR code (ISO/IEC 18004) as one path of squares.
 *
 * @param size of the drawing with its quiet zone (modules)
 * @param path in SVG's words
 */
record QrDrawing(int size, String path) {

    /** Light modules around it, as the standard asks for. */
    private static final int QUIET = 4;

    static QrDrawing of(String text) {
        QrCode code = QrCode.encodeText(text, QrCode.Ecc.MEDIUM);
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < code.size; y++) {
            for (int x = 0; x < code.size; x++) {
                if (code.getModule(x, y)) {
                    path.append('M')
                            .append(x + QUIET)
                            .append(' ')
                            .append(y + QUIET)
                            .append("h1v1h-1z");
                }
            }
        }
        return new QrDrawing(code.size + 2 * QUIET, path.toString());
    }
}
