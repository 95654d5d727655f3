package org.stratopneum.web.due;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.log.Logbook;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.SecretLinks;

/** Secret addresses under which calendar programs fetch an agenda. */
@Service
public class TodoFeeds {

    private final FeedMapper mapper;
    private final Logbook logbook;

    TodoFeeds(FeedMapper mapper, Logbook logbook) {
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
        mapper.keep(SecretLinks.fresh(), logbook.now());
    }

    @Transactional
    public void forget() {
        mapper.forget();
    }

    /** @throws NotThereException when the secret is nobody's */
    @Transactional(readOnly = true)
    public RiderPrincipal riderOf(String secret) {
        return SecretLinks.of(mapper.riderOf(secret));
    }
}
