package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.argon2.Argon2PasswordEncoder;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.support.Others;

class PasswordHashesTest {

    private final PasswordHashes hashes = new PasswordHashes();

    /** 19 MiB at two rounds: a set of parameters of the OWASP Password Storage Cheat Sheet for Argon2id; value from memory. */
    @Test
    void aPasswordIsHashedSlowly() {
        assertThat(hashes.of("lichen on the north wall")).startsWith("$argon2id$v=19$m=19456,t=2,p=1$");
    }

    @Test
    void whatWasHashedWithLessIsOld() {
        assertThat(hashes.isOld(
                        Argon2PasswordEncoder.defaultsForSpringSecurity_v5_8().encode("lichen")))
                .isTrue();
        assertThat(hashes.isOld(hashes.of("lichen on the north wall"))).isFalse();
    }

    /** A crowd is told to come back, and does not wait on the threads that serve pages. */
    @Test
    void aCrowdIsToldToComeBack() throws InterruptedException {
        try (Others crowd = new Others(40)) {
            List<Future<String>> asked = new ArrayList<>();
            for (int i = 0; i < 40; i++) {
                asked.add(crowd.run(() -> hashes.of("lichen on the north wall")));
            }
            assertThat(Others.failures(asked, BusyException.class, 30)).isBetween(20L, 33L);
        }
    }

    @Test
    void aHashMatchesItsPasswordAlone() {
        String hash = hashes.of("lichen on the north wall");
        assertThat(hashes.match("lichen on the north wall", hash)).isTrue();
        assertThat(hashes.match("lichen on the south wall", hash)).isFalse();
        assertThat(hashes.match("lichen on the north wall", null)).isFalse();
    }

    /** A malformed one, or one of fewer rounds, would be answered at once and say that there is no such name. */
    @Test
    void anUnknownNameTakesTheSameWork() {
        String kept = hashes.of("lichen on the north wall");
        String nobodys = PasswordHashes.nobodys();
        assertThat(hashes.isOld(nobodys)).isFalse();
        assertThat(nobodys).hasSameSizeAs(kept).startsWith(kept.substring(0, kept.lastIndexOf("p=1$") + 4));
        assertThat(nobodys).isNotEqualTo(PasswordHashes.nobodys());
    }
}
