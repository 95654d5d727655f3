package org.stratopneum.web.fleet.bikes;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
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
        Map<Boolean, List<FittingMapper.Moved>> moved =
                mapper.moved().stream().collect(Collectors.partitioningBy(FittingMapper.Moved::pair));
        return new FittedTires(
                mapper.wheels(),
                moved.get(false).stream().map(FittingMapper.Moved::change).toList(),
                moved.get(true).stream().map(FittingMapper.Moved::mounting).toList());
    }
}
