package org.stratopneum.web.platform.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.time.Clock;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
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
            MailCatcher catcher = new MailCatcher(settings, Clock.systemUTC(), stranger.getLocalPort());
            Post post = new Post(settings, catcher);
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
