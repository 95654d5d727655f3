package org.stratopneum.web.rider;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.platform.fault.ChangedMeanwhileException;
import org.stratopneum.web.platform.fault.NotThereException;
import org.stratopneum.web.platform.wording.Languages;
import org.stratopneum.web.platform.wording.Region;
import org.stratopneum.web.platform.wording.Units;

/** The rider of this request and their ways. */
@Service
public class Riders {

    private final RiderMapper mapper;
    private final Languages languages;
    private final TransactionTemplate asking;

    Riders(RiderMapper mapper, Languages languages, PlatformTransactionManager transactions) {
        this.mapper = mapper;
        this.languages = languages;
        this.asking = new TransactionTemplate(transactions);
        asking.setReadOnly(true);
    }

    /** @throws NotThereException when nobody is signed in */
    public Rider self() {
        return find().orElseThrow(NotThereException::new);
    }

    /** Whoever is known already is not asked for again, nor is a transaction begun for that. */
    public Optional<Rider> find() {
        Optional<Rider> rider = RiderOfRequest.recall().or(() -> {
            Optional<Rider> found = asking.execute(status -> mapper.self());
            found.ifPresent(RiderOfRequest::remember);
            return found;
        });
        // whatever is written from here is for them
        rider.map(Rider::region).map(languages::spoken).ifPresent(Region::use);
        return rider;
    }

    /** The unit that was typed last is offered next time. */
    @Transactional
    public void rememberUnit(PressureUnit unit) {
        mapper.rememberUnit(unit);
        RiderOfRequest.forget();
    }

    /** What the rider weighs (kg), as typed with a bike or a ride. */
    @Transactional
    public void weigh(double kg) {
        mapper.weigh(kg);
        RiderOfRequest.forget();
    }

    /** @throws ChangedMeanwhileException when the rider was changed since {@code version} was read */
    @Transactional
    public void change(
            String zone,
            Units units,
            Rider.Theme theme,
            boolean letterKeys,
            Double scoopMl,
            Region region,
            int version) {
        if (mapper.change(zone, units, theme, letterKeys, scoopMl, region, version) == 0) {
            throw new ChangedMeanwhileException();
        }
        RiderOfRequest.forget();
    }
}
