package org.stratopneum.web.sealant;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;
import org.stratopneum.core.quantity.RiderUnit;
import org.stratopneum.core.sealant.DoseSchool;
import org.stratopneum.core.sealant.SealantDose;
import org.stratopneum.web.platform.wording.Numbers;
import org.stratopneum.web.platform.wording.QuantityText;
import org.stratopneum.web.platform.wording.Wording;
import org.stratopneum.web.rider.Rider;

/** Says how much sealant goes into a tire: by the three schools, the habits beside them, and what the maker says. */
@Component
class DoseWording {

    /** Where the habits beside the schools are met: in tires narrower than this (mm; common practice). */
    private static final double ROAD_BELOW_MM = 35;

    private static final int HALVES = 2;

    private final Wording wording;

    DoseWording(Wording wording) {
        this.wording = wording;
    }

    List<SealantPage.Dose> table(WheelSealant liquid, Rider rider) {
        List<SealantPage.Dose> table = new ArrayList<>();
        boolean maker = liquid.care().makerMl() != null;
        for (DoseSchool school : DoseSchool.values()) {
            table.add(row(
                    wording.of("dose", school),
                    school.filmMm(),
                    liquid.dose(school).roundedMl(),
                    !maker && school == liquid.care().dose(),
                    rider));
        }
        if (liquid.section().inflatedWidth().mm() < ROAD_BELOW_MM) {
            for (SealantDose.Habit habit : SealantDose.Habit.values()) {
                double ml = SealantDose.roundedMl(habit.ml(liquid.section()));
                table.add(row(wording.of("habit", habit), habit.filmMm(), ml, false, rider));
            }
        }
        if (maker) {
            double ml = liquid.care().makerMl();
            table.add(
                    row(wording.text("sealant.dose.maker"), SealantDose.filmMm(liquid.section(), ml), ml, true, rider));
        }
        return table;
    }

    private SealantPage.Dose row(String name, double filmMm, double ml, boolean chosen, Rider rider) {
        return new SealantPage.Dose(
                name,
                Numbers.fixed(filmMm, 2) + " mm",
                QuantityText.text(ml, rider.volumeUnit()),
                QuantityText.text(ml, other(rider.volumeUnit())),
                scoops(ml, rider),
                chosen);
    }

    private static RiderUnit other(RiderUnit unit) {
        return unit == RiderUnit.FL_OZ ? RiderUnit.ML : RiderUnit.FL_OZ;
    }

    /** In halves of the rider's own scoop; empty where they have none. */
    String scoops(double ml, Rider rider) {
        if (rider.scoopMl() == null) {
            return "";
        }
        double scoops = Math.max(1, Math.round(HALVES * ml / rider.scoopMl())) / (double) HALVES;
        String number = Numbers.upTo(Math.floor(scoops), 0) + (scoops == Math.floor(scoops) ? "" : "½");
        return wording.text(
                "sealant.scoops",
                number.startsWith("0") ? "½" : number,
                QuantityText.size(rider.scoopMl(), rider.volumeUnit()));
    }

    /** What comes on top, what the least is, and how the maker's figure compares. */
    List<String> said(WheelSealant liquid, Rider rider) {
        List<String> said = new ArrayList<>();
        if (!liquid.extras().tubelessCasing()) {
            said.add(wording.text("sealant.extra.casing"));
        }
        if (liquid.extras().insert()) {
            said.add(wording.text("sealant.extra.insert"));
        }
        said.add(wording.text("sealant.extra.new"));
        if (liquid.care().makerMl() != null) {
            double school = liquid.dose(liquid.care().dose()).roundedMl();
            double percent = 100 * (liquid.care().makerMl() / school - 1);
            said.add(wording.text(
                    Math.abs(percent) < 1
                            ? "sealant.maker.same"
                            : percent > 0 ? "sealant.maker.more" : "sealant.maker.less",
                    Numbers.fixed(Math.abs(percent), 0),
                    wording.of("dose", liquid.care().dose()),
                    QuantityText.text(school, rider.volumeUnit())));
        }
        said.add(wording.text("sealant.minimum", QuantityText.text(liquid.minimumMl(), rider.volumeUnit())));
        return said;
    }
}
