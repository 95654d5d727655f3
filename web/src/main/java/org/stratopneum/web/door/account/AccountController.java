package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.RiderPrincipal;

/** The signed-in rider's account. Whoever looks round in the demo has none and is led to the door. */
@Controller
class AccountController {

    private static final String PAGE = "door/account/account";
    private static final String TO_ACCOUNT = "redirect:/account";
    private static final List<String> DONE = List.of("password", "email");
    private static final String TO_THE_DOOR = "redirect:/sign-in";

    private final Accounts accounts;
    private final Session session;
    private final ProblemWording problemWording;
    private final Wording wording;

    AccountController(Accounts accounts, Session session, ProblemWording problemWording, Wording wording) {
        this.wording = wording;
        this.accounts = accounts;
        this.session = session;
        this.problemWording = problemWording;
    }

    @GetMapping("/account")
    String account(@RequestParam(required = false) String done, Model model) {
        model.addAttribute("done", done != null && DONE.contains(done) ? done : null);
        return page(Map.of(), model);
    }

    @GetMapping("/account/codes")
    String codes(HttpServletRequest request, Model model) {
        List<String> codes = ShownOnce.take(request);
        if (codes.isEmpty()) {
            return TO_ACCOUNT;
        }
        model.addAttribute("codes", codes);
        return "door/account/codes";
    }

    @PostMapping("/account/codes")
    String newCodes(
            @RequestParam(defaultValue = "") String current,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<String> fault = faultOf(current, request);
        if (fault.isPresent()) {
            return refused(Map.of("codes", fault.get()), response, model);
        }
        ShownOnce.put(request, accounts.newCodes());
        return "redirect:/account/codes";
    }

    @PostMapping("/account/password")
    String changePassword(
            @RequestParam(defaultValue = "") String current,
            @RequestParam(defaultValue = "") String password,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Map<String, String> errors = new HashMap<>();
        faultOf(current, request).ifPresent(fault -> errors.put("current", fault));
        Problems problems = new Problems();
        PasswordRules.check("password", password, problems);
        errors.putAll(problemWording.messages(problems.list()));
        if (!errors.isEmpty()) {
            return refused(errors, response, model);
        }
        accounts.changePassword(password);
        session.endOthers(rider, request);
        return TO_ACCOUNT + "?done=password";
    }

    @PostMapping("/account/delete")
    String delete(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<String> fault = faultOf(current, request);
        if (fault.isPresent()) {
            return refused(Map.of("delete", fault.get()), response, model);
        }
        accounts.deleteEverything();
        session.endOthers(rider, request);
        session.end(request, response);
        return "redirect:/sign-up";
    }

    @PostMapping("/account/email")
    String changeEmail(@RequestParam(defaultValue = "") String email, HttpServletResponse response, Model model) {
        Problems problems = new Problems();
        Optional<String> address = SignUpForm.email(email, problems);
        if (!problems.isEmpty()) {
            model.addAttribute("typedEmail", email);
            return refused(problemWording.messages(problems.list()), response, model);
        }
        accounts.changeEmail(address.orElse(null));
        return TO_ACCOUNT + "?done=email";
    }

    /** What is wrong with the password that the rider says they have now, or that they tried too often. */
    private Optional<String> faultOf(String current, HttpServletRequest request) {
        Duration wait = accounts.waitForOwn(request.getRemoteAddr());
        if (!wait.isZero()) {
            return Optional.of(wording.text("account.wait", wait.toSeconds() + 1));
        }
        return accounts.isOwnPassword(current, request.getRemoteAddr())
                ? Optional.empty()
                : Optional.of(problemWording.message(Problem.of("current", "wrong-password")));
    }

    private String refused(Map<String, String> errors, HttpServletResponse response, Model model) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(errors, model);
    }

    private String page(Map<String, String> errors, Model model) {
        Optional<AccountMapper.Row> account = accounts.own();
        if (account.isEmpty()) {
            return TO_THE_DOOR;
        }
        model.addAttribute("account", account.get());
        model.addAttribute("errors", errors);
        return PAGE;
    }
}
