package org.stratopneum.web.door.account;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.web.parts.garage.FirstBike;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;

/** The door: signing up, in and out, and coming back with a recovery code. */
@Controller
class SignInController {

    private static final String SIGN_UP = "door/account/sign-up";
    private static final String SIGN_IN = "door/account/sign-in";
    private static final String RECOVER = "door/account/recover";
    private static final String HOME = "redirect:/";
    private static final String BEFORE = "before";

    private final Accounts accounts;
    private final SignInGuard guard;
    private final Session session;
    private final FirstBike firstBike;
    private final ProblemWording problemWording;
    private final Wording wording;

    SignInController(
            Accounts accounts,
            SignInGuard guard,
            Session session,
            FirstBike firstBike,
            ProblemWording problemWording,
            Wording wording) {
        this.accounts = accounts;
        this.guard = guard;
        this.session = session;
        this.firstBike = firstBike;
        this.problemWording = problemWording;
        this.wording = wording;
    }

    @GetMapping("/sign-up")
    String signUp(@RequestParam Map<String, String> parameters, Model model) {
        return form(SIGN_UP, SignUpForm.of(parameters), Map.of(), model);
    }

    @PostMapping("/sign-up")
    String signUp(
            @RequestParam Map<String, String> parameters,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        SignUpForm form = SignUpForm.of(parameters);
        Duration wait = guard.waitToSignUp(request.getRemoteAddr());
        if (!wait.isZero()) {
            return tooSoon(SIGN_UP, form, wait, response, model);
        }
        Problems problems = new Problems();
        Optional<Accounts.SignedUp> signedUp = form.read(problems).flatMap(accounts::signUp);
        if (signedUp.isEmpty()) {
            if (problems.isEmpty()) {
                problems.add(Problem.of("name", "name-taken"));
            }
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(SIGN_UP, form, said(problems), model);
        }
        RiderPrincipal rider = signedUp.get().rider();
        guard.signedUp(request.getRemoteAddr());
        CurrentRider.runAs(rider, () -> firstBike.keep(form.carried()));
        session.begin(rider, request, response);
        ShownOnce.put(request, signedUp.get().recoveryCodes());
        return "redirect:/account/codes";
    }

    /** How hard a password is to guess, as a word; nothing of it is kept. */
    @PostMapping("/sign-up/strength")
    String strength(@RequestParam Map<String, String> parameters, Model model) {
        model.addAttribute("strength", SignUpForm.of(parameters).strength());
        return "door/account/fragments :: strength";
    }

    @GetMapping("/sign-in")
    String signIn(HttpServletRequest request, Model model) {
        TypedBefore.carried(request).ifPresent(typed -> model.addAttribute(BEFORE, typed));
        return form(SIGN_IN, "", Map.of(), model);
    }

    /** A form was sent after its session had ended: what was typed in it waits at the door. */
    @PostMapping("/sign-in/again")
    String signInAgain(HttpServletRequest request, HttpServletResponse response, Model model) {
        Object path = request.getAttribute(RequestDispatcher.FORWARD_REQUEST_URI);
        if (path == null) {
            return "redirect:/sign-in";
        }
        response.setStatus(HttpStatus.UNAUTHORIZED.value());
        model.addAttribute(BEFORE, TypedBefore.of(path.toString(), request.getParameterMap()));
        return form(SIGN_IN, "", Map.of(), model);
    }

    /** Signed in again, with what was typed before: it is sent once more, by itself where scripts run. */
    @GetMapping("/sign-in/again")
    String sendAgain(HttpServletRequest request, Model model) {
        return TypedBefore.take(request)
                .map(typed -> {
                    model.addAttribute(BEFORE, typed);
                    return "door/account/again";
                })
                .orElse(HOME);
    }

    @PostMapping("/sign-in")
    String signIn(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<TypedBefore> before = TypedBefore.carried(request);
        before.ifPresent(typed -> model.addAttribute(BEFORE, typed));
        String next = enter(
                name,
                SIGN_IN,
                request,
                response,
                model,
                () -> accounts.signIn(name, password, request.getRemoteAddr()));
        if (before.isEmpty() || !next.equals(HOME)) {
            return next;
        }
        if (before.get().fields().isEmpty()) {
            return "redirect:" + before.get().path();
        }
        before.get().keep(request);
        return "redirect:/sign-in/again";
    }

    @GetMapping("/recover")
    String recover(Model model) {
        return form(RECOVER, "", Map.of(), model);
    }

    @PostMapping("/recover")
    String recover(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "") String password,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Problems problems = new Problems();
        PasswordRules.check("password", password, problems);
        if (!problems.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(RECOVER, name, said(problems), model);
        }
        return enter(
                name,
                RECOVER,
                request,
                response,
                model,
                () -> accounts.recover(name, code, password, request.getRemoteAddr()));
    }

    /** A way of proving who one is. */
    private interface Proof {
        Optional<RiderPrincipal> rider();
    }

    private String enter(
            String name,
            String page,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model,
            Proof proof) {
        String key = AccountName.of(name).map(AccountName::key).orElse("");
        Duration wait = guard.waitFor(key, request.getRemoteAddr());
        if (!wait.isZero()) {
            return tooSoon(page, name, wait, response, model);
        }
        Optional<RiderPrincipal> rider = proof.rider();
        if (rider.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form(
                    page,
                    name,
                    Map.of("", wording.text("account." + page.substring(page.lastIndexOf('/') + 1) + ".wrong")),
                    model);
        }
        session.begin(rider.get(), request, response);
        if (page.equals(RECOVER)) {
            session.endOthers(rider.get(), request);
        }
        return HOME;
    }

    private String tooSoon(String page, Object typed, Duration wait, HttpServletResponse response, Model model) {
        response.setStatus(HttpStatus.TOO_MANY_REQUESTS.value());
        response.setHeader("Retry-After", String.valueOf(wait.toSeconds() + 1));
        return form(page, typed, Map.of("", wording.text("account.wait", wait.toSeconds() + 1)), model);
    }

    /** Nothing of the rider stays on the device; a page with scripts has asked about what waits there before. */
    @PostMapping("/sign-out")
    String signOut(HttpServletRequest request, HttpServletResponse response) {
        session.end(request, response);
        response.setHeader("Clear-Site-Data", "\"storage\"");
        return "redirect:/sign-in";
    }

    private Map<String, String> said(Problems problems) {
        Map<String, String> said = new LinkedHashMap<>();
        problems.list().forEach(problem -> said.putIfAbsent(problem.field(), problemWording.message(problem)));
        return said;
    }

    private static String form(String page, Object typed, Map<String, String> errors, Model model) {
        model.addAttribute("typed", typed);
        model.addAttribute("errors", errors);
        return page;
    }
}
