package org.stratopneum.web.platform.wording;

import java.util.Map;

/**
 * A form as a page shows it: what was typed, and what is wrong with it.
 *
 * @param typed text of each field
 * @param errors message of each faulty field
 */
public record FormView(Map<String, String> typed, Map<String, String> errors) {

    public FormView {
        typed = Map.copyOf(typed);
        errors = Map.copyOf(errors);
    }

    public String text(String field) {
        return typed.getOrDefault(field, "");
    }

    public boolean ticked(String field) {
        return !text(field).isEmpty();
    }

    public boolean chosen(String field, Enum<?> constant) {
        return constant.name().equals(text(field));
    }

    /** The message of {@code field}, or null. */
    public String error(String field) {
        return errors.get(field);
    }

    public boolean faulty() {
        return !errors.isEmpty();
    }
}
