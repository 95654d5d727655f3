package org.stratopneum.web.door.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.stratopneum.web.platform.site.Signatures;
import org.stratopneum.web.platform.site.SiteCookies;

/**
 * Devices on which a rider has signed in before: each holds a signed cookie that says so, for a few riders. It opens
 * nothing. Wrong guesses from such a device are counted for it alone, so that no stranger's keep its rider out.
 */
@Component
class KnownDevices {

    private static final String COOKIE = "stratopneum-device";
    private static final String PURPOSE = "device";
    private static final Duration LASTS = Duration.ofDays(400);

    /** Riders who share a device. */
    private static final int MOST = 4;

    private final Signatures signatures;
    private final SiteCookies cookies;

    KnownDevices(Signatures signatures, SiteCookies cookies) {
        this.signatures = signatures;
        this.cookies = cookies;
    }

    /** The device that asks, where {@code rider} has signed in on it. */
    Optional<String> of(HttpServletRequest request, UUID rider) {
        return marks(request).stream()
                .filter(mark -> isOf(mark, rider))
                .map(KnownDevices::id)
                .findFirst();
    }

    /** {@code rider} has signed in on the device that asks. */
    void remember(HttpServletRequest request, HttpServletResponse response, UUID rider) {
        List<String> marks = new ArrayList<>(marks(request));
        String known =
                marks.stream().filter(mark -> isOf(mark, rider)).findFirst().orElse(null);
        marks.remove(known);
        String id = UUID.randomUUID().toString();
        marks.add(0, known != null ? known : id + "." + signatures.of(PURPOSE, id + rider));
        cookies.write(COOKIE, String.join(":", marks.subList(0, Math.min(MOST, marks.size()))), LASTS, response);
    }

    private List<String> marks(HttpServletRequest request) {
        return cookies.read(COOKIE, request)
                .map(value -> List.of(value.split(":", MOST + 1)))
                .orElse(List.of());
    }

    private boolean isOf(String mark, UUID rider) {
        int point = mark.indexOf('.');
        return point > 0 && signatures.match(PURPOSE, id(mark) + rider, mark.substring(point + 1));
    }

    private static String id(String mark) {
        return mark.substring(0, mark.indexOf('.'));
    }
}
