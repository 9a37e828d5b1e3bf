package mosaicknife.app.pot;

import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.app.homes.OnTheHob;
import org.springframework.stereotype.Component;

/** Says of what is to be made which of it is on the hob: it is packed there, step by step. */
@Component
class PotsOnTheHob implements OnTheHob {

  private final PotBatchRepository batches;

  PotsOnTheHob(PotBatchRepository batches) {
    this.batches = batches;
  }

  @Override
  public Map<Long, String> pots() {
    return batches.findRunning().stream()
        .collect(Collectors.toMap(PotBatchEntity::makingId, batch -> "/pot/" + batch.id()));
  }
}
