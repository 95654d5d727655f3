package org.stratopneum.web.fleet.bikes;

import java.util.UUID;

/** A tire that stands as light because nobody ever chose its casing: its rider is asked once. */
public record CasingQuestion(UUID tire, String name) {}
