package org.stratopneum.web.door.account;

import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.site.Signatures;
import org.stratopneum.web.rider.RiderPrincipal;

/** Takes somebody whose password was right to the second step: signed, good for a few minutes, and no session yet. */
@Component
class Ticket {

    private static final String PURPOSE = "second step";
    private static final Duration LASTS = Duration.ofMinutes(5);
    private static final Pattern FORM = Pattern.compile("(([0-9a-f-]{36})\\.(\\d{1,12}))\\.([A-Za-z0-9_-]{1,60})");

    private final Signatures signatures;
    private final Clock clock;

    Ticket(Signatures signatures, Clock clock) {
        this.signatures = signatures;
        this.clock = clock;
    }

    String of(RiderPrincipal rider) {
        String text = rider.riderId() + "." + clock.instant().plus(LASTS).getEpochSecond();
        return text + "." + signatures.of(PURPOSE, text);
    }

    /** Whose ticket it is; empty where it is none, or too old. */
    Optional<RiderPrincipal> holder(String ticket) {
        Matcher parts = FORM.matcher(ticket);
        boolean holds = parts.matches()
                && signatures.match(PURPOSE, parts.group(1), parts.group(4))
                && Long.parseLong(parts.group(3)) >= clock.instant().getEpochSecond();
        return holds ? Optional.of(new RiderPrincipal(UUID.fromString(parts.group(2)), false)) : Optional.empty();
    }
}
