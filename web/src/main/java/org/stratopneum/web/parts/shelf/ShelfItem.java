package org.stratopneum.web.parts.shelf;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.UUID;
import org.stratopneum.core.fit.Article;
import org.stratopneum.core.fit.ValveBase;
import org.stratopneum.core.fit.ValveKind;
import org.stratopneum.core.sealant.SealantFamily;

/**
 * Something on the shelf; what its kind has no use for is null or false.
 *
 * @param amount what came home (pieces, m of tape, ml of sealant)
 * @param widthMm width of a tape (mm)
 * @param lengthMm length of a valve from its base to the end of the stem (mm)
 * @param minWidthMm narrowest tire that a tube or an insert suits (mm)
 * @param maxWidthMm widest tire that a tube or an insert suits (mm)
 * @param bsdMm bead seat diameter that a tube or an insert suits (mm)
 * @param sideHoles whether a valve has holes at its side, as an insert wants
 * @param valveBase shape of the base of a tubeless valve
 * @param largestHoleMm largest hole that a sealant claims to close (mm)
 * @param used what the log says was taken (in the unit of {@code amount})
 */
public record ShelfItem(
        UUID id,
        ShelfKind kind,
        String name,
        double amount,
        Double widthMm,
        Double lengthMm,
        Double minWidthMm,
        Double maxWidthMm,
        Double bsdMm,
        ValveKind valve,
        boolean removableCore,
        boolean sideHoles,
        ValveBase valveBase,
        Article tool,
        SealantFamily family,
        boolean co2Safe,
        Double largestHoleMm,
        LocalDate openedOn,
        LocalDate bestBefore,
        LocalDate boughtOn,
        BigDecimal price,
        LocalDate retiredOn,
        int version,
        double used) {

    /** What is left; below 0 where more was taken than came home. */
    public double left() {
        return amount - used;
    }

    /** Whether there is something to take. */
    public boolean available() {
        return retiredOn == null && left() > 0;
    }

    /** Another one of the same, untouched; sealant of it is not opened. */
    ShelfItem again(UUID otherId) {
        return new ShelfItem(
                otherId,
                kind,
                name,
                amount,
                widthMm,
                lengthMm,
                minWidthMm,
                maxWidthMm,
                bsdMm,
                valve,
                removableCore,
                sideHoles,
                valveBase,
                tool,
                family,
                co2Safe,
                largestHoleMm,
                null,
                bestBefore,
                boughtOn,
                price,
                null,
                0,
                0);
    }

    public boolean pastBestBefore(LocalDate today) {
        return bestBefore != null && bestBefore.isBefore(today);
    }
}
