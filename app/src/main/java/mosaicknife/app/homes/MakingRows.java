package mosaicknife.app.homes;

import java.time.Clock;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.use.FishUse;
import org.springframework.stereotype.Component;

/** What is to be made, what it takes and how it ended, as the database keeps it. */
@Component
class MakingRows {

  private final MakingRepository makings;
  private final MakingSourceRepository sources;
  private final MakingEndRepository ends;
  private final MakingBook open;
  private final CurrentPerson current;
  private final Clock clock;

  MakingRows(
      MakingRepository makings,
      MakingSourceRepository sources,
      MakingEndRepository ends,
      MakingBook open,
      CurrentPerson current,
      Clock clock) {
    this.makings = makings;
    this.sources = sources;
    this.ends = ends;
    this.open = open;
    this.current = current;
    this.clock = clock;
  }

  /** Nobody else decides meanwhile. */
  void lock() {
    makings.lockAll();
  }

  /** The number of what was decided under this identifier. */
  Optional<Long> numberOf(UUID clientId) {
    return makings.findByClientId(clientId).map(MakingEntity::id);
  }

  long begin(UUID clientId, FishUse use, long venue, long units) {
    return makings
        .saveAndFlush(
            new MakingEntity(
                clientId,
                use.code(),
                use.name(),
                venue,
                units,
                current.get().id(),
                clock.instant()))
        .id();
  }

  void takes(long making, Input input, Long item) {
    sources.save(
        new MakingSourceEntity(making, input.of().lot(), input.of().slot(), item, input.mass()));
  }

  void end(long id, Long item, String reason) {
    ends.saveAndFlush(new MakingEndEntity(id, item, reason, current.get().id(), clock.instant()));
  }

  ToMake open(long id) {
    makings.lockAll();
    if (ends.existsById(id)) {
      throw Refusal.ofStale("homes.problem.made-already");
    }
    return open.toMake().stream()
        .filter(one -> one.id() == id)
        .findFirst()
        .orElseThrow(() -> Refusal.ofMissing("homes.problem.no-such-making"));
  }
}
