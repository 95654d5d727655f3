package org.stratopneum.web.platform.receive;

import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.time.Duration;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.ContinueResponseTiming;
import org.apache.tomcat.util.buf.ByteChunk;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.stratopneum.web.platform.site.Networks;

/**
 * Receives what a form or a script sends, whole and before anybody looks at it: so much at most, in so much time, and
 * from so many at once that threads for pages are always left. Files are received elsewhere, of riders who are known
 * ({@link UploadGate}), and nowhere but at their addresses.
 */
final class BodyValve extends ValveBase {

    /** Larger than any form (bytes). */
    static final int MOST = 512 << 10;

    /** So much of what is larger is let go of (bytes). */
    private static final int MOST_LET_GO = 4 << 20;

    private static final String AGAIN_S = "3";

    private final Slots slots;
    private final Duration within;

    /**
     * @param slots how many may send at once
     * @param within how long one may take
     */
    BodyValve(Slots slots, Duration within) {
        super(true);
        this.slots = slots;
        this.within = within;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        if (hasNoBody(request) || FileAddresses.isReceivedLater(request)) {
            getNext().invoke(request, response);
        } else {
            receive(request, response);
        }
    }

    private static boolean isTooLarge(Request request) {
        return FileAddresses.isFile(request) || request.getContentLengthLong() > MOST;
    }

    private static boolean hasNoBody(Request request) {
        return request.getContentLengthLong() == 0
                || request.getContentLengthLong() < 0 && request.getHeader("Transfer-Encoding") == null;
    }

    private void receive(Request request, Response response) throws IOException, ServletException {
        String network = Networks.of(request.getRemoteAddr());
        if (!slots.take(network)) {
            response.setHeader("Retry-After", AGAIN_S);
            refuse(request, response, HttpServletResponse.SC_SERVICE_UNAVAILABLE);
            return;
        }
        ByteChunk body = new ByteChunk();
        int fault;
        try {
            response.sendAcknowledgement(ContinueResponseTiming.IMMEDIATELY);
            fault = read(request, body);
        } catch (IOException cutOff) {
            fault = HttpServletResponse.SC_REQUEST_TIMEOUT;
        } finally {
            slots.giveBack(network);
        }
        if (fault != 0) {
            refuse(request, response, fault);
            return;
        }
        // whoever reads it next finds it as if it had just come
        request.getCoyoteRequest().action(ActionCode.REQ_SET_BODY_REPLAY, body);
        getNext().invoke(request, response);
    }

    /**
     * What is too large is read on for a while and let go of, since most browsers look at an answer only when they have sent all.
     *
     * @return 0, or the status that says why it was not received
     */
    private int read(Request request, ByteChunk body) throws IOException {
        long end = System.nanoTime() + within.toNanos();
        boolean tooLarge = isTooLarge(request);
        long come = 0;
        Piece piece = new Piece();
        while (come <= MOST_LET_GO && request.getCoyoteRequest().doRead(piece) >= 0) {
            ByteBuffer bytes = piece.bytes;
            come += bytes.remaining();
            tooLarge |= come > MOST;
            if (!tooLarge) {
                byte[] copied = new byte[bytes.remaining()];
                bytes.get(copied);
                body.append(copied, 0, copied.length);
            }
            if (System.nanoTime() - end > 0) {
                return tooLarge
                        ? HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE
                        : HttpServletResponse.SC_REQUEST_TIMEOUT;
            }
        }
        return tooLarge ? HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE : 0;
    }

    /** What has come so far is left, and the connection with it: the server would wait for the rest, however slowly it comes. */
    private static void refuse(Request request, Response response, int status) throws IOException {
        request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
        response.setHeader("Connection", "close");
        response.sendError(status);
    }

    /** Where the server puts what it has read. */
    private static final class Piece implements ApplicationBufferHandler {

        private ByteBuffer bytes;

        @Override
        public void setByteBuffer(ByteBuffer buffer) {
            bytes = buffer;
        }

        @Override
        public ByteBuffer getByteBuffer() {
            return bytes;
        }

        @Override
        public void expand(int size) {
            throw new UnsupportedOperationException("nothing is written here");
        }
    }
}
