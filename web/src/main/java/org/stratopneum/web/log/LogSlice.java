package org.stratopneum.web.log;

import java.time.Instant;
import java.util.UUID;

/**
 * What of a log is read; each part null where it is not asked about.
 *
 * @param from first moment at which it happened
 * @param to first moment that is not asked about any more
 */
public record LogSlice(UUID wheel, LogKind kind, Instant from, Instant to) {}
