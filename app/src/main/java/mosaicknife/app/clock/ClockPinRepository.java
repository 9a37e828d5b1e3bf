package mosaicknife.app.clock;

import java.time.Instant;
import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ClockPinRepository extends Repository<ClockPinEntity, Long> {

  ClockPinEntity saveAndFlush(ClockPinEntity pin);

  @Query(
      "select p from ClockPinEntity p where p.startsAt >= :from and p.id = (select max(n.id) from"
          + " ClockPinEntity n where n.task = p.task)")
  List<ClockPinEntity> findStanding(Instant from);
}
