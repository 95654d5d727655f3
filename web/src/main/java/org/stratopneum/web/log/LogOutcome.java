package org.stratopneum.web.log;

import java.util.List;
import java.util.UUID;

/**
 * Entries that were just written or struck, as far as they still stand, with the way back.
 *
 * @param struck whether they were struck through
 * @param bikeId the bike that they are about
 */
public record LogOutcome(boolean struck, UUID bikeId, List<String> lines, List<UUID> ids) {}
