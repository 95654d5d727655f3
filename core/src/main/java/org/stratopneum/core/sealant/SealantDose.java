package org.stratopneum.core.sealant;

import org.stratopneum.core.tire.TireSection;

/**
 * How much sealant goes into a tire: a mean film on the inner surface, dose (ml) = film (mm) * S (cm2) / 10, with what a
 * casing, a new tire and an insert take up (rules of thumb). It leaves out what the maker prints, which wins, and how
 * dry the air is.
 *
 * @param exactMl the dose, unrounded (ml)
 * @param minimumMl least that still works, for a film of 0.10 mm without what is taken up (ml)
 */
public record SealantDose(double exactMl, double minimumMl) {

    /** Below this film a tire wants a refresh (mm; model). */
    private static final double WORKING_FILM_MM = 0.10;

    private static final double NOT_MADE_TUBELESS = 1.5;
    private static final double BRAND_NEW = 1.1;
    private static final double INSERT_ML = 25;
    private static final double CM2_MM_PER_ML = 10;
    private static final double STEP_ML = 5;

    /**
     * What takes up more than the film.
     *
     * @param tubelessCasing whether the casing was made for tubeless; else it seeps through
     * @param insert whether an insert is in the tire
     * @param newTire whether the tire is brand-new and drinks some
     */
    public record Extras(boolean tubelessCasing, boolean insert, boolean newTire) {
        public static final Extras NONE = new Extras(true, false, false);
    }

    public static SealantDose of(TireSection section, DoseSchool school, Extras extras) {
        double dose = filmMl(section, school.filmMm());
        if (!extras.tubelessCasing()) {
            dose *= NOT_MADE_TUBELESS;
        }
        if (extras.newTire()) {
            dose *= BRAND_NEW;
        }
        if (extras.insert()) {
            dose += INSERT_ML;
        }
        return new SealantDose(dose, filmMl(section, WORKING_FILM_MM));
    }

    /** @return the dose of the table, without extras (ml) */
    public static double inTable(TireSection section, DoseSchool school) {
        return filmMl(section, school.filmMm());
    }

    /** @return mean film that so much liquid makes (mm), extras left out */
    public static double filmMm(TireSection section, double ml) {
        return ml * CM2_MM_PER_ML / section.innerSurfaceCm2();
    }

    /** What people put in beside the three schools, by the film that it makes (common practice). */
    public enum Habit {
        /** In a fresh road tire, topped up later. */
        SPARSE(0.15),
        /** In a road tire by those who never want to look. */
        COPIOUS(0.44);

        private final double filmMm;

        Habit(double filmMm) {
            this.filmMm = filmMm;
        }

        public double filmMm() {
            return filmMm;
        }

        /** @return what that is in this tire, without extras (ml) */
        public double ml(TireSection section) {
            return SealantDose.filmMl(section, filmMm);
        }
    }

    private static double filmMl(TireSection section, double filmMm) {
        return filmMm * section.innerSurfaceCm2() / CM2_MM_PER_ML;
    }

    /** @return the dose as it is measured out, to the nearest 5 (ml) */
    public double roundedMl() {
        return roundedMl(exactMl);
    }

    /** @return what is measured out for {@code ml}, to the nearest 5 (ml) */
    public static double roundedMl(double ml) {
        return STEP_ML * Math.round(ml / STEP_ML);
    }

    /** @return what is measured out so that {@code ml} is not missed, in whole steps of 5 (ml); nothing below 0 */
    public static double roundedUpMl(double ml) {
        return STEP_ML * Math.ceil(Math.max(0, ml) / STEP_ML);
    }
}
