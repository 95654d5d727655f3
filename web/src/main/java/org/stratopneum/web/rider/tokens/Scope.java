package org.stratopneum.web.rider.tokens;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;

/** What a token may do. */
public enum Scope {
    /** Read the log. */
    READ,
    /** Add to the log. */
    APPEND,
    /** Read bikes and wheels, and what is recommended for them. */
    GARAGE,
    /** Read what is due. */
    DUE;

    static Set<Scope> of(String names) {
        Set<Scope> scopes = EnumSet.noneOf(Scope.class);
        Arrays.stream(values())
                .filter(one -> Arrays.asList(names.split(" ")).contains(one.name()))
                .forEach(scopes::add);
        return scopes;
    }

    static String names(Set<Scope> scopes) {
        return scopes.stream().map(Scope::name).collect(Collectors.joining(" "));
    }

    /** As an authority of the request. */
    String authority() {
        return "TOKEN_" + name();
    }

    /** The field of the form in which it is ticked. */
    String field() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
