package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.stratopneum.core.check.Problem;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;

/** What all that is done on the page of an account has in common: the password again, what was wrong, the page once more. */
@Component
class AccountDesk {

    static final String TO_ACCOUNT = "redirect:/account";
    static final String TO_THE_DOOR = "redirect:/sign-in";
    static final String NO_STORE = "no-store";

    private static final String PAGE = "door/account/account";

    private final Accounts accounts;
    private final AccountPages pages;
    private final Activity activity;
    private final ProblemWording problemWording;
    private final Wording wording;

    AccountDesk(
            Accounts accounts, AccountPages pages, Activity activity, ProblemWording problemWording, Wording wording) {
        this.accounts = accounts;
        this.pages = pages;
        this.activity = activity;
        this.problemWording = problemWording;
        this.wording = wording;
    }

    /** What is done once the password was right. */
    interface Deed {
        String done();
    }

    /** Does it if {@code current} is the rider's password, else says by {@code field} why not. */
    String proved(String field, String current, Asked asked, Deed deed) {
        try {
            Entry entry = accounts.ownPassword(asked.rider(), current);
            if (entry.in().isPresent()) {
                return deed.done();
            }
            return refused(
                    Map.of(
                            field,
                            entry.pause().isZero()
                                    ? problemWording.message(Problem.of("current", "wrong-password"))
                                    : wording.text("account.wait", entry.pause().toSeconds() + 1)),
                    asked);
        } catch (BusyException busy) {
            String view = refused(Map.of(field, wording.text("account.busy")), asked);
            asked.response().setStatus(HttpStatus.SERVICE_UNAVAILABLE.value());
            asked.response().setHeader(HttpHeaders.RETRY_AFTER, busy.retryAfter());
            return view;
        }
    }

    void note(AccountEvent.Kind kind, HttpServletRequest request) {
        activity.note(kind, Caller.of(request));
    }

    String refused(Map<String, String> errors, Asked asked) {
        asked.response().setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(errors, null, asked);
    }

    String page(Map<String, String> errors, SecondStep.Setup setup, Asked asked) {
        Optional<AccountPage> page = pages.page(asked.rider(), asked.request(), setup);
        if (page.isEmpty()) {
            return TO_THE_DOOR;
        }
        if (setup != null) {
            asked.response().setHeader(HttpHeaders.CACHE_CONTROL, NO_STORE);
        }
        asked.model().addAttribute("page", page.get());
        asked.model().addAttribute("account", page.get().account());
        asked.model().addAttribute("errors", errors);
        return PAGE;
    }
}
