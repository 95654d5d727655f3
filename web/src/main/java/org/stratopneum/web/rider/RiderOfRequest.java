package org.stratopneum.web.rider;

import java.util.Optional;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** The rider's row, read once for each request: the frame of the page and its content both ask for it. */
final class RiderOfRequest {

    private static final String ATTRIBUTE = RiderOfRequest.class.getName();

    private RiderOfRequest() {}

    /** What was remembered in this request for whoever is the rider now. */
    static Optional<Rider> recall() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null
                && request.getAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST) instanceof Rider rider
                && CurrentRider.id().filter(rider.id()::equals).isPresent()) {
            return Optional.of(rider);
        }
        return Optional.empty();
    }

    static void remember(Rider rider) {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(ATTRIBUTE, rider, RequestAttributes.SCOPE_REQUEST);
        }
    }

    /** Called when the row has changed. */
    static void forget() {
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.removeAttribute(ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        }
    }
}
