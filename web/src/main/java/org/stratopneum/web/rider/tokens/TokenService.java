package org.stratopneum.web.rider.tokens;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;

/** Lays the page of tokens out. */
@Service
class TokenService {

    private static final FormView FRESH =
            new FormView(Stream.of(Scope.values()).collect(Collectors.toMap(Scope::field, scope -> "on")), Map.of());

    private final Tokens tokens;
    private final Riders riders;
    private final Activity activity;
    private final Wording wording;
    private final ProblemWording problemWording;

    TokenService(Tokens tokens, Riders riders, Activity activity, Wording wording, ProblemWording problemWording) {
        this.wording = wording;
        this.tokens = tokens;
        this.riders = riders;
        this.activity = activity;
        this.problemWording = problemWording;
    }

    /**
     * All tokens that hold.
     *
     * @param fresh the token that was just made, to be shown this once, or null
     */
    public record Page(List<Line> tokens, FormView form, String fresh, UUID newId) {}

    /** One of them; {@code used} null where it never was. */
    public record Line(UUID id, String name, String may, String made, String used) {}

    @Transactional(readOnly = true)
    Page page() {
        return page(FRESH, null);
    }

    private Page page(FormView form, String fresh) {
        Rider rider = riders.self();
        return new Page(
                tokens.all().stream().map(token -> line(token, rider)).toList(), form, fresh, UUID.randomUUID());
    }

    private Line line(Token token, Rider rider) {
        return new Line(
                token.id(),
                token.name(),
                token.may().stream()
                        .map(scope -> wording.of("tokens.may", scope))
                        .collect(Collectors.joining(", ")),
                DateText.date(token.madeAt(), rider.zoneId()),
                token.usedAt() == null
                        ? null
                        : DateText.date(token.usedAt(), rider.zoneId()) + ", "
                                + DateText.time(token.usedAt(), rider.zoneId()));
    }

    @Transactional(noRollbackFor = InvalidInputException.class)
    Page make(UUID id, Map<String, String> typed, Caller caller) {
        FormReader reader = new FormReader(typed);
        String name = reader.requiredName("name", Token.NAME).orElse("");
        Set<Scope> scopes = EnumSet.noneOf(Scope.class);
        Stream.of(Scope.values()).filter(scope -> reader.ticked(scope.field())).forEach(scopes::add);
        if (scopes.isEmpty()) {
            reader.fault("read", Problem.MISSING);
        }
        if (reader.problems().isEmpty()) {
            try {
                String fresh = tokens.make(id, name, scopes);
                activity.note(AccountEvent.Kind.TOKEN_MADE, caller);
                return page(FRESH, fresh);
            } catch (InvalidInputException refused) {
                refused.problems().forEach(reader::add);
            }
        }
        return page(
                new FormView(typed, problemWording.messages(reader.problems().list())), null);
    }

    @Transactional
    void revoke(UUID id, Caller caller) {
        tokens.revoke(id);
        activity.note(AccountEvent.Kind.TOKEN_REVOKED, caller);
    }
}
