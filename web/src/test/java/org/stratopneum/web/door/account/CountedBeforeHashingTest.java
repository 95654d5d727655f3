package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.mockito.Mockito;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.platform.guard.Guard;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;

/** Hashing is dear: nothing is hashed for whoever would be turned away anyhow. */
class CountedBeforeHashingTest {

    private static final Caller CALLER = new Caller("X11; Linux", "192.0.2.7");
    private static final Accounts.NewRider WANTED = new Accounts.NewRider(
            AccountName.of("Ilse").orElseThrow(),
            "gneiss teapot umlaut",
            null,
            "Europe/Vienna",
            PressureUnit.BAR,
            Region.USUAL);

    private final AccountMapper mapper = Mockito.mock(AccountMapper.class);
    private final Guard guard = Mockito.mock(Guard.class);
    private final PasswordHashes hashes = Mockito.mock(PasswordHashes.class);
    private final TransactionTemplate transaction = Mockito.mock(TransactionTemplate.class);
    private final Accounts accounts = new Accounts(
            mapper,
            Mockito.mock(RiderMapper.class),
            guard,
            Mockito.mock(Activity.class),
            hashes,
            transaction,
            Clock.systemUTC());

    @BeforeEach
    void nobodyWaits() {
        Mockito.when(guard.reserve(Mockito.any())).thenReturn(Duration.ZERO);
        Mockito.when(mapper.forSignIn(Mockito.anyString())).thenReturn(Optional.empty());
        Mockito.when(transaction.execute(Mockito.any()))
                .thenAnswer(call -> call.<TransactionCallback<?>>getArgument(0).doInTransaction(null));
    }

    private Entry signIn() {
        return accounts.signIn("Ilse", "a guess", CALLER, rider -> Optional.empty());
    }

    @Test
    void aTryIsCountedFirst() {
        signIn();
        InOrder order = Mockito.inOrder(guard, hashes);
        order.verify(guard).reserve(Mockito.any());
        order.verify(hashes).match(Mockito.any(), Mockito.any());
    }

    @Test
    void whoHasToWaitIsNotHashedFor() {
        Mockito.when(guard.reserve(Mockito.any())).thenReturn(Duration.ofSeconds(4));
        assertThat(signIn().pause()).isEqualTo(Duration.ofSeconds(4));
        assertThat(accounts.signUp(WANTED, CALLER).pause()).isEqualTo(Duration.ofSeconds(4));
        Mockito.verifyNoInteractions(hashes);
    }

    @Test
    void aTakenNameIsSeenFirst() {
        Mockito.when(mapper.forSignIn("ilse"))
                .thenReturn(Optional.of(new AccountMapper.Key(UUID.randomUUID(), "a hash")));
        assertThat(accounts.signUp(WANTED, CALLER).in()).isEmpty();
        Mockito.verifyNoInteractions(hashes);
    }

    @Test
    void whatTheGateTurnsAwayDoesNotCount() {
        Mockito.when(hashes.match(Mockito.any(), Mockito.any())).thenThrow(new BusyException(Duration.ofSeconds(3)));
        assertThatThrownBy(this::signIn).isInstanceOf(BusyException.class);
        Mockito.verify(guard).takeBack(Mockito.any());
    }
}
