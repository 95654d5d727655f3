package org.stratopneum.web.door.account;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.core.check.Problem;
import org.stratopneum.core.check.Problems;
import org.stratopneum.web.parts.garage.FirstBike;
import org.stratopneum.web.platform.fault.BusyException;
import org.stratopneum.web.platform.wording.ProblemWording;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Activity;
import org.stratopneum.web.rider.activity.Caller;

/** The door: signing up, in and out, and coming back with a recovery code. */
@Controller
class SignInController {

    private static final String SIGN_UP = "door/account/sign-up";
    private static final String SIGN_IN = "door/account/sign-in";
    private static final String SECOND_STEP = "door/account/second-step";
    private static final String RECOVER = "door/account/recover";
    private static final String HOME = "redirect:/";
    private static final String BEFORE = "before";

    private final Accounts accounts;
    private final SecondStep secondStep;
    private final Ticket tickets;
    private final Sessions sessions;
    private final KnownDevices devices;
    private final Ways ways;
    private final Activity activity;
    private final FirstBike firstBike;
    private final ProblemWording problemWording;
    private final Wording wording;

    SignInController(
            Accounts accounts,
            SecondStep secondStep,
            Ticket tickets,
            Sessions sessions,
            KnownDevices devices,
            Ways ways,
            Activity activity,
            FirstBike firstBike,
            ProblemWording problemWording,
            Wording wording) {
        this.accounts = accounts;
        this.secondStep = secondStep;
        this.tickets = tickets;
        this.sessions = sessions;
        this.devices = devices;
        this.ways = ways;
        this.activity = activity;
        this.firstBike = firstBike;
        this.problemWording = problemWording;
        this.wording = wording;
    }

    /** A way of proving who one is. */
    private interface Proof {
        Entry entry();
    }

    /** What happens once that is proved; the page that follows. */
    private interface Welcome {
        String to(RiderPrincipal rider);
    }

    /** A form of the door, as it was sent. */
    private record Sent(
            String page, Object typed, HttpServletRequest request, HttpServletResponse response, Model model) {}

    @GetMapping("/sign-up")
    String signUp(@RequestParam Map<String, String> parameters, Model model) {
        return form(SIGN_UP, SignUpForm.of(parameters), Map.of(), model);
    }

    /** As is usual where their browser says it is from. */
    private static Region regionOf(HttpServletRequest request) {
        return request.getHeader(HttpHeaders.ACCEPT_LANGUAGE) == null
                ? Region.USUAL
                : Region.of(request.getLocale(), Region.current().language());
    }

    @PostMapping("/sign-up")
    String signUp(
            @RequestParam Map<String, String> parameters,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        SignUpForm form = SignUpForm.of(parameters);
        Sent sent = new Sent(SIGN_UP, form, request, response, model);
        Problems problems = new Problems();
        Optional<Accounts.NewRider> wanted = form.read(regionOf(request), problems);
        if (wanted.isEmpty()) {
            return refused(sent, said(problems));
        }
        Map<String, String> taken = Map.of("name", problemWording.message(Problem.of("name", "name-taken")));
        return knock(sent, taken, () -> accounts.signUp(wanted.get(), Caller.of(request)), rider -> {
            CurrentRider.runAs(rider, () -> firstBike.keep(form.carried()));
            sessions.begin(rider, request, response);
            return "redirect:/account/codes";
        });
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
        Sent sent = new Sent(SIGN_IN, name, request, response, model);
        return knock(
                sent,
                wrong("sign-in"),
                () -> accounts.signIn(name, password, Caller.of(request), rider -> devices.of(request, rider)),
                rider -> {
                    if (CurrentRider.askAs(rider, secondStep::since).isPresent()) {
                        model.addAttribute("ticket", tickets.of(rider));
                        return form(SECOND_STEP, name, Map.of(), model);
                    }
                    return enter(rider, sent, before);
                });
    }

    /** The second step of those who want one. Whoever takes longer than a ticket is good for begins anew. */
    @PostMapping("/sign-in/code")
    String secondStep(
            @RequestParam(defaultValue = "") String ticket,
            @RequestParam(defaultValue = "") String code,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Optional<TypedBefore> before = TypedBefore.carried(request);
        before.ifPresent(typed -> model.addAttribute(BEFORE, typed));
        Optional<RiderPrincipal> holder = tickets.holder(ticket);
        if (holder.isEmpty()) {
            return refused(
                    new Sent(SIGN_IN, "", request, response, model), Map.of("", wording.text("account.second.late")));
        }
        model.addAttribute("ticket", ticket);
        Sent sent = new Sent(SECOND_STEP, "", request, response, model);
        return CurrentRider.askAs(
                holder.get(),
                () -> knock(
                        sent,
                        wrong("second"),
                        () -> checked(holder.get(), code, request),
                        rider -> enter(rider, sent, before)));
    }

    private Entry checked(RiderPrincipal rider, String code, HttpServletRequest request) {
        Entry entry = secondStep.check(rider, code);
        if (entry.equals(Entry.WRONG)) {
            activity.note(AccountEvent.Kind.CODE_FAILED, Caller.of(request));
        }
        return entry;
    }

    private String enter(RiderPrincipal rider, Sent sent, Optional<TypedBefore> before) {
        CurrentRider.runAs(rider, () -> activity.note(AccountEvent.Kind.SIGNED_IN, Caller.of(sent.request())));
        sessions.begin(rider, sent.request(), sent.response());
        if (before.isEmpty()) {
            return HOME;
        }
        if (before.get().fields().isEmpty()) {
            return "redirect:" + before.get().path();
        }
        before.get().keep(sent.request());
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
        Sent sent = new Sent(RECOVER, name, request, response, model);
        Problems problems = new Problems();
        PasswordRules.check("password", password, List.of(name), problems);
        if (!problems.isEmpty()) {
            return refused(sent, said(problems));
        }
        return knock(
                sent, wrong("recover"), () -> accounts.recover(name, code, password, Caller.of(request)), rider -> {
                    sessions.begin(rider, request, response);
                    sessions.endOthers(rider, request);
                    return CurrentRider.askAs(rider, ways::any) ? Ways.PAGE : HOME;
                });
    }

    /** Asks for a proof, and says what came of it. */
    private String knock(Sent sent, Map<String, String> wrong, Proof proof, Welcome welcome) {
        Entry entry;
        try {
            entry = proof.entry();
        } catch (BusyException busy) {
            return later(sent, HttpStatus.SERVICE_UNAVAILABLE, busy.retryAfter(), wording.text("account.busy"));
        }
        if (!entry.pause().isZero()) {
            long seconds = entry.pause().toSeconds() + 1;
            return later(
                    sent, HttpStatus.TOO_MANY_REQUESTS, String.valueOf(seconds), wording.text("account.wait", seconds));
        }
        return entry.in().map(welcome::to).orElseGet(() -> refused(sent, wrong));
    }

    private static String later(Sent sent, HttpStatus status, String after, String why) {
        sent.response().setStatus(status.value());
        sent.response().setHeader(HttpHeaders.RETRY_AFTER, after);
        return form(sent.page(), sent.typed(), Map.of("", why), sent.model());
    }

    private static String refused(Sent sent, Map<String, String> errors) {
        sent.response().setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return form(sent.page(), sent.typed(), errors, sent.model());
    }

    private Map<String, String> wrong(String way) {
        return Map.of("", wording.text("account." + way + ".wrong"));
    }

    /** Nothing of the rider stays on the device; a page with scripts has asked about what waits there before. */
    @PostMapping("/sign-out")
    String signOut(HttpServletRequest request, HttpServletResponse response) {
        sessions.end(request, response);
        response.setHeader("Clear-Site-Data", "\"cache\", \"storage\"");
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
