package org.stratopneum.web.rider.tokens;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.rider.SecretLinks;

/**
 * Makes tokens, knows them again and takes them away. They are 256 random bits, so a plain digest is enough to keep
 * them; a password would need a slow one.
 */
@Service
public class Tokens {

    private static final int MOST = 20;

    private final TokenMapper mapper;
    private final Clock clock;

    Tokens(TokenMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Token> all() {
        return mapper.all();
    }

    /**
     * Makes a token.
     *
     * @return the token, which nobody can tell again
     * @throws InvalidInputException when there are too many, or the same form was sent before
     */
    @Transactional
    String make(UUID id, String name, Set<Scope> scopes) {
        if (mapper.all().size() >= MOST) {
            throw new InvalidInputException(new Problem("name", "too-many-tokens", (double) MOST, null, null));
        }
        String secret = SecretLinks.fresh();
        Token token = new Token(id, name, Scope.names(scopes), clock.instant().truncatedTo(ChronoUnit.MICROS), null);
        if (mapper.insert(token, digest(secret)) == 0) {
            throw new InvalidInputException(Problem.of("name", "token-made"));
        }
        return secret;
    }

    /** @throws NotThereException when this rider has no such token */
    @Transactional
    public void revoke(UUID id) {
        if (mapper.revoke(id, clock.instant()) == 0) {
            throw new NotThereException();
        }
    }

    /** Whose {@code secret} is; empty where it is nobody's any more. */
    @Transactional
    Optional<TokenMapper.Holder> holder(String secret) {
        return mapper.holder(digest(secret));
    }

    /** Notes that a token of this rider's was used, for them to see. */
    @Transactional
    void used(UUID id) {
        mapper.used(id, clock.instant());
    }

    private static String digest(String secret) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException exception) {
            throw new IllegalStateException("every Java has SHA-256", exception);
        }
    }
}
