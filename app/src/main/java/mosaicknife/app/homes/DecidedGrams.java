package mosaicknife.app.homes;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Says of a lot what was decided of its grams, made already or to be made. */
@Component
class DecidedGrams implements Decided {

  private final MakingRepository makings;

  DecidedGrams(MakingRepository makings) {
    this.makings = makings;
  }

  @Override
  @Transactional(readOnly = true)
  public Map<String, List<Share>> of(long lot) {
    return makings.findDecidedOf(lot).stream()
        .collect(
            Collectors.groupingBy(
                MadeShare::slot,
                LinkedHashMap::new,
                Collectors.mapping(
                    one -> new Share(one.use(), one.venue(), Mass.ofMilligrams(one.milligrams())),
                    Collectors.toList())));
  }
}
