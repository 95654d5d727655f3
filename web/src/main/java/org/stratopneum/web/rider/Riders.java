package org.stratopneum.web.rider;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.stratopneum.core.quantity.PressureUnit;
import org.stratopneum.web.fault.NotThereException;

/** The rider of this request and their ways. */
@Service
public class Riders {

    private final RiderMapper mapper;

    Riders(RiderMapper mapper) {
        this.mapper = mapper;
    }

    /** @throws NotThereException when nobody is signed in */
    @Transactional(readOnly = true)
    public Rider self() {
        return find().orElseThrow(NotThereException::new);
    }

    @Transactional(readOnly = true)
    public Optional<Rider> find() {
        return mapper.self();
    }

    /** The unit that was typed last is offered next time. */
    @Transactional
    public void rememberUnit(PressureUnit unit) {
        mapper.rememberUnit(unit);
    }
}
