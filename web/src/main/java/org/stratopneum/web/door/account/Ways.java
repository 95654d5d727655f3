package org.stratopneum.web.door.account;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.web.due.TodoFeeds;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;
import org.stratopneum.web.rider.tokens.Token;
import org.stratopneum.web.rider.tokens.Tokens;

/** Ways to a rider's data that need no password: a new one does not shut them, so they are listed, to be ended or not. */
@Service
class Ways {

    static final String PAGE = "redirect:/account/ways";

    private final Tokens tokens;
    private final TodoFeeds feeds;
    private final Riders riders;
    private final Activity activity;

    Ways(Tokens tokens, TodoFeeds feeds, Riders riders, Activity activity) {
        this.tokens = tokens;
        this.feeds = feeds;
        this.riders = riders;
        this.activity = activity;
    }

    /** All of them. */
    record Listed(List<Line> tokens, boolean calendar) {}

    /** A token; {@code used} null where it never was. */
    record Line(UUID id, String name, String made, String used) {}

    @Transactional(readOnly = true)
    public boolean any() {
        return feeds.secret().isPresent() || !tokens.all().isEmpty();
    }

    @Transactional(readOnly = true)
    public Listed all() {
        Rider rider = riders.self();
        return new Listed(
                tokens.all().stream().map(token -> line(token, rider)).toList(),
                feeds.secret().isPresent());
    }

    private static Line line(Token token, Rider rider) {
        return new Line(
                token.id(),
                token.name(),
                DateText.date(token.madeAt(), rider.zoneId()),
                token.usedAt() == null ? null : DateText.moment(token.usedAt(), rider.zoneId()));
    }

    /** Ends those; what is over already is left. */
    @Transactional
    public void end(Collection<UUID> ended, boolean calendar, Caller caller) {
        tokens.all().stream().map(Token::id).filter(ended::contains).forEach(token -> {
            tokens.revoke(token);
            activity.note(AccountEvent.Kind.TOKEN_REVOKED, caller);
        });
        if (calendar) {
            feeds.forget();
        }
    }
}
