package org.stratopneum.web.due.digest;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.lenient;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.mockito.InjectMocks;
import org.mockito.Mock;
import org.mockito.junit.jupiter.MockitoExtension;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.mail.Post;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;

/** What becomes of a digest where the mail server, or the writing of it, fails. */
@ExtendWith(MockitoExtension.class)
class DigestSenderTest {

    private static final Instant NOW = Instant.parse("2026-03-02T07:00:00Z");
    private static final Digest DAILY =
            new Digest("ilse@quennar.example", Digest.Every.DAY, "secret", NOW.minusSeconds(1), NOW);
    private static final Post.Letter LETTER = new Post.Letter("ilse@quennar.example", "Due", "Text", null);

    @Mock
    private DigestMapper mapper;

    @Mock
    private DigestMail mails;

    @Mock
    private Post post;

    @Mock
    private Riders riders;

    @Mock
    private Logbook logbook;

    @Mock
    private TransactionTemplate transaction;

    @InjectMocks
    private DigestSender sender;

    @BeforeEach
    void twoAreDue() {
        when(logbook.now()).thenReturn(NOW);
        when(mapper.claim(any(), anyInt())).thenReturn(List.of(UUID.randomUUID(), UUID.randomUUID()));
        when(mapper.own()).thenReturn(Optional.of(DAILY));
        lenient().when(mails.letter(DAILY)).thenReturn(LETTER);
        lenient()
                .when(riders.self())
                .thenReturn(Rider.fresh(UUID.randomUUID(), "Ilse", "Europe/Vienna", PressureUnit.BAR));
        when(transaction.execute(any()))
                .thenAnswer(call -> call.<TransactionCallback<?>>getArgument(0).doInTransaction(null));
        doAnswer(call -> {
                    call.<Consumer<TransactionStatus>>getArgument(0).accept(null);
                    return null;
                })
                .when(transaction)
                .executeWithoutResult(any());
    }

    @Test
    void whatTheServerTakesIsSentAgainOnItsNextDayOnly() {
        when(post.send(LETTER)).thenReturn(true);
        sender.sendDue();
        verify(mapper, times(2)).sendNext(Instant.parse("2026-03-03T05:00:00Z"));
    }

    @Test
    void whatItDoesNotTakeIsNotCalledSent() {
        when(post.send(LETTER)).thenReturn(false);
        sender.sendDue();
        verify(mapper, never()).sendNext(any());
    }

    @Test
    void oneThatCannotBeWrittenDoesNotKeepTheOthersWaiting() {
        when(mails.letter(DAILY)).thenThrow(new IllegalStateException("broken")).thenReturn(LETTER);
        when(post.send(LETTER)).thenReturn(true);
        sender.sendDue();
        verify(mapper, times(1)).sendNext(any());
    }

    @Test
    void nobodyGetsMailWhoNeverConfirmed() {
        Digest asked = new Digest("ilse@quennar.example", Digest.Every.DAY, "secret", null, NOW);
        when(mapper.own()).thenReturn(Optional.of(asked));
        sender.sendDue();
        verify(post, never()).send(any());
    }
}
