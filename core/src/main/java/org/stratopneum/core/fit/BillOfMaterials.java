package org.stratopneum.core.fit;

import java.util.ArrayList;
import java.util.List;

/**
 * What setting a wheel up takes, with amounts (common practice). It leaves out what the rider's own choice of tools
 * replaces, and what breaks on the way.
 *
 * @param needs in the order of the work
 */
public record BillOfMaterials(List<Need> needs) {

    public BillOfMaterials {
        needs = List.copyOf(needs);
    }

    /**
     * One thing that is needed.
     *
     * @param amount how much (m of tape, ml of sealant, pieces of everything else)
     * @param sizeMm width of the tape, length of the valve, width of the tire that a tube must suit (mm), or null
     */
    public record Need(Article article, double amount, Double sizeMm) {
        static Need of(Article article) {
            return new Need(article, 1, null);
        }
    }

    /**
     * A wheel that is to be set up.
     *
     * @param tape the plan, or null where nothing is taped
     * @param doseMl sealant (ml), or null where none goes in
     * @param valveMm how long the valve is wanted (mm), or null while nobody measured the rim
     * @param tireMm nominal width of the tire (mm), or null while there is none
     */
    public record Work(boolean tubeless, boolean insert, TapePlan tape, Double doseMl, Double valveMm, Double tireMm) {}

    public static BillOfMaterials of(Work work) {
        List<Need> needs = new ArrayList<>();
        if (work.tape() != null) {
            needs.add(new Need(
                    Article.TAPE, work.tape().lengthM(), work.tape().middle().toMm()));
        }
        if (work.tubeless()) {
            needs.add(new Need(Article.VALVE, 1, work.valveMm()));
        } else {
            needs.add(new Need(Article.TUBE, 1, work.tireMm()));
        }
        if (work.insert()) {
            needs.add(Need.of(Article.INSERT));
        }
        if (work.doseMl() != null) {
            needs.add(new Need(Article.SEALANT, work.doseMl(), null));
        }
        tools(work).stream().map(Need::of).forEach(needs::add);
        return new BillOfMaterials(needs);
    }

    private static List<Article> tools(Work work) {
        List<Article> tools = new ArrayList<>();
        if (work.tape() != null) {
            tools.addAll(List.of(Article.ALCOHOL, Article.CLOTH, Article.SCISSORS, Article.PICK));
        }
        tools.addAll(List.of(Article.LEVERS, Article.PUMP, Article.GAUGE));
        if (work.tubeless()) {
            tools.addAll(List.of(
                    Article.CORE_TOOL,
                    Article.SPARE_CORE,
                    Article.INJECTOR,
                    Article.SOAPY_WATER,
                    Article.GLOVES,
                    Article.EYE_PROTECTION));
        }
        return tools;
    }
}
