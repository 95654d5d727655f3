package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.stratopneum.web.rider.RiderPrincipal;
import org.stratopneum.web.rider.activity.AccountEvent;
import org.stratopneum.web.rider.activity.Caller;

/** Ends other ways into an account: devices that are signed in, and what opens its data without a password. */
@Controller
class DeviceController {

    private final AccountDesk desk;
    private final Sessions sessions;
    private final Ways ways;

    DeviceController(AccountDesk desk, Sessions sessions, Ways ways) {
        this.desk = desk;
        this.sessions = sessions;
        this.ways = ways;
    }

    @PostMapping("/devices/{id}/end")
    String endDevice(@PathVariable UUID id, @AuthenticationPrincipal RiderPrincipal rider, HttpServletRequest request) {
        sessions.endOne(rider, id);
        desk.note(AccountEvent.Kind.DEVICE_SIGNED_OUT, request);
        return AccountDesk.TO_ACCOUNT + "?done=device#devices";
    }

    @PostMapping("/devices/end")
    String endOtherDevices(@AuthenticationPrincipal RiderPrincipal rider, HttpServletRequest request) {
        sessions.endOthers(rider, request);
        desk.note(AccountEvent.Kind.OTHERS_SIGNED_OUT, request);
        return AccountDesk.TO_ACCOUNT + "?done=devices#devices";
    }

    /** Ways in that a new password does not shut, after it was changed. */
    @GetMapping("/account/ways")
    String ways(@AuthenticationPrincipal RiderPrincipal rider, Model model) {
        if (rider.demo()) {
            return AccountDesk.TO_THE_DOOR;
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
        return AccountDesk.TO_ACCOUNT + "?done=ways";
    }
}
