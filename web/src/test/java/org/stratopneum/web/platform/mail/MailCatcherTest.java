package org.stratopneum.web.platform.mail;

import static org.assertj.core.api.Assertions.assertThat;

import io.micrometer.core.instrument.simple.SimpleMeterRegistry;
import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.time.Clock;
import java.util.Properties;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.Mockito;

class MailCatcherTest {

    private static final Post.Letter LETTER = new Post.Letter("ilse@quennar.example", "a try", "Hello", null);

    private static MailSettings simulated() {
        MailSettings settings = Mockito.mock(MailSettings.class);
        Mockito.when(settings.simulated()).thenReturn(true);
        Mockito.when(settings.from()).thenReturn("stratopneum@localhost");
        Mockito.when(settings.user()).thenReturn("");
        Mockito.when(settings.siteHost()).thenReturn("localhost");
        return settings;
    }

    /** Whoever took the stand-in's port before it started. */
    @Test
    void aStrangerOnItsPortGetsNoLetter() throws IOException {
        AtomicInteger visits = new AtomicInteger();
        try (ServerSocket stranger = new ServerSocket(0, 5, InetAddress.getLoopbackAddress())) {
            Thread listening = new Thread(() -> count(stranger, visits), "stranger");
            listening.setDaemon(true);
            listening.start();
            MailSettings settings = simulated();
            MailCatcher catcher = new MailCatcher(settings, Clock.systemUTC(), stranger.getLocalPort(), true);
            Post post = new Post(settings, catcher, new SimpleMeterRegistry());
            assertThat(post.send(LETTER)).as("before it runs").isFalse();
            catcher.start();
            try {
                assertThat(catcher.port()).isNotEqualTo(stranger.getLocalPort());
                assertThat(post.send(LETTER)).isTrue();
                assertThat(catcher.to("ilse@quennar.example")).hasSize(1);
            } finally {
                catcher.stop();
            }
            assertThat(post.send(LETTER)).as("after it has stopped").isFalse();
        }
        assertThat(visits).hasValue(0);
    }

    /** RFC 8314: TLS from the first word on port 465; elsewhere a password waits for STARTTLS. */
    @ParameterizedTest
    @CsvSource({"465, true, false", "587, false, true", "25, false, true"})
    void aPasswordGoesOverAnEncryptedLine(int port, String atOnce, String startTls) {
        MailSettings settings = Mockito.mock(MailSettings.class);
        Mockito.when(settings.host()).thenReturn("mail.example");
        Mockito.when(settings.port()).thenReturn(port);
        Mockito.when(settings.user()).thenReturn("somebody");
        Mockito.when(settings.password()).thenReturn("secret");
        Mockito.when(settings.siteHost()).thenReturn("bikes.example");
        Properties ways = new Post(settings, Mockito.mock(MailCatcher.class), new SimpleMeterRegistry())
                .sender()
                .getJavaMailProperties();
        assertThat(ways)
                .containsEntry("mail.smtp.ssl.enable", atOnce)
                .containsEntry("mail.smtp.starttls.required", startTls)
                .containsEntry("mail.smtp.ssl.checkserveridentity", "true")
                .containsEntry("mail.from", "mail@bikes.example");
    }

    private static void count(ServerSocket stranger, AtomicInteger visits) {
        try {
            while (true) {
                stranger.accept().close();
                visits.incrementAndGet();
            }
        } catch (IOException closed) {
            Thread.currentThread().interrupt();
        }
    }
}
