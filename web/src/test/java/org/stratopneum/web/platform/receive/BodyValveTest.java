package org.stratopneum.web.platform.receive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import org.apache.catalina.Context;
import org.apache.catalina.LifecycleException;
import org.apache.catalina.startup.Tomcat;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The valve in a server of its own, whose pages say back what they were sent. */
class BodyValveTest {

    private static final int SLOTS = 4;

    @TempDir
    static Path folder;

    private static Tomcat server;
    private final HttpClient client = HttpClient.newHttpClient();

    /** Says how the field "a" came, or how long the body was. */
    private static final class Echo extends HttpServlet {
        private static final long serialVersionUID = 1L;

        @Override
        protected void service(HttpServletRequest request, HttpServletResponse response) throws IOException {
            String field = request.getParameter("a");
            response.getWriter()
                    .write(field != null ? field : "" + request.getInputStream().readAllBytes().length);
        }
    }

    @BeforeAll
    static void start() throws LifecycleException {
        server = new Tomcat();
        server.setBaseDir(folder.toString());
        server.setPort(0);
        Context context = server.addContext("", folder.toString());
        context.getPipeline().addValve(new BodyValve(new Slots(SLOTS, SLOTS), Duration.ofMillis(400)));
        Tomcat.addServlet(context, "echo", new Echo()).addMapping("/*");
        server.getConnector().setProperty("connectionTimeout", "300");
        server.getConnector().setMaxPostSize(BodyValve.MOST);
        server.start();
    }

    @AfterAll
    static void stop() throws LifecycleException {
        server.stop();
        server.destroy();
    }

    private static int port() {
        return server.getConnector().getLocalPort();
    }

    private HttpResponse<String> post(String path, String type, HttpRequest.BodyPublisher body) throws Exception {
        return client.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port() + path))
                        .header("Content-Type", type)
                        .POST(body)
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private static final String FORM = "application/x-www-form-urlencoded";

    @Test
    void whatIsSentArrivesWhole() throws Exception {
        String long_ = "b".repeat(300_000);
        for (int i = 0; i < 3; i++) {
            assertThat(post("/", FORM, HttpRequest.BodyPublishers.ofString("a=" + i))
                            .body())
                    .isEqualTo("" + i);
            assertThat(post("/", FORM, HttpRequest.BodyPublishers.ofString("a=" + long_))
                            .body())
                    .isEqualTo(long_);
            assertThat(post("/", "text/plain", HttpRequest.BodyPublishers.ofString(long_))
                            .body())
                    .isEqualTo("300000");
            byte[] pieces = long_.getBytes(StandardCharsets.US_ASCII);
            assertThat(post(
                                    "/",
                                    "text/plain",
                                    HttpRequest.BodyPublishers.ofInputStream(
                                            () -> new java.io.ByteArrayInputStream(pieces)))
                            .body())
                    .as("chunked")
                    .isEqualTo("300000");
        }
    }

    @ParameterizedTest
    @CsvSource({
        "/sign-in, text/plain, 524288, 200",
        "/sign-in, text/plain, 524289, 413",
        "/sign-in, multipart/form-data; boundary=x, 10, 413",
        "/imports, multipart/form-data; boundary=x, 600000, 200",
        "/imports, application/x-www-form-urlencoded, 600000, 413",
        "/log/5/photos, multipart/form-data; boundary=x, 600000, 200",
        "/log/5/note, multipart/form-data; boundary=x, 10, 413",
        "/api/v1/log, application/json, 600000, 200"
    })
    void filesAreReceivedAtTheirAddressesOnly(String path, String type, int bytes, int status) throws Exception {
        assertThat(post(path, type, HttpRequest.BodyPublishers.ofByteArray(new byte[bytes]))
                        .statusCode())
                .isEqualTo(status);
    }

    private static Socket halfSent(int announced) throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), port());
        socket.setSoTimeout(10_000);
        String head = "POST / HTTP/1.1\r\nHost: here\r\nContent-Type: " + FORM + "\r\nContent-Length: " + announced
                + "\r\n\r\na=";
        socket.getOutputStream().write(head.getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static String answer(Socket socket) throws IOException {
        InputStream in = socket.getInputStream();
        return new String(in.readNBytes(12), StandardCharsets.US_ASCII);
    }

    @Test
    void whoStopsSendingAndWhoDripsIsGivenUp() throws Exception {
        try (Socket silent = halfSent(1000)) {
            assertThat(answer(silent)).isEqualTo("HTTP/1.1 408");
        }
        for (int announced : new int[] {1000, 600_000}) {
            try (Socket dripping = halfSent(announced)) {
                assertThatThrownBy(() -> drip(dripping))
                        .as("%d bytes", announced)
                        .isInstanceOf(IOException.class);
            }
        }
    }

    /** Less than half of what was announced, if nobody minds. */
    private static void drip(Socket socket) throws IOException, InterruptedException {
        for (int i = 0; i < 400; i++) {
            socket.getOutputStream().write('b');
            Thread.sleep(50);
        }
    }

    /** Where no place is left to receive it either. */
    @Test
    void whoIsRefusedAPlaceIsNotListenedToAnyLonger() throws Exception {
        List<Socket> crowd = new ArrayList<>();
        try {
            for (int i = 0; i < 5 * SLOTS; i++) {
                crowd.add(halfSent(1000));
            }
            for (Socket socket : crowd) {
                assertThatThrownBy(() -> drip(socket)).isInstanceOf(IOException.class);
            }
        } finally {
            for (Socket socket : crowd) {
                socket.close();
            }
        }
    }

    @Test
    void aCrowdThatSendsHalfLeavesRoomForOthers() throws Exception {
        List<Socket> crowd = new ArrayList<>();
        try {
            for (int i = 0; i < 3 * SLOTS; i++) {
                crowd.add(halfSent(1000));
            }
            assertThat(client.send(
                                    HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port() + "/?a=page"))
                                            .build(),
                                    HttpResponse.BodyHandlers.ofString())
                            .body())
                    .isEqualTo("page");
            long refused = 0;
            for (Socket one : crowd) {
                refused += answer(one).equals("HTTP/1.1 503") ? 1 : 0;
            }
            assertThat(refused).isBetween(SLOTS + 1L, 2L * SLOTS + 1);
        } finally {
            for (Socket one : crowd) {
                one.close();
            }
        }
    }
}
