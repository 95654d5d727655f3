package org.stratopneum.web.parts.shelf;

import org.stratopneum.core.fit.Article;

/** Kinds of things on the shelf beside rims, tires and gauges. */
public enum ShelfKind {
    VALVE(Article.VALVE),
    TUBE(Article.TUBE),
    INSERT(Article.INSERT),
    TAPE(Article.TAPE),
    SEALANT(Article.SEALANT),
    TOOL(null);

    private final Article article;

    ShelfKind(Article article) {
        this.article = article;
    }

    /** What it is in a bill of materials; null for a tool, which says itself. */
    public Article article() {
        return article;
    }

    /** Whether it is counted in pieces; else it is measured. */
    public boolean inPieces() {
        return this != TAPE && this != SEALANT;
    }
}
