package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.stratopneum.web.platform.guard.Guard;
import org.stratopneum.web.platform.guard.Guards;
import org.stratopneum.web.platform.guard.Limit;
import org.stratopneum.web.support.Others;
import org.stratopneum.web.support.RunningApplication;

@ExtendWith(RunningApplication.class)
class TriesTest {

    /** A clock that stands until it is moved. */
    private static final class Stopped extends Clock {
        private Instant now = Instant.now();

        void pass(Duration time) {
            now = now.plus(time);
        }

        @Override
        public Instant instant() {
            return now;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }

    private final Stopped clock = new Stopped();
    private final Guard guard;
    private final String name = "rider " + UUID.randomUUID();
    private final String network = "network " + UUID.randomUUID();

    TriesTest(RunningApplication.Started started) {
        this.guard = Guards.at(clock, started.context());
    }

    private List<Limit> stranger() {
        return Tries.ofStranger(name, network);
    }

    private void fail(List<Limit> made, int times) {
        for (int i = 0; i < times; i++) {
            assertThat(guard.reserve(made)).as("try " + i).isZero();
        }
    }

    @Test
    void thePauseDoublesUpToAQuarterOfAnHourAndADayForgets() {
        fail(stranger(), 3);
        for (int seconds : new int[] {2, 4, 8, 16, 32, 64, 128, 256, 512, 900, 900}) {
            assertThat(guard.reserve(stranger())).isEqualTo(Duration.ofSeconds(seconds));
            clock.pass(Duration.ofSeconds(seconds));
            assertThat(guard.reserve(stranger())).as("after " + seconds).isZero();
        }
        clock.pass(Duration.ofHours(25));
        fail(stranger(), 3);
    }

    /** Forty at the same time are counted before any of them is looked at. */
    @Test
    void fortyAtOnceAreNotHeardAtOnce() throws Exception {
        try (Others crowd = new Others(40)) {
            List<Future<Duration>> tries = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                tries.add(crowd.run(() -> guard.reserve(stranger())));
            }
            int heard = 0;
            for (Future<Duration> one : tries) {
                heard += one.get().isZero() ? 1 : 0;
            }
            assertThat(heard).isEqualTo(3);
        }
    }

    @Test
    void strangersKeepNobodyOut() {
        fail(stranger(), 3);
        assertThat(guard.reserve(stranger())).isPositive();
        assertThat(guard.reserve(Tries.ofDevice(UUID.randomUUID().toString()))).isZero();
        assertThat(guard.reserve(Tries.ofStranger(name, "elsewhere " + network)))
                .isZero();
        assertThat(guard.reserve(Tries.ofStranger("another " + name, network))).isZero();
    }

    /** OWASP ASVS 4.0.3, 2.2.1: no more than 100 failed tries in an hour on one account, from wherever they come. */
    @Test
    void allNetworksTogetherMayTryANameAHundredTimesAnHour() {
        int heard = 0;
        for (int second = 0; second < 3600; second++) {
            heard += guard.reserve(Tries.ofStranger(name, network + second)).isZero() ? 1 : 0;
            clock.pass(Duration.ofSeconds(1));
        }
        assertThat(heard).isBetween(60, 100);
    }

    @Test
    void aNetworkThatTriesManyNamesMustWaitToo() {
        for (int i = 0; i < 30; i++) {
            fail(Tries.ofStranger(name + i, network), 1);
        }
        assertThat(guard.reserve(Tries.ofStranger("never tried " + name, network)))
                .isPositive();
    }

    /** RFC 6177: a household has 2 to the 64 addresses, all of which begin alike. */
    @Test
    void aNetworkOfIpv6IsOne() {
        String prefix = "2001:db8:" + Integer.toHexString(name.hashCode() & 0xFFFF) + ":7";
        for (int i = 0; i < 3; i++) {
            fail(Tries.ofStranger(name, prefix + "::" + i), 1);
        }
        assertThat(guard.reserve(Tries.ofStranger(name, prefix + ":a:b:c:d"))).isPositive();
        assertThat(guard.reserve(Tries.ofStranger(name, prefix + "1::1"))).isZero();
    }

    @Test
    void whatWasRightDoesNotCount() {
        for (int i = 0; i < 100; i++) {
            fail(stranger(), 1);
            guard.succeeded(stranger());
        }
        fail(stranger(), 2);
        guard.takeBack(stranger());
        fail(stranger(), 2);
        assertThat(guard.reserve(stranger())).isPositive();
    }

    /** A club may share a network; accounts by the hundred are another thing. */
    @Test
    void makingAccountsByTheHundredIsSlowed() {
        fail(Tries.ofNewAccount(network), 200);
        assertThat(guard.reserve(Tries.ofNewAccount(network))).isPositive();
        assertThat(guard.reserve(Tries.ofNewAccount("elsewhere " + network))).isZero();
    }
}
