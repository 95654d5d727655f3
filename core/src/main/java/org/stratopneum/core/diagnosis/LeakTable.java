package org.stratopneum.core.diagnosis;

/**
 * The table that the leak finder reasons with: our judgement from common practice, no source. It is read as it stands, so
 * that a number is changed here and nowhere else. In each block of a check the first line names it, its minutes and its
 * mess, and its answers; a line for a cause says how likely each answer is there, and "others" speaks for all causes that
 * have no line. "caution" says what can hurt whoever looks, "caution-if" what can by what was seen;
 * "overnight" that the wheel stands for a night meanwhile. "repeat" says that a check may be made again after a mending in
 * vain, "bubbles-only" that a leak which shows only when ridden, warm or at another pressure is not seen there; "sign" which
 * cause an answer points at, "own" which checks tell of a cause, the usual one first.
 */
final class LeakTable {

    static final String TUBELESS = """
            # cause, prior, minutes of the fix without its hold test
            cause normal .10 1
            cause new-settling .06 5
            cause sealant-low .17 8
            cause core .12 6
            cause valve-base .08 10
            cause bead .10 12
            cause sidewall .07 10
            cause tape .09 45
            cause tread-hole .13 6
            cause cut .04 20
            cause rim-dent .03 15
            # stop, and have it inspected
            cause rim-crack .01 10

            # what is known multiplies the prior
            known sealant-old sealant-low 6 new-settling .03 normal .5
            known new-setup new-settling 8 tape 2 bead 2 valve-base 2 sealant-low .1 tread-hole .2 rim-dent .2 rim-crack .3
            known not-new-setup new-settling .1
            known hit rim-dent 15 rim-crack 15 bead 4 normal .3 new-settling .05
            known lever tape 10 valve-base 2 bead 2 normal .2
            known ridden-low bead 6
            known co2 normal 4
            known casing-not-tubeless sidewall 4
            known insert valve-base 1.5
            # no hole lies under a sealed bed, but for the valve's
            known bed-sealed tape .05
            known rate-normal normal 6 new-settling 2 tape .5 cut .3
            known rate-leak normal .02
            known rate-fast normal .001 new-settling .1 sealant-low .4 tape 2 cut 4 tread-hole 1.5 core 1.2

            check look-over 2 0 clear object wet-spot white-dots cut
            caution ROTATING
            caution-if cut CASING_CUT
            tread-hole .10 .47 .33 .05 .05
            cut .11 .02 .11 .02 .74
            sidewall .47 .03 .03 .44 .03
            new-settling .47 .03 .03 .44 .03
            others .88 .03 .03 .03 .03

            check compare-gauge 2 0 clear differs
            caution none
            normal .4 .6
            others .9 .1

            check shake 1 0 slosh silent rattle
            caution none
            sealant-low .05 .60 .35
            others .65 .30 .05

            check spray 2 .5 clear valve-tip valve-foot tread flank-many flank-one bead spoke-holes
            caution CEILING
            caution-if spoke-holes RIM_CAVITY
            repeat
            bubbles-only
            core .20 .73 .03 .01 .01 .00 .01 .01
            valve-base .25 .04 .50 .01 .01 .00 .02 .17
            bead .22 .01 .01 .01 .02 .01 .70 .02
            sidewall .20 .01 .01 .01 .68 .07 .01 .01
            new-settling .33 .01 .01 .02 .49 .01 .12 .01
            tape .25 .02 .05 .01 .01 .00 .02 .64
            tread-hole .20 .01 .01 .74 .01 .01 .01 .01
            cut .12 .01 .01 .52 .03 .29 .01 .01
            rim-dent .28 .01 .01 .01 .01 .00 .64 .04
            rim-crack .45 .01 .02 .01 .01 .00 .05 .45
            sealant-low .58 .04 .02 .11 .10 .02 .09 .04
            normal .94 .01 .01 .01 .01 .00 .01 .01

            check soap-tread 4 0 clear bubbles
            caution ROTATING
            repeat
            bubbles-only
            tread-hole .12 .88
            cut .35 .65
            sealant-low .88 .12
            others .96 .04

            check wet-object 1 0 clear bubbles
            caution SEALANT
            bubbles-only
            tread-hole .12 .88
            cut .30 .70
            others .95 .05

            check soap-valve-tip 1 0 clear bubbles
            caution none
            repeat
            bubbles-only
            core .10 .90
            others .97 .03

            check wiggle-nut 3 0 clear loose bubbles
            caution none
            repeat
            valve-base .13 .32 .55
            others .94 .03 .03

            check soap-bead 5 0 clear bubbles line-dips
            caution CEILING
            repeat
            bubbles-only
            bead .10 .70 .20
            new-settling .70 .25 .05
            rim-dent .30 .60 .10
            others .90 .05 .05

            check soap-flank 4 0 clear bubbles one-spot
            caution none
            repeat
            bubbles-only
            sidewall .10 .80 .10
            new-settling .25 .70 .05
            cut .60 .05 .35
            others .94 .03 .03

            check soap-nipples 5 0 clear bubbles bubbles-near-valve
            caution RIM_CAVITY
            caution-if bubbles RIM_CAVITY
            caution-if bubbles-near-valve RIM_CAVITY
            repeat
            bubbles-only
            tape .15 .75 .10
            valve-base .50 .10 .40
            rim-crack .40 .55 .05
            others .94 .03 .03

            check dip 6 1 plenty low dry
            caution SEALANT
            sealant-low .03 .50 .47
            others .70 .25 .05

            check look-rim 3 0 clear dent crack
            caution CRACKED_RIM
            caution-if crack CRACKED_RIM
            caution-if dent CRACKED_RIM
            rim-dent .10 .88 .02
            rim-crack .20 .05 .75
            others .94 .05 .01

            check tub 10 3 clear valve tread flank bead nipples
            caution CEILING
            caution-if nipples RIM_CAVITY
            repeat
            bubbles-only
            core .07 .89 .01 .01 .01 .01
            valve-base .10 .60 .01 .01 .01 .27
            bead .10 .01 .01 .01 .86 .01
            sidewall .10 .01 .01 .86 .01 .01
            new-settling .20 .01 .01 .60 .17 .01
            tape .12 .06 .01 .01 .01 .79
            tread-hole .12 .01 .84 .01 .01 .01
            cut .05 .01 .60 .32 .01 .01
            rim-dent .15 .01 .01 .01 .80 .02
            rim-crack .15 .01 .01 .01 .05 .77
            sealant-low .60 .05 .10 .10 .10 .05
            normal .95 .01 .01 .01 .01 .01

            check hold-test 3 6 passed failed
            caution CEILING
            overnight
            normal .90 .10
            new-settling .30 .70
            others .07 .93

            check tire-off 40 10 clear nicked lifted object dried
            caution LEVERS
            tape .10 .49 .39 .01 .01
            tread-hole .20 .01 .01 .75 .03
            cut .15 .01 .01 .80 .03
            sealant-low .20 .01 .01 .03 .75
            others .90 .02 .02 .03 .03

            sign look-over object tread-hole
            sign look-over wet-spot tread-hole
            sign look-over cut tread-hole
            sign wet-object bubbles tread-hole
            sign spray tread tread-hole
            sign tub tread tread-hole
            sign soap-tread bubbles tread-hole
            sign spray flank-one tread-hole
            sign soap-flank one-spot tread-hole
            sign soap-valve-tip bubbles core
            sign spray valve-tip core
            sign wiggle-nut loose valve-base
            sign wiggle-nut bubbles valve-base
            sign spray valve-foot valve-base
            sign soap-bead bubbles bead
            sign soap-bead line-dips bead
            sign spray bead bead
            sign tub bead bead
            sign look-rim dent bead
            sign soap-flank bubbles sidewall
            sign spray flank-many sidewall
            sign tub flank sidewall
            sign look-over white-dots sidewall
            sign soap-nipples bubbles tape
            sign soap-nipples bubbles-near-valve tape
            sign spray spoke-holes tape
            sign tub nipples tape
            sign shake rattle sealant-low
            sign dip low sealant-low
            sign dip dry sealant-low
            sign look-rim crack rim-crack

            own normal compare-gauge hold-test
            own sidewall soap-flank spray tub look-over
            own sealant-low shake dip
            own core soap-valve-tip spray tub
            own valve-base wiggle-nut spray tub
            own bead soap-bead spray tub
            own tape soap-nipples spray tub
            own tread-hole soap-tread spray tub wet-object
            own rim-crack look-rim

            # an object is wetted where one was seen
            after wet-object look-over object

            # nobody opens a tire before one of these points there
            after tire-off spray spoke-holes
            after tire-off soap-nipples bubbles
            after tire-off soap-nipples bubbles-near-valve
            after tire-off tub nipples
            after tire-off look-over cut
            after tire-off lever
            """;

    static final String TUBE = """
            cause tube-object .45 15
            cause tube-pinch .25 15
            cause tube-rimside .12 15
            # tightened or renewed with the tube in its place
            cause tube-core .11 2
            cause tube-stem .07 15

            known hit tube-pinch 4
            known ridden-low tube-pinch 4
            known new-tape tube-rimside 3

            check look-over 2 0 clear object
            caution ROTATING
            tube-object .5 .5
            others .95 .05

            check soap-valve-tip 1 0 clear bubbles
            caution none
            repeat
            tube-core .15 .85
            tube-stem .90 .10
            others .97 .03

            check tube-in-water 15 2 clear slits inner-side outer-side valve
            caution none
            tube-pinch .03 .88 .03 .03 .03
            tube-rimside .03 .03 .88 .03 .03
            tube-object .03 .03 .03 .88 .03
            tube-stem .03 .03 .03 .03 .88
            tube-core .35 .02 .02 .02 .59
            """;

    private LeakTable() {}
}
