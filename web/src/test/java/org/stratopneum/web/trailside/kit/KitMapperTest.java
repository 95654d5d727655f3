package org.stratopneum.web.trailside.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.web.rider.RiderMapper;
import org.stratopneum.web.support.RunningApplication;
import org.stratopneum.web.support.TestRider;

/** Bags on a real database: what it refuses, and whose they are. */
@ExtendWith(RunningApplication.class)
class KitMapperTest {

    private static final Instant THEN = Instant.parse("2026-04-01T08:00:00Z");

    private final KitMapper mapper;
    private final PlatformTransactionManager transactions;
    private final RiderMapper riders;
    private final JdbcTemplate jdbc;
    private TestRider rider;
    private UUID bike;

    KitMapperTest(KitMapper mapper, PlatformTransactionManager transactions, RiderMapper riders, JdbcTemplate jdbc) {
        this.mapper = mapper;
        this.transactions = transactions;
        this.riders = riders;
        this.jdbc = jdbc;
    }

    @BeforeEach
    void aBike() {
        rider = TestRider.make(transactions, riders);
        bike = UUID.randomUUID();
        rider.does(() -> jdbc.update(
                "insert into bike (id, name, posture, bike_kg, drop_school) values (?, 'Plover', 'MOUNTAIN', 13, 'GRIP')",
                bike));
    }

    private static Kit kit(UUID bike, int plugs, Double grams, int cartridges, Kit.Pump pump, int tubes, int version) {
        return new Kit(
                bike,
                THEN,
                plugs,
                4,
                tubes,
                1,
                1,
                1,
                4,
                4,
                1,
                1,
                cartridges,
                2,
                grams,
                0,
                true,
                Kit.Heads.BOTH,
                pump,
                Kit.Heads.PRESTA,
                pump == Kit.Pump.OWN ? 80.0 : null,
                pump == Kit.Pump.OWN ? 450.0 : null,
                tubes > 0 ? 47.0 : null,
                tubes > 0 ? 62.0 : null,
                tubes > 0 ? 622.0 : null,
                ValveKind.PRESTA,
                48.0,
                true,
                true,
                false,
                true,
                null,
                version);
    }

    @Test
    void aBagComesBackAsItWasKept() {
        Kit kept = kit(bike, 3, 16.0, 2, Kit.Pump.OWN, 1, 1);
        assertThat(rider.<Integer>asks(() -> mapper.insert(kept))).isEqualTo(1);
        Kit found = rider.asks(() -> mapper.of(bike).orElseThrow());
        assertThat(found).isEqualTo(kept);
        assertThat(found.countedAt().truncatedTo(ChronoUnit.SECONDS)).isEqualTo(THEN);
        assertThat(rider.<Integer>asks(() -> mapper.all().size())).isEqualTo(1);
    }

    @Test
    void aBagIsCountedOverTheLastCountOnly() {
        rider.does(() -> mapper.insert(kit(bike, 3, null, 0, null, 0, 0)));
        assertThat(rider.<Integer>asks(() -> mapper.insert(kit(bike, 9, null, 0, null, 0, 0))))
                .as("somebody was first")
                .isZero();
        assertThat(rider.<Integer>asks(() -> mapper.update(kit(bike, 2, null, 0, null, 0, 1))))
                .isEqualTo(1);
        assertThat(rider.<Integer>asks(() -> mapper.update(kit(bike, 7, null, 0, null, 0, 1))))
                .as("counted meanwhile")
                .isZero();
        assertThat(rider.<Integer>asks(() -> mapper.of(bike).orElseThrow().plugs()))
                .isEqualTo(2);
    }

    @Test
    void nobodySeesOrChangesAnothersBag() {
        rider.does(() -> mapper.insert(kit(bike, 3, null, 0, null, 0, 0)));
        TestRider other = TestRider.make(transactions, riders);
        assertThat(other.<Boolean>asks(() -> mapper.of(bike).isEmpty())).isTrue();
        assertThat(other.<Integer>asks(() -> mapper.update(kit(bike, 0, null, 0, null, 0, 1))))
                .isZero();
        assertThatThrownBy(() -> other.does(() -> mapper.insert(kit(bike, 0, null, 0, null, 0, 0))))
                .as("no such bike of theirs")
                .isInstanceOf(DataIntegrityViolationException.class);
    }

    @Test
    void theDatabaseKeepsWhatBelongsTogether() {
        assertThatThrownBy(() -> rider.does(() -> mapper.insert(kit(bike, 0, null, 2, null, 0, 0))))
                .as("cartridges without a size")
                .isInstanceOf(DataIntegrityViolationException.class);
        assertThatThrownBy(() -> rider.does(() -> mapper.insert(kit(bike, 100, null, 0, null, 0, 0))))
                .as("more than anybody carries")
                .isInstanceOf(DataIntegrityViolationException.class);
        assertThatThrownBy(() -> rider.does(() -> mapper.insert(kit(bike, 0, 200.0, 1, null, 0, 0))))
                .as("no such cartridge")
                .isInstanceOf(DataIntegrityViolationException.class);
    }

    @Test
    void theBagGoesWithItsBike() {
        rider.does(() -> mapper.insert(kit(bike, 3, null, 0, null, 0, 0)));
        rider.does(() -> jdbc.update("delete from bike where id = ?", bike));
        assertThat(rider.<Boolean>asks(() -> mapper.all().isEmpty())).isTrue();
    }
}
