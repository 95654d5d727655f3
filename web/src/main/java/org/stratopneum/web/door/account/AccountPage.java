package org.stratopneum.web.door.account;

import java.util.List;
import java.util.UUID;

/**
 * A rider's account.
 *
 * @param secondStep since when the second step is asked for, in words, or null
 * @param setup what the authenticator is to be told, or null
 * @param qr the same as a drawing, or null
 * @param events what was done at the door, newest first
 */
record AccountPage(
        AccountMapper.Row account,
        String secondStep,
        SecondStep.Setup setup,
        QrDrawing qr,
        List<Device> devices,
        List<Event> events) {

    /** A device on which the rider is signed in. */
    public record Device(UUID id, String device, String address, String since, String used, boolean here) {}

    /** @param what its code */
    public record Event(String when, String what, String device, String address) {}
}
