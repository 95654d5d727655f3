package org.stratopneum.web.trailside.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.core.trailside.Charge;
import org.stratopneum.core.trailside.KitItem;
import org.stratopneum.core.trailside.PumpSort;
import org.stratopneum.web.log.TrailMend.BagLeft;
import org.stratopneum.web.platform.wording.FormReader;
import org.stratopneum.web.platform.wording.Units;

/** A bag as it was counted and as a stop left it; and its form, there and back. */
class KitStandingTest {

    private static final Units UNITS = Units.metric(PressureUnit.PSI);
    private static final UUID BIKE = UUID.fromString("00000000-0000-4000-8000-000000000001");
    private static final Instant NOW = Instant.parse("2026-05-01T10:00:00Z");

    private static Kit read(Map<String, String> typed) {
        FormReader reader = new FormReader(typed);
        return KitForm.read(reader, BIKE, null, 0, UNITS, NOW)
                .orElseThrow(() -> new AssertionError(reader.problems().list()));
    }

    private static Map<String, String> full() {
        Map<String, String> typed = new HashMap<>();
        typed.put("plugs", "3");
        typed.put("plugsWant", "4");
        typed.put("plugTool", "on");
        typed.put("tubes", "1");
        typed.put("tubesWant", "1");
        typed.put("tubeMin", "47");
        typed.put("tubeMax", "62.5");
        typed.put("tubeBsd", "622");
        typed.put("tubeValve", "PRESTA");
        typed.put("tubeValveLength", "48");
        typed.put("boots", "1");
        typed.put("patches", "6");
        typed.put("cores", "1");
        typed.put("cartridges", "2");
        typed.put("cartridgesWant", "3");
        typed.put("cartridgeG", "16");
        typed.put("opened", "25");
        typed.put("headShuts", "on");
        typed.put("head", "BOTH");
        typed.put("pump", "OWN");
        typed.put("pumpHead", "SCHRADER");
        typed.put("pumpStroke", "95");
        typed.put("pumpMost", "65");
        typed.put("sealant", "60");
        return typed;
    }

    @Test
    void theFormComesBackAsItWasTyped() {
        Kit kit = read(full());
        Map<String, String> shown = KitForm.texts(new KitState(kit, null, null), UNITS);
        full().forEach((field, text) -> {
            if (List.of("pumpMost", "sealant").contains(field)) {
                assertThat(Double.parseDouble(shown.get(field)))
                        .as(field)
                        .isCloseTo(Double.parseDouble(text), within(1e-9));
            } else {
                assertThat(shown.get(field)).as(field).isEqualTo(text);
            }
        });
        Map<String, String> again = new HashMap<>(shown);
        assertThat(read(again)).usingRecursiveComparison().isEqualTo(kit);
    }

    @Test
    void anEmptyFormIsAnEmptyBag() {
        Kit kit = read(Map.of());
        for (KitItem item : KitItem.values()) {
            assertThat(kit.have(item)).isZero();
            assertThat(kit.want(item)).isZero();
        }
        assertThat(kit.bag().charges()).isEmpty();
        assertThat(kit.handPump()).isNull();
        assertThat(kit.tube()).isNull();
    }

    @Test
    void openedCartridgesAreEmptiedFirstAndPlugsWithoutTheirToolAreNoPlugs() {
        Kit kit = read(full());
        assertThat(kit.bag().charges()).containsExactly(new Charge(16, 0.25), new Charge(16, 1), new Charge(16, 1));
        assertThat(kit.bag().counts()).containsEntry(KitItem.PLUG, 3);
        Map<String, String> toolless = full();
        toolless.remove("plugTool");
        assertThat(read(toolless).bag().counts()).containsEntry(KitItem.PLUG, 0);
        assertThat(new KitState(read(toolless), null, null).have(KitItem.PLUG)).isEqualTo(3);
    }

    @Test
    void aMeasuredPumpAndOneOfASort() {
        assertThat(read(full()).handPump().strokeMl()).isEqualTo(95);
        assertThat(read(full()).handPump().most().in(PressureUnit.PSI)).isCloseTo(65, within(1e-9));
        Map<String, String> sort = full();
        sort.put("pump", "THICK");
        assertThat(read(sort).handPump()).isEqualTo(PumpSort.THICK.pump());
        assertThat(read(full()).tubeValve()).isEqualTo(ValveKind.PRESTA);
    }

    @Test
    void whatAStopLeftStandsInsteadOfWhatWasCounted() {
        Kit kit = read(full());
        BagLeft left = new BagLeft(2, 0, 1, 6, 1, List.of(new Charge(16, 0.4), new Charge(16, 1)));
        KitState standing = new KitState(kit, left, NOW.plusSeconds(60));

        assertThat(standing.have(KitItem.PLUG)).isEqualTo(2);
        assertThat(standing.have(KitItem.TUBE)).isZero();
        assertThat(standing.have(KitItem.GAS)).isEqualTo(1);
        assertThat(standing.openedLeft()).isEqualTo(0.4);
        assertThat(standing.missing())
                .containsOnly(Map.entry(KitItem.PLUG, 2), Map.entry(KitItem.TUBE, 1), Map.entry(KitItem.GAS, 2));
        assertThat(standing.bag().charges()).containsExactly(new Charge(16, 0.4), new Charge(16, 1));
        assertThat(standing.bag().pump()).isEqualTo(kit.handPump());
    }

    @Test
    void whatIsMissingIsNeverLessThanNothingAndFillsUpExactly() {
        Random random = new Random(57);
        for (int i = 0; i < 200; i++) {
            Map<String, String> typed = full();
            for (String field : List.of("plugs", "boots", "patches", "cores", "cartridges")) {
                typed.put(field, String.valueOf(random.nextInt(6)));
                typed.put(field + KitForm.WANT, String.valueOf(random.nextInt(6)));
            }
            KitState standing = new KitState(read(typed), null, null);
            for (KitItem item : Kit.COUNTED) {
                int missing = standing.missing().getOrDefault(item, 0);
                int want = standing.kit().want(item);
                assertThat(missing).isNotNegative();
                assertThat(standing.have(item) + missing).isEqualTo(Math.max(want, standing.have(item)));
            }
        }
    }
}
