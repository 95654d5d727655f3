package org.stratopneum.web.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** On which days of the past year the demo rider went to the shed with a gauge, and which wheels stood there. */
final class DemoVisits {

    private static final long SEED = 406_507;

    /** The last month is laid out by hand: it is what a visitor sees (days before today, oldest first). */
    private static final List<List<Integer>> LAST_MONTH = List.of(
            List.of(30, 27, 25, 22, 19, 16, 13, 12, 9, 7, 5, 1),
            List.of(29, 22, 15, 8, 2),
            List.of(28, 24, 20, 17, 13, 10, 6, 3));

    /** Shortest pause between two visits to a bike (days), and how much longer it may be. */
    private static final int[] PAUSE = {2, 6, 3};

    private static final int[] LONGER = {3, 3, 4};
    private static final int FIRST = 365;
    private static final int MONTH = 32;

    /** The bike that has two pairs of wheels, and the days on which they were changed (days before today). */
    private static final int SUMMER = 3;

    private static final int WINTER = 4;
    private static final int WINTER_IN = 331;
    private static final int SUMMER_IN = 256;

    private DemoVisits() {}

    /** @return days before today on which {@code bike} was visited, oldest first */
    static List<Integer> of(int bike) {
        Random random = new Random(SEED + bike);
        List<Integer> days = new ArrayList<>();
        int day = FIRST;
        while (day > MONTH) {
            days.add(day);
            day -= PAUSE[bike - 1] + random.nextInt(LONGER[bike - 1]);
        }
        days.addAll(LAST_MONTH.get(bike - 1));
        return days;
    }

    /** Whether {@code wheelset} was in its bike {@code daysAgo}. */
    static boolean isIn(int wheelset, int daysAgo) {
        boolean winter = daysAgo <= WINTER_IN && daysAgo > SUMMER_IN;
        return switch (wheelset) {
            case SUMMER -> !winter;
            case WINTER -> winter;
            default -> true;
        };
    }

    /** Days before today on which {@code wheelset} was put in, oldest first. */
    static List<Integer> mounts(int wheelset) {
        return switch (wheelset) {
            case SUMMER -> List.of(FIRST + 5, SUMMER_IN);
            case WINTER -> List.of(WINTER_IN);
            default -> List.of(FIRST + 5);
        };
    }
}
