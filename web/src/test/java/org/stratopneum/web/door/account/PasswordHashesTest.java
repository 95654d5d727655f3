package org.stratopneum.web.door.account;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class PasswordHashesTest {

    private final PasswordHashes hashes = new PasswordHashes();

    /**
     * At least one of the sets of parameters of the OWASP Password Storage Cheat Sheet for Argon2id, whose least memory at
     * two rounds is 19 MiB and at three 12 MiB; value from memory. Spring Security's default is 16 MiB at two.
     */
    @Test
    void aPasswordIsHashedSlowly() {
        assertThat(hashes.of("lichen on the north wall")).startsWith("$argon2id$v=19$m=16384,t=2,p=1$");
    }

    @Test
    void aHashMatchesItsPasswordAlone() {
        String hash = hashes.of("lichen on the north wall");
        assertThat(hashes.match("lichen on the north wall", hash)).isTrue();
        assertThat(hashes.match("lichen on the south wall", hash)).isFalse();
        assertThat(hashes.match("lichen on the north wall", null)).isFalse();
    }
}
