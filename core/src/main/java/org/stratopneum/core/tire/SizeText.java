package org.stratopneum.core.tire;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.stratopneum.core.check.InvalidInputException;

/**
 * Reads a size as people type it off a tire: 57-622, 29x2.25, 700x40C, 27.5 x 2.4, 26 x 1 3/8. Where a designation of
 * ISO 5775-1 stands among other text, it counts and the rest does not. A width in inches becomes the nearest whole
 * millimetre, which can differ by some from what the tire prints.
 */
public final class SizeText {

    private static final String MULTIPLICATION = "\\s*[x-]\\s*";
    private static final Pattern ISO = Pattern.compile("(?<![\\d.])(\\d{2,3}(?:\\.\\d)?)\\s*-\\s*(\\d{3})(?![\\d.])");
    private static final Pattern ISO_TURNED_ROUND =
            Pattern.compile("(?<![\\d.])([1-7]\\d{2})" + MULTIPLICATION + "(\\d{2,3}(?:\\.\\d)?)(?![\\d.])");
    private static final Pattern FRENCH = Pattern.compile(
            "(?<![\\d.])(\\d00|\\d50)\\s*([abcd])?" + MULTIPLICATION + "(\\d{2,3}(?:\\.\\d)?)\\s*([abcd])?\\b.*");
    private static final String WHEEL = "(?<![\\d.])(12 1/2|\\d{2}(?:\\.5)?)(?:er|\\+)?\\s*x\\s*";
    private static final Pattern DECIMAL = Pattern.compile(WHEEL + "(\\d(?:\\.\\d{1,3})?)(?![\\d/]|[ -]*\\d/).*");
    private static final String FRACTION = "(?:(\\d)[\\s-]+)?(\\d)/(\\d{1,2})";
    private static final Pattern FRACTIONAL =
            Pattern.compile(WHEEL + FRACTION + "(?:\\s*x\\s*" + FRACTION + ")?(?!\\d).*");
    private static final Pattern WHOLE = Pattern.compile(WHEEL + "1(?![\\d./]|[ -]*\\d/).*");
    private static final double MM_PER_INCH = 25.4;
    private static final int LONGEST = 60;

    private SizeText() {}

    /**
     * @param typed what was typed, or null
     * @return the one size that it means; several where it does not tell, each once; none where it cannot be read
     */
    public static List<TireSize> read(String typed) {
        if (typed == null || typed.length() > LONGEST) {
            return List.of();
        }
        String text = plain(typed);
        return Stream.<Optional<List<TireSize>>>of(
                        iso(text), french(text), turnedRound(text), whole(text), decimal(text), fractional(text))
                .flatMap(Optional::stream)
                .findFirst()
                .orElse(List.of());
    }

    private static String plain(String typed) {
        StringBuilder spaced = new StringBuilder();
        for (int i = 0; i < typed.length(); i++) {
            char c = typed.charAt(i);
            // a vulgar fraction keeps its distance from the whole before it
            if (Character.getType(c) == Character.OTHER_NUMBER) {
                spaced.append(' ');
            }
            spaced.append(c);
        }
        return Normalizer.normalize(spaced, Normalizer.Form.NFKC)
                .toLowerCase(Locale.ROOT)
                .replace('\u2044', '/')
                .replaceAll("[\u00d7*\u0445]", "x")
                .replaceAll("[\u2010-\u2015\u2212]", "-")
                .replaceAll("(?<=\\d),(?=\\d)", ".")
                .replaceAll("(?<=[\\d\\s])(?:\"|''|'|\u2032\u2032|\u2033|\u201d|inch(?:es)?|in\\b|mm\\b)", " ")
                .replaceAll("\\s+", " ")
                .strip();
    }

    private static Optional<List<TireSize>> iso(String text) {
        Matcher found = ISO.matcher(text);
        return found.find()
                ? sizes(number(found.group(1)), List.of(Integer.valueOf(found.group(2))))
                : Optional.empty();
    }

    private static Optional<List<TireSize>> turnedRound(String text) {
        Matcher found = ISO_TURNED_ROUND.matcher(text);
        return found.matches()
                ? sizes(number(found.group(2)), List.of(Integer.valueOf(found.group(1))))
                : Optional.empty();
    }

    private static Optional<List<TireSize>> french(String text) {
        Matcher found = FRENCH.matcher(text);
        if (!found.matches()) {
            return Optional.empty();
        }
        String letter = Optional.ofNullable(found.group(2))
                .or(() -> Optional.ofNullable(found.group(4)))
                .orElse("");
        return sizes(number(found.group(3)), InchSizes.french(found.group(1), letter));
    }

    private static Optional<List<TireSize>> decimal(String text) {
        Matcher found = DECIMAL.matcher(text);
        return found.matches()
                ? sizes(Math.round(number(found.group(2)) * MM_PER_INCH), InchSizes.decimal(wheel(found)))
                : Optional.empty();
    }

    /** A width of one inch is a fraction without its fraction. */
    private static Optional<List<TireSize>> whole(String text) {
        Matcher found = WHOLE.matcher(text);
        return found.matches() ? Optional.of(InchSizes.fractional(wheel(found), 1, 1)) : Optional.empty();
    }

    private static Optional<List<TireSize>> fractional(String text) {
        Matcher found = FRACTIONAL.matcher(text);
        if (!found.matches()) {
            return Optional.empty();
        }
        double rim = inches(found, 2);
        double width = found.group(6) == null ? rim : inches(found, 5);
        return Optional.of(InchSizes.fractional(wheel(found), rim, width));
    }

    private static double inches(Matcher found, int group) {
        double whole = found.group(group) == null ? 0 : number(found.group(group));
        return whole + number(found.group(group + 1)) / number(found.group(group + 2));
    }

    private static String wheel(Matcher found) {
        return found.group(1).replace(" 1/2", ".5");
    }

    private static double number(String text) {
        return Double.parseDouble(text);
    }

    /** Empty where no bicycle tire has such numbers. */
    private static Optional<List<TireSize>> sizes(double widthMm, List<Integer> beadSeatDiametersMm) {
        try {
            return Optional.of(beadSeatDiametersMm.stream()
                    .map(diameter -> new TireSize(widthMm, diameter))
                    .toList());
        } catch (InvalidInputException exception) {
            return Optional.empty();
        }
    }
}
