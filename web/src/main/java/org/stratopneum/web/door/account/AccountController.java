package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.check.Problems;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.activity.AccountEvent;

/** The signed-in rider's account. Whoever looks round in the demo has none and is led to the door. */
@Controller
class AccountController {

    private static final String CODES = "door/account/codes";

    /** What the page may say that it has done. */
    private static final List<String> DONE =
            List.of("password", "email", "device", "devices", "second-on", "second-off", "ways");

    private final Accounts accounts;
    private final AccountDesk desk;
    private final Sessions sessions;
    private final Ways ways;
    private final ProblemWording problemWording;

    AccountController(
            Accounts accounts, AccountDesk desk, Sessions sessions, Ways ways, ProblemWording problemWording) {
        this.accounts = accounts;
        this.desk = desk;
        this.sessions = sessions;
        this.ways = ways;
        this.problemWording = problemWording;
    }

    @GetMapping("/account")
    String account(
            @RequestParam(required = false) String done,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        model.addAttribute("done", done != null && DONE.contains(done) ? done : null);
        return desk.page(Map.of(), null, new Asked(rider, request, response, model));
    }

    /** The codes of a new account. They are made here, so that they wait nowhere to be shown. */
    @GetMapping("/account/codes")
    String codes(@AuthenticationPrincipal RiderPrincipal rider, HttpServletResponse response, Model model) {
        List<String> codes = rider.demo() ? List.of() : accounts.firstCodes();
        return codes.isEmpty() ? AccountDesk.TO_ACCOUNT : codesPage(codes, response, model);
    }

    @PostMapping("/account/codes")
    String newCodes(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        return desk.proved("codes", current, new Asked(rider, request, response, model), () -> {
            desk.note(AccountEvent.Kind.CODES_MADE, request);
            return codesPage(accounts.newCodes(), response, model);
        });
    }

    private static String codesPage(List<String> codes, HttpServletResponse response, Model model) {
        response.setHeader(HttpHeaders.CACHE_CONTROL, AccountDesk.NO_STORE);
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
            return desk.refused(problemWording.messages(problems.list()), asked);
        }
        return desk.proved("current", current, asked, () -> {
            accounts.changePassword(password);
            desk.note(AccountEvent.Kind.PASSWORD_CHANGED, request);
            sessions.endOthers(rider, request);
            return ways.any() ? Ways.PAGE : AccountDesk.TO_ACCOUNT + "?done=password";
        });
    }

    @PostMapping("/account/delete")
    String delete(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        return desk.proved("delete", current, new Asked(rider, request, response, model), () -> {
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
            return desk.refused(problemWording.messages(problems.list()), new Asked(rider, request, response, model));
        }
        accounts.changeEmail(address.orElse(null));
        desk.note(AccountEvent.Kind.EMAIL_CHANGED, request);
        return AccountDesk.TO_ACCOUNT + "?done=email";
    }
}
