package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.stratopneum.web.platform.wording.DateText;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.Riders;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;

/** Lays the page of an account out. */
@Service
class AccountPages {

    private static final int EVENTS = 100;

    private final Accounts accounts;
    private final SecondStep secondStep;
    private final Sessions sessions;
    private final Activity activity;
    private final Riders riders;

    AccountPages(Accounts accounts, SecondStep secondStep, Sessions sessions, Activity activity, Riders riders) {
        this.accounts = accounts;
        this.secondStep = secondStep;
        this.sessions = sessions;
        this.activity = activity;
        this.riders = riders;
    }

    /** @param setup what the authenticator is to be told, or null; empty where the rider has no account */
    Optional<AccountPage> page(RiderPrincipal principal, HttpServletRequest request, SecondStep.Setup setup) {
        Rider rider = riders.self();
        return accounts.own()
                .map(account -> new AccountPage(
                        account,
                        secondStep
                                .since()
                                .map(since -> DateText.date(since, rider.zoneId()))
                                .orElse(null),
                        setup,
                        setup == null ? null : QrDrawing.of(setup.link()),
                        sessions.of(principal, request).stream()
                                .map(device -> device(device, rider))
                                .toList(),
                        activity.newest(EVENTS).stream()
                                .map(event -> event(event, rider))
                                .toList()));
    }

    private static AccountPage.Device device(Sessions.Device device, Rider rider) {
        return new AccountPage.Device(
                device.id(),
                device.caller().device(),
                device.caller().address(),
                DateText.date(device.since(), rider.zoneId()),
                DateText.moment(device.lastUsed(), rider.zoneId()),
                device.here());
    }

    private static AccountPage.Event event(AccountEvent event, Rider rider) {
        return new AccountPage.Event(
                DateText.moment(event.at(), rider.zoneId()), event.kind().name(), event.device(), event.address());
    }
}
