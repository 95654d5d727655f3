package org.stratopneum.web.platform.drawing;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Which drawing of a part, or of a hand on it, goes with a step of a job and with a check of a leak search. The drawings
 * stand in the file parts.svg, by their names; each has its words in the messages.
 */
public final class PartSymbols {

    /** In each line a drawing, and the steps it goes with; one that ends in a star stands for all that begin so. */
    private static final Map<String, String> OF_STEP = read("""
            battery battery-*
            wheel-out wheel-off* small-sprocket
            wheel-in wheel-in*
            brake brake-* pad-spacer spacer-out
            air-out air-out* mend-air-out let-down dip-let-out refresh-stand tube-empty let-out-now far-above* gas-home cartridge-release
            channel beads-in-channel bead-loose* insert-lever no-force second-bead second-bead-tube beads-down-again first-bead-still-on close-stretch close-at-valve dip-by-hand
            bead-off first-bead-off second-bead-off bead-lifts* bead-over-table bead-break open-stretch open-at-valve turn-round second-bead-part inside-lumps look-open
            lever lever-at-valve two-levers one-lever bead-over*
            bead first-bead beads-wetted bead-up bead-stays chamber-up fell-off-normal seat-finish seated-pressure extra-turn shot-of valve-between sew-seat
            line line* half-air seat-after-tape
            tape tape-one-side tape-other-side tape-second-turn tape-pull tape-covers* tape-again tape-rub tape-sound tape-after-levers tape-off look-tape clean-tape* tape-in-sight rim-strip strip-in tape-cut*
            tape-start tape-start-*
            spoke-hole bed-clean bed-dry tube-rimside
            valve valve-for-insert valve-taken-out valve-in-hole valve-in-place new-valve-ready look-valve side-holes insert-easier valve-up* hole-sound look-hole-edge look-edge-filed valve-hole label-at-valve
            valve-base valve-press valve-spacer ring-on ring-off
            nut nut* valve-turn tip-* gas-tip cap-* adapter-on
            core core-* pin-straight whole-valve valve-quiet other-tube use-other-tube thumb-and-core stem-* clean-valve
            inject inject* fill-* sealant-in-before-core sealant-ml tube-sealant-ml what-tube-sealant-closes
            pour pour* sealant-in-before-closing bottle-shake*
            shake shake* refresh-rattles settle-liquid
            listen listen*
            dip dip-stand dip-first dip-depth* dip-up dip-now
            pump seat-pump seat-core-out inflate-* pump-up set-riding before-air* tube-breath tube-round boot-riding boot-half head-fits seat-strap
            gauge pressure-* hold-start hold-end look-pressure riding-pressure reseated-pressure thumb-pressure thumb-on-target thumb-too-* thumb-not-told hold-at-riding hold-to-riding
            chamber chamber-charge before-compressor seat-compressor
            cartridge cartridge cartridge-live gas-head cartridge-off cartridge-warm
            soap seat-soap seat-wetted dip-soap dip-inflate bead-soap plug-holds tube-nearly
            insert insert-*
            tube tube-in tube-out tube-free tube-unpatched tube-pinched core-trial
            tube-hole tube-mark tube-hole tube-outside tube-stem tube-slits tube-on-bench tube-large
            patch patch-on patch-holds patch-sets look-patches tube-patch
            glue patch-glue* tube-glue* tube-rough patch-rough sew-outside sew-outside-sets
            plug plug-* look-plug
            boot boot-*
            cut look-cut threads-cut sew-where look-flanks
            object object-* hole-object look-pull thorns-out inside-by-cloth look-inside hole-size
            tread look-worn look-tread
            arrow arrow*
            axle axle-tight tighten-axle
            wheel look-spin runs-true hole-down hole-closed
            wait hold-wait insert-dries clean-dry unfold settle-days
            gloves apron
            rim-look rim-sound look-rim rim-there dent-crack dent-first
            dent dent-*
            tire-look tire-sound look-traces look-where old-sealant
            needle sew-*
            thumb thumb
            tub tube-test tube-tight
            lay-flat lay-on-each-side settle-left* settle-right*
            cloth tire-wiped scrub beads-wiped clean-* patch-clean bead-rub
            mark bead-mark
            ride ride-few-km
            """);

    /** The same of the checks of a leak search. */
    private static final Map<String, String> OF_CHECK = read("""
            tire-look look-over
            gauge compare-gauge
            shake shake
            bubbles spray soap-flank
            soap soap-tread
            object wet-object
            core soap-valve-tip
            nut wiggle-nut
            bead soap-bead
            spoke-hole soap-nipples
            dip dip
            rim-look look-rim
            tub tub tube-in-water
            wait hold-test
            bead-off tire-off
            """);

    /** The same of what is seen at a check; what shows nothing has no drawing. */
    private static final Map<String, String> OF_ANSWER = read("""
            bubbles bubbles bubbles-near-valve flank-many flank-one one-spot white-dots wet-spot
            object object
            cut cut nicked
            core valve-tip
            valve valve-foot valve loose
            soap tread
            bead bead
            line line-dips
            spoke-hole spoke-holes nipples
            dent dent
            rim-look crack
            tape lifted
            shake slosh
            dip plenty low
            tube-hole inner-side outer-side slits
            """);

    /** The same of the steps beside the trail that are not drawn as a wheel by the clock. */
    private static final Map<String, String> OF_RUNG = read("""
            pump core-air core-spare-air bead-air bead-top-up air-and-watch tube-air* again-air* pump-on
            tire-look find-hole
            core core-tighten
            bead bead-push
            boot boot-*
            wheel-out wheel-out
            valve valve-out
            tube-hole tube-look
            cloth feel-thorns
            tube tube-in tube-second
            patch tube-patch*
            thumb feel
            ride walk
            """);

    private PartSymbols() {}

    private static Map<String, String> read(String table) {
        Map<String, String> symbols = new LinkedHashMap<>();
        table.lines()
                .map(line -> List.of(line.split(" ")))
                .forEach(words -> words.stream().skip(1).forEach(code -> symbols.put(code, words.get(0))));
        return Map.copyOf(symbols);
    }

    /** @param step what names the wording of a step; empty where nothing is drawn for it */
    public static Optional<String> ofStep(String step) {
        return found(OF_STEP, step);
    }

    /** @param check the code of a check */
    public static Optional<String> ofCheck(String check) {
        return found(OF_CHECK, check);
    }

    /** @param answer the code of what is seen at a check */
    public static Optional<String> ofAnswer(String answer) {
        return found(OF_ANSWER, answer);
    }

    /** @param rung the code of a step beside the trail; empty where the wheel is drawn by the clock */
    public static Optional<String> ofRung(String rung) {
        return found(OF_RUNG, rung);
    }

    /** The step itself before those that it begins like, and of these the longest. */
    private static Optional<String> found(Map<String, String> symbols, String code) {
        if (symbols.containsKey(code)) {
            return Optional.of(symbols.get(code));
        }
        for (int end = code.length(); end > 0; end--) {
            String symbol = symbols.get(code.substring(0, end) + "*");
            if (symbol != null) {
                return Optional.of(symbol);
            }
        }
        return Optional.empty();
    }

    /** Every drawing that goes with something. */
    public static List<String> all() {
        return Stream.of(OF_STEP, OF_CHECK, OF_ANSWER, OF_RUNG)
                .flatMap(table -> table.values().stream())
                .distinct()
                .sorted()
                .toList();
    }
}
