package org.stratopneum.web.fleet.kept;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.web.rider.CurrentRider;
import org.stratopneum.web.rider.RiderPrincipal;

/**
 * Writes results down behind the requests that needed them, one after another. What it cannot keep is worked out again by
 * the next who asks.
 */
@Component
class Keeper implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Keeper.class);

    private static final int WAITING = 200;
    private static final long PATIENCE_S = 5;

    private final KeptMapper mapper;
    private final TransactionTemplate transaction;
    private final ThreadPoolExecutor hand = new ThreadPoolExecutor(
            1,
            1,
            0,
            TimeUnit.SECONDS,
            new ArrayBlockingQueue<>(WAITING),
            work -> new Thread(work, "keeper"),
            new ThreadPoolExecutor.DiscardPolicy());

    Keeper(KeptMapper mapper, TransactionTemplate transaction) {
        this.mapper = mapper;
        this.transaction = transaction;
    }

    void keep(UUID rider, List<KeptMapper.Row> rows) {
        hand.execute(() -> CurrentRider.runAs(new RiderPrincipal(rider, false), () -> write(rows)));
    }

    /** One by one: whoever holds one row only is waited for by nobody in a circle. */
    private void write(List<KeptMapper.Row> rows) {
        try {
            rows.forEach(row -> transaction.executeWithoutResult(status -> mapper.keep(row)));
        } catch (DataAccessException | TransactionException exception) {
            LOG.debug("Results were not kept", exception);
        }
    }

    @Override
    public void destroy() throws InterruptedException {
        hand.shutdown();
        hand.awaitTermination(PATIENCE_S, TimeUnit.SECONDS);
    }
}
