package org.stratopneum.web.bikes;

import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Knows which tire was on which wheel when. */
@Service
public class Fittings {

    private final FittingMapper mapper;

    Fittings(FittingMapper mapper) {
        this.mapper = mapper;
    }

    @Transactional(readOnly = true)
    public FittedTires all() {
        return new FittedTires(mapper.wheels(), mapper.changes(), mapper.mountings());
    }
}
