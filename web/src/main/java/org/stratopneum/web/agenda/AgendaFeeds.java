package org.stratopneum.web.agenda;

import java.security.SecureRandom;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.fault.NotThereException;
import org.stratopneum.web.logbook.Logbook;
import org.stratopneum.web.rider.RiderPrincipal;

/** Secret addresses under which calendar programs fetch an agenda. */
@Service
class AgendaFeeds {

    private static final int SECRET_BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    private final FeedMapper mapper;
    private final Logbook logbook;

    AgendaFeeds(FeedMapper mapper, Logbook logbook) {
        this.mapper = mapper;
        this.logbook = logbook;
    }

    @Transactional(readOnly = true)
    public Optional<String> secret() {
        return mapper.secret();
    }

    /** Makes an address, or another one: the one before answers nobody from then on. */
    @Transactional
    public void renew() {
        byte[] secret = new byte[SECRET_BYTES];
        RANDOM.nextBytes(secret);
        mapper.keep(Base64.getUrlEncoder().withoutPadding().encodeToString(secret), logbook.now());
    }

    @Transactional
    public void forget() {
        mapper.forget();
    }

    /** @throws NotThereException when the secret is nobody's */
    @Transactional(readOnly = true)
    public RiderPrincipal riderOf(String secret) {
        UUID rider = mapper.riderOf(secret);
        if (rider == null) {
            throw new NotThereException();
        }
        return new RiderPrincipal(rider, false);
    }
}
