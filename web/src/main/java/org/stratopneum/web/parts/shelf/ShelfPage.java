package org.stratopneum.web.parts.shelf;

import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.sealant.SealantFamily;
import org.stratopneum.web.platform.wording.FormView;
import org.stratopneum.web.platform.wording.Units;

/**
 * The shelf in words.
 *
 * @param empty whether there is nothing on it at all
 */
public record ShelfPage(List<Section> sections, boolean empty) {

    /**
     * All of one kind, those in use first.
     *
     * @param add address under which another one is entered
     */
    public record Section(String title, String add, String addText, List<Line> lines) {}

    /**
     * One thing.
     *
     * @param path address of it, to which /duplicate, /retire and /restore are added
     * @param left what is left of it, or empty
     * @param care what speaks against using it, or empty
     * @param retiredOn day, or null
     */
    public record Line(String path, String name, String facts, String left, String care, String retiredOn) {}

    /**
     * One thing, to be entered or changed.
     *
     * @param id null for a new one
     * @param been where it has been, newest first
     */
    public record One(UUID id, ShelfKind kind, String title, FormView form, Units units, List<Been> been, int version) {

        public List<ValveKind> valves() {
            return List.of(ValveKind.values());
        }

        public List<ValveBase> bases() {
            return List.of(ValveBase.values());
        }

        public List<SealantFamily> families() {
            return List.of(SealantFamily.values());
        }

        public List<Article> tools() {
            return Stream.of(Article.values())
                    .filter(article -> !article.staysOnTheWheel())
                    .toList();
        }

        public boolean is(String name) {
            return kind.name().equals(name);
        }
    }

    /** Where and when something was used. */
    public record Been(String when, String where, String what) {}
}
