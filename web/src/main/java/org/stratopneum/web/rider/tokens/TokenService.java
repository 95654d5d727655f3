package org.stratopneum.web.rider.tokens;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.check.InvalidInputException;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;

/** Lays the page of tokens out. */
@Service
class TokenService {

    private final Tokens tokens;
    private final Riders riders;
    private final Activity activity;
    private final ProblemWording problemWording;

    TokenService(Tokens tokens, Riders riders, Activity activity, ProblemWording problemWording) {
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
    public record Line(UUID id, String name, boolean mayRead, boolean mayAppend, String made, String used) {}

    @Transactional(readOnly = true)
    Page page() {
        return page(new FormView(Map.of("read", "on", "append", "on"), Map.of()), null);
    }

    private Page page(FormView form, String fresh) {
        Rider rider = riders.self();
        return new Page(
                tokens.all().stream().map(token -> line(token, rider)).toList(), form, fresh, UUID.randomUUID());
    }

    private static Line line(Token token, Rider rider) {
        return new Line(
                token.id(),
                token.name(),
                token.mayRead(),
                token.mayAppend(),
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
        boolean read = reader.ticked("read");
        boolean append = reader.ticked("append");
        if (!read && !append) {
            reader.fault("read", Problem.MISSING);
        }
        if (reader.problems().isEmpty()) {
            try {
                String fresh = tokens.make(id, name, read, append);
                activity.note(AccountEvent.Kind.TOKEN_MADE, caller);
                return page(new FormView(Map.of("read", "on", "append", "on"), Map.of()), fresh);
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
