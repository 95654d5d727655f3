package org.stratopneum.web.platform.receive;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.apache.catalina.Valve;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.junit.jupiter.api.Test;
import org.mockito.Mockito;
import org.stratopneum.web.support.Others;

class WorkValveTest {

    private final CountDownLatch go = new CountDownLatch(1);
    private final AtomicInteger now = new AtomicInteger();
    private final AtomicInteger most = new AtomicInteger();

    private WorkValve valve(Duration patience) throws Exception {
        Valve work = Mockito.mock(Valve.class);
        Mockito.doAnswer(call -> {
                    most.accumulateAndGet(now.incrementAndGet(), Math::max);
                    go.await(10, TimeUnit.SECONDS);
                    now.decrementAndGet();
                    return null;
                })
                .when(work)
                .invoke(Mockito.any(), Mockito.any());
        WorkValve valve = new WorkValve(2, patience, new Slots(3, 1));
        valve.setNext(work);
        return valve;
    }

    private static Response ask(WorkValve valve, String path) throws Exception {
        Request request = Mockito.mock(Request.class);
        Mockito.when(request.getRequestURI()).thenReturn(path);
        Mockito.when(request.getRemoteAddr()).thenReturn("192.0.2.7");
        Response response = Mockito.mock(Response.class);
        valve.invoke(request, response);
        return response;
    }

    @Test
    void aCrowdIsWorkedAtByTurns() throws Exception {
        WorkValve valve = valve(Duration.ofSeconds(10));
        try (Others crowd = new Others(12)) {
            List<Future<Response>> asked = new ArrayList<>();
            for (int i = 0; i < 12; i++) {
                asked.add(crowd.run(() -> ask(valve, "/todo")));
            }
            go.countDown();
            for (Future<Response> one : asked) {
                Mockito.verify(one.get(), Mockito.never()).sendError(Mockito.anyInt());
            }
        }
        assertThat(most.get()).isBetween(1, 2);
    }

    @Test
    void whoWaitsTooLongIsToldToComeBackAndWhatIsReadyMadeDoesNotWait() throws Exception {
        WorkValve valve = valve(Duration.ofMillis(50));
        try (Others crowd = new Others(6)) {
            List<Future<Response>> busy =
                    List.of(crowd.run(() -> ask(valve, "/todo")), crowd.run(() -> ask(valve, "/log")));
            while (now.get() < 2) {
                Thread.sleep(5);
            }
            Response later = ask(valve, "/todo");
            Mockito.verify(later).setHeader("Retry-After", "5");
            Mockito.verify(later).sendError(503);
            Future<Response> style = crowd.run(() -> ask(valve, "/assets/app.css"));
            while (now.get() < 3) {
                Thread.sleep(5);
            }
            go.countDown();
            Mockito.verify(style.get(), Mockito.never()).sendError(Mockito.anyInt());
            for (Future<Response> one : busy) {
                Mockito.verify(one.get(), Mockito.never()).sendError(Mockito.anyInt());
            }
        }
    }

    /** A slow line keeps a file on its way for minutes: that takes no turn, and not more than its network's share. */
    @Test
    void filesOnTheirWayTakeNoTurn() throws Exception {
        WorkValve valve = valve(Duration.ofMillis(50));
        try (Others crowd = new Others(4)) {
            Future<Response> slow = crowd.run(() -> ask(valve, "/tracks/5"));
            while (now.get() < 1) {
                Thread.sleep(5);
            }
            Mockito.verify(ask(valve, "/tracks/6")).sendError(503);
            Future<Response> page = crowd.run(() -> ask(valve, "/todo"));
            Future<Response> other = crowd.run(() -> ask(valve, "/log"));
            while (now.get() < 3) {
                Thread.sleep(5);
            }
            go.countDown();
            for (Future<Response> one : List.of(slow, page, other)) {
                Mockito.verify(one.get(), Mockito.never()).sendError(Mockito.anyInt());
            }
        }
    }
}
