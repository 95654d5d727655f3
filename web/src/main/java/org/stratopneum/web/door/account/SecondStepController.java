package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.activity.AccountEvent;

/** Switches the second step at signing in on and off. */
@Controller
class SecondStepController {

    private final Accounts accounts;
    private final AccountDesk desk;
    private final SecondStep secondStep;
    private final Wording wording;

    SecondStepController(Accounts accounts, AccountDesk desk, SecondStep secondStep, Wording wording) {
        this.accounts = accounts;
        this.desk = desk;
        this.secondStep = secondStep;
        this.wording = wording;
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
        return desk.proved(
                "second",
                current,
                asked,
                () -> secondStep
                        .begin(accounts.own().orElseThrow().name())
                        .map(setup -> desk.page(Map.of(), setup, asked))
                        .orElse(AccountDesk.TO_ACCOUNT));
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
            return AccountDesk.TO_ACCOUNT;
        }
        Asked asked = new Asked(rider, request, response, model);
        Entry entry = secondStep.confirm(rider, code);
        if (entry.in().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String why = entry.pause().isZero()
                    ? wording.text("account.second.wrong")
                    : wording.text("account.wait", entry.pause().toSeconds() + 1);
            return desk.page(Map.of("code", why), begun.get(), asked);
        }
        desk.note(AccountEvent.Kind.SECOND_STEP_ON, request);
        return AccountDesk.TO_ACCOUNT + "?done=second-on";
    }

    @PostMapping("/account/second-step/end")
    String endSecondStep(
            @RequestParam(defaultValue = "") String current,
            @AuthenticationPrincipal RiderPrincipal rider,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        return desk.proved("second", current, new Asked(rider, request, response, model), () -> {
            secondStep.end();
            desk.note(AccountEvent.Kind.SECOND_STEP_OFF, request);
            return AccountDesk.TO_ACCOUNT + "?done=second-off";
        });
    }
}
