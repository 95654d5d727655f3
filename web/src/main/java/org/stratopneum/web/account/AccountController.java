package org.stratopneum.web.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
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
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.wording.ProblemWording;

/** The signed-in rider's account. Whoever looks round in the demo has none and is led to the door. */
@Controller
class AccountController {

    private static final String PAGE = "account/account";
    private static final String TO_ACCOUNT = "redirect:/account";
    private static final String TO_THE_DOOR = "redirect:/sign-in";

    private final Accounts accounts;
    private final Session session;
    private final ProblemWording problemWording;

    AccountController(Accounts accounts, Session session, ProblemWording problemWording) {
        this.accounts = accounts;
        this.session = session;
        this.problemWording = problemWording;
    }

    @GetMapping("/account")
    String account(@RequestParam(required = false) String done, Model model) {
        model.addAttribute("changed", "password".equals(done));
        return page(Map.of(), model);
    }

    @GetMapping("/account/codes")
    String codes(HttpServletRequest request, Model model) {
        List<String> codes = ShownOnce.take(request);
        if (codes.isEmpty()) {
            return TO_ACCOUNT;
        }
        model.addAttribute("codes", codes);
        return "account/codes";
    }

    @PostMapping("/account/codes")
    String newCodes(
            @RequestParam(defaultValue = "") String current,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        if (!accounts.isOwnPassword(current)) {
            return refused("codes", Problem.of("codes", "wrong-password"), response, model);
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
        Problems problems = new Problems();
        if (!accounts.isOwnPassword(current)) {
            problems.add(Problem.of("current", "wrong-password"));
        }
        PasswordRules.check("password", password, problems);
        if (!problems.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            Map<String, String> errors = new HashMap<>();
            problems.list().forEach(problem -> errors.put(problem.field(), problemWording.message(problem)));
            return page(errors, model);
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
        if (!accounts.isOwnPassword(current)) {
            return refused("delete", Problem.of("delete", "wrong-password"), response, model);
        }
        accounts.deleteEverything();
        session.endOthers(rider, request);
        session.end(request, response);
        return "redirect:/sign-up";
    }

    private String refused(String field, Problem problem, HttpServletResponse response, Model model) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(Map.of(field, problemWording.message(problem)), model);
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
