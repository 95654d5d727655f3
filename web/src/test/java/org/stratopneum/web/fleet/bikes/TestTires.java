package org.stratopneum.web.fleet.bikes;

import java.time.Instant;
import java.util.List;
import java.util.UUID;

/** Wheels and tires as the log would tell of them. */
public final class TestTires {

    public static final UUID BIKE = UUID.fromString("00000000-0000-4000-8000-000000000001");
    public static final UUID OTHER_BIKE = UUID.fromString("00000000-0000-4000-8000-000000000002");
    public static final UUID SUMMER_REAR = UUID.fromString("00000000-0000-4000-8000-000000000011");
    public static final UUID SUMMER_FRONT = UUID.fromString("00000000-0000-4000-8000-000000000012");
    public static final UUID WINTER_REAR = UUID.fromString("00000000-0000-4000-8000-000000000013");
    public static final UUID FIRST_TIRE = UUID.fromString("00000000-0000-4000-8000-000000000021");
    public static final UUID SECOND_TIRE = UUID.fromString("00000000-0000-4000-8000-000000000022");
    public static final Instant SPRING = Instant.parse("2025-03-01T10:00:00Z");
    public static final Instant SUMMER = Instant.parse("2025-06-01T10:00:00Z");
    public static final Instant WINTER = Instant.parse("2025-11-01T10:00:00Z");
    private static final UUID SUMMER_SET = UUID.fromString("00000000-0000-4000-8000-000000000031");
    private static final UUID WINTER_SET = UUID.fromString("00000000-0000-4000-8000-000000000032");

    private TestTires() {}

    /**
     * Plover with summer wheels from spring and a winter wheel from winter on; one tire at the rear from spring, none for
     * a moment in summer, another one from then on. Plover Two has no wheels of its own but a front one.
     */
    public static FittedTires plover() {
        return new FittedTires(
                List.of(
                        new FittedTires.Wheel(SUMMER_REAR, BIKE, SUMMER_SET, WheelPosition.REAR, "Plover", "Summer"),
                        new FittedTires.Wheel(SUMMER_FRONT, BIKE, SUMMER_SET, WheelPosition.FRONT, "Plover", "Summer"),
                        new FittedTires.Wheel(WINTER_REAR, BIKE, WINTER_SET, WheelPosition.REAR, "Plover", "Winter"),
                        new FittedTires.Wheel(
                                UUID.randomUUID(),
                                OTHER_BIKE,
                                UUID.randomUUID(),
                                WheelPosition.FRONT,
                                "Plover Two",
                                "Own")),
                List.of(
                        new FittingMapper.Change(SUMMER_REAR, SPRING, FIRST_TIRE),
                        new FittingMapper.Change(SUMMER_REAR, SUMMER, null),
                        new FittingMapper.Change(SUMMER_REAR, SUMMER.plusSeconds(600), SECOND_TIRE)),
                List.of(
                        new FittingMapper.Mounting(BIKE, SPRING, SUMMER_SET),
                        new FittingMapper.Mounting(BIKE, WINTER, WINTER_SET)));
    }

    /**
     * Plover with one tire: at the summer rear from spring, off for ten minutes in summer, off for good in winter, and on
     * the winter wheel from then on.
     */
    public static FittedTires wandering() {
        return new FittedTires(
                plover().wheels(),
                List.of(
                        new FittingMapper.Change(SUMMER_REAR, SPRING, FIRST_TIRE),
                        new FittingMapper.Change(SUMMER_REAR, SUMMER, null),
                        new FittingMapper.Change(SUMMER_REAR, SUMMER.plusSeconds(600), FIRST_TIRE),
                        new FittingMapper.Change(SUMMER_REAR, WINTER, null),
                        new FittingMapper.Change(WINTER_REAR, WINTER, FIRST_TIRE)),
                List.of(
                        new FittingMapper.Mounting(BIKE, SPRING, SUMMER_SET),
                        new FittingMapper.Mounting(BIKE, WINTER, WINTER_SET)));
    }
}
