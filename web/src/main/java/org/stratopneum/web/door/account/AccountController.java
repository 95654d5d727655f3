package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;

/** The signed-in rider's account. Whoever looks round in the demo has none and is led to the door. */
@Controller
class AccountController {

    private static final String PAGE = "door/account/account";
    private static final String CODES = "door/account/codes";
    private static final String TO_ACCOUNT = "redirect:/account";
    private static final String TO_THE_DOOR = "redirect:/sign-in";
    private static final String NO_STORE = "no-store";

    /** What the page may say that it has done. */
    private static final List<String> DONE =
            List.of("password", "email", "device", "devices", "second-on", "second-off", "ways");

    private final Accounts accounts;
    private final AccountPages pages;
    private final SecondStep secondStep;
    private final Sessions sessions;
    private final Ways ways;
    private final Activity activity;
    private final ProblemWording problemWording;
    private final Wording wording;

    AccountController(
            Accounts accounts,
            AccountPages pages,
            SecondStep secondStep,
            Sessions sessions,
            Ways ways,
            Activity activity,
            ProblemWording problemWording,
            Wording wording) {
        this.accounts = accounts;
        this.pages = pages;
        this.secondStep = secondStep;
        this.sessions = sessions;
        this.ways = ways;
        this.activity = activity;
        this.problemWording = problemWording;
        this.wording = wording;
    }

    /** Who asks for what, and how they are answered. */
    private record Asked(RiderPrincipal rider, HttpServletRequest request, HttpServletResponse response, Model model) {}

    @GetMapping("/account")
    String account(
            @RequestParam(required = false) String done,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("done", done != null && DONE.contains(done) ? done : null);
        return page(Map.of(), null, new Asked(rider, request, response, model));
    }

    /** The codes of a new account. They are made here, so that they wait nowhere to be shown. */
    @GetMapping("/account/codes")
    String codes(@AuthenticationPrincipal RiderPrincipal rider, HttpServletResponse response, Model model) {
        List<String> codes = rider.demo() ? List.of() : accounts.firstCodes();
        return codes.isEmpty() ? TO_ACCOUNT : codesPage(codes, response, model);
    }

    @PostMapping("/account/codes")
    String newCodes(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        return proved("codes", current, new Asked(rider, request, response, model), () -> {
            note(AccountEvent.Kind.CODES_MADE, request);
            return codesPage(accounts.newCodes(), response, model);
        });
    }

    private static String codesPage(List<String> codes, HttpServletResponse response, Model model) {
        response.setHeader(HttpHeaders.CACHE_CONTROL, NO_STORE);
        model.addAttribute("codes", codes);
        return CODES;
    }

    @PostMapping("/account/password")
    String changePassword(
            @RequestParam(defaultValue = "") String current,
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Problems problems = new Problems();
        PasswordRules.check(
                "password",
                password,
                accounts.own().map(AccountMapper.Row::name).stream().toList(),
                problems);
        Asked asked = new Asked(rider, request, response, model);
        if (!problems.isEmpty()) {
            return refused(problemWording.messages(problems.list()), asked);
        }
        return proved("current", current, asked, () -> {
            accounts.changePassword(password);
            note(AccountEvent.Kind.PASSWORD_CHANGED, request);
            sessions.endOthers(rider, request);
            return ways.any() ? Ways.PAGE : TO_ACCOUNT + "?done=password";
        });
    }

    /** Ways in that a new password does not shut, after it was changed. */
    @GetMapping("/account/ways")
    String ways(@AuthenticationPrincipal RiderPrincipal rider, Model model) {
        if (rider.demo()) {
            return TO_THE_DOOR;
        }
        model.addAttribute("ways", ways.all());
        return "door/account/ways";
    }

    @PostMapping("/account/ways")
    String endWays(
            @RequestParam(defaultValue = "") List<UUID> token,
            @RequestParam(defaultValue = "false") boolean calendar,
            HttpServletRequest request) {
        ways.end(token, calendar, Caller.of(request));
        return TO_ACCOUNT + "?done=ways";
    }

    @PostMapping("/account/delete")
    String delete(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        return proved("delete", current, new Asked(rider, request, response, model), () -> {
            accounts.deleteEverything();
            sessions.endOthers(rider, request);
            sessions.end(request, response);
            return "redirect:/sign-up";
        });
    }

    @PostMapping("/account/email")
    String changeEmail(
            @RequestParam(defaultValue = "") String email,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Problems problems = new Problems();
        Optional<String> address = SignUpForm.email(email, problems);
        if (!problems.isEmpty()) {
            model.addAttribute("typedEmail", email);
            return refused(problemWording.messages(problems.list()), new Asked(rider, request, response, model));
        }
        accounts.changeEmail(address.orElse(null));
        note(AccountEvent.Kind.EMAIL_CHANGED, request);
        return TO_ACCOUNT + "?done=email";
    }

    @PostMapping("/devices/{id}/end")
    String endDevice(@PathVariable UUID id, @AuthenticationPrincipal RiderPrincipal rider, HttpServletRequest request) {
        sessions.endOne(rider, id);
        note(AccountEvent.Kind.DEVICE_SIGNED_OUT, request);
        return TO_ACCOUNT + "?done=device#devices";
    }

    @PostMapping("/devices/end")
    String endOtherDevices(@AuthenticationPrincipal RiderPrincipal rider, HttpServletRequest request) {
        sessions.endOthers(rider, request);
        note(AccountEvent.Kind.OTHERS_SIGNED_OUT, request);
        return TO_ACCOUNT + "?done=devices#devices";
    }

    /** Answers with the page itself: what the authenticator is told stands nowhere else. */
    @PostMapping("/account/second-step")
    String beginSecondStep(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Asked asked = new Asked(rider, request, response, model);
        return proved(
                "second",
                current,
                asked,
                () -> page(
                        Map.of(), secondStep.begin(accounts.own().orElseThrow().name()), asked));
    }

    @PostMapping("/account/second-step/confirm")
    String confirmSecondStep(
            @RequestParam(defaultValue = "") String code,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<SecondStep.Setup> begun = accounts.own().flatMap(account -> secondStep.begun(account.name()));
        if (begun.isEmpty()) {
            return TO_ACCOUNT;
        }
        Asked asked = new Asked(rider, request, response, model);
        Entry entry = secondStep.check(rider, code);
        if (entry.in().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String why = entry.pause().isZero()
                    ? wording.text("account.second.wrong")
                    : wording.text("account.wait", entry.pause().toSeconds() + 1);
            return page(Map.of("code", why), begun.get(), asked);
        }
        note(AccountEvent.Kind.SECOND_STEP_ON, request);
        return TO_ACCOUNT + "?done=second-on";
    }

    @PostMapping("/account/second-step/end")
    String endSecondStep(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        return proved("second", current, new Asked(rider, request, response, model), () -> {
            secondStep.end();
            note(AccountEvent.Kind.SECOND_STEP_OFF, request);
            return TO_ACCOUNT + "?done=second-off";
        });
    }

    /** What is done once the password was right. */
    private interface Deed {
        String done();
    }

    /** Does it if {@code current} is the rider's password, else says by {@code field} why not. */
    private String proved(String field, String current, Asked asked, Deed deed) {
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

    private void note(AccountEvent.Kind kind, HttpServletRequest request) {
        activity.note(kind, Caller.of(request));
    }

    private String refused(Map<String, String> errors, Asked asked) {
        asked.response().setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(errors, null, asked);
    }

    private String page(Map<String, String> errors, SecondStep.Setup setup, Asked asked) {
        Optional<AccountPage> page = pages.page(asked.rider(), asked.request(), setup);
        if (page.isEmpty()) {
            return TO_THE_DOOR;
        }
        if (setup != null) {
            asked.response().setHeader(HttpHeaders.CACHE_CONTROL, NO_STORE);
        }
        asked.model().addAttribute("page", page.get());
        asked.model().addAttribute("account", page.get().account());
        asked.model().addAttribute("errors", new HashMap<>(errors));
        return PAGE;
    }
}
