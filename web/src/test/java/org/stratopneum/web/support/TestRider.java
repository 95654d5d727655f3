package org.stratopneum.web.support;

import java.time.Instant;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.Rider;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.rider.RiderPrincipal;

/** A rider of a test's own, so that no test disturbs another. */
public final class TestRider {

    private final RiderPrincipal principal;
    private final TransactionTemplate transaction;

    private TestRider(UUID id, PlatformTransactionManager transactions) {
        principal = new RiderPrincipal(id, false);
        transaction = new TransactionTemplate(transactions);
    }

    /** Makes a rider in the database. */
    public static TestRider make(PlatformTransactionManager transactions, RiderMapper riders) {
        TestRider rider = new TestRider(UUID.randomUUID(), transactions);
        rider.does(() -> riders.insert(
                Rider.fresh(rider.id(), "Test rider", "Europe/Vienna", PressureUnit.BAR)
                        .asDemo(70.0, null),
                Instant.parse("2026-01-01T00:00:00Z")));
        return rider;
    }

    /** A rider who is there already. */
    public static TestRider of(UUID id, PlatformTransactionManager transactions) {
        return new TestRider(id, transactions);
    }

    public UUID id() {
        return principal.riderId();
    }

    /** Runs {@code work} in a transaction of this rider. */
    public void does(Runnable work) {
        CurrentRider.runAs(principal, () -> transaction.executeWithoutResult(status -> work.run()));
    }

    /** The same, with an answer. */
    public <T> T asks(Supplier<T> work) {
        Object[] answer = new Object[1];
        CurrentRider.runAs(principal, () -> answer[0] = transaction.execute(status -> work.get()));
        @SuppressWarnings("unchecked")
        T typed = (T) answer[0];
        return typed;
    }

    /** What a page sees: asked in a request of its own, which changes nothing. */
    public <T> T sees(Supplier<T> work) {
        RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(new MockHttpServletRequest()));
        transaction.setReadOnly(true);
        try {
            return asks(work);
        } finally {
            transaction.setReadOnly(false);
            RequestContextHolder.resetRequestAttributes();
        }
    }

    /** Runs {@code work} as this rider, in whatever transactions it opens itself. */
    public void asRider(Runnable work) {
        CurrentRider.runAs(principal, work);
    }
}
