package org.stratopneum.web.rider.quota;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.support.Guest;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.Site;

@ExtendWith(RunningApplication.class)
class QuotaTest {

    private final QuotaMapper mapper;
    private final TransactionTemplate transaction;
    private final Site site;
    private RiderPrincipal rider;

    QuotaTest(QuotaMapper mapper, TransactionTemplate transaction, Site site) {
        this.mapper = mapper;
        this.transaction = transaction;
        this.site = site;
    }

    @BeforeEach
    void signUp() {
        rider = new RiderPrincipal(Guest.withAccount(site).riderId(), false);
    }

    /** Three files, two megabytes and a hundred rows a day. */
    private Quota quota(Duration later) {
        return new Quota(mapper, Clock.offset(Clock.systemUTC(), later), 3, 2, 100);
    }

    private <T> T as(RiderPrincipal who, Supplier<T> work) {
        return CurrentRider.askAs(who, () -> transaction.execute(status -> work.get()));
    }

    private void send(Quota quota, RiderPrincipal who, long bytes) {
        as(who, () -> {
            quota.file("file", bytes);
            return bytes;
        });
    }

    @Test
    void filesAreCountedAndAnotherDayBeginsAnew() {
        Quota quota = quota(Duration.ZERO);
        for (int i = 0; i < 3; i++) {
            send(quota, rider, 100);
        }
        assertThatThrownBy(() -> send(quota, rider, 1))
                .isInstanceOf(InvalidInputException.class)
                .hasMessageContaining("quota-files");
        send(quota, new RiderPrincipal(Guest.withAccount(site).riderId(), false), 1);
        send(quota(Duration.ofDays(1)), rider, 1);
    }

    @Test
    void bytesAreAddedUp() {
        Quota quota = quota(Duration.ZERO);
        send(quota, rider, 2 << 20);
        assertThatThrownBy(() -> send(quota, rider, 1)).hasMessageContaining("quota-bytes");
    }

    @Test
    void rowsAreCountedWhenTheyWereRead() {
        Quota quota = quota(Duration.ZERO);
        assertThat(as(rider, quota::rowsLeft)).isEqualTo(100);
        as(rider, () -> {
            quota.rows(70);
            return null;
        });
        assertThat(as(rider, quota::rowsLeft)).isEqualTo(30);
        assertThat(as(new RiderPrincipal(UUID.randomUUID(), false), quota::rowsLeft))
                .isEqualTo(100);
    }
}
