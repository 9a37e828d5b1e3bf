package mosaicknife.app.clock;

import java.time.Instant;
import java.util.List;
import org.springframework.data.repository.Repository;

interface ClockMarkRepository extends Repository<ClockMarkEntity, Long> {

  ClockMarkEntity saveAndFlush(ClockMarkEntity mark);

  List<ClockMarkEntity> findAllByTaskOrderById(String task);

  List<ClockMarkEntity> findAllByMadeAtAfterOrderById(Instant since);
}
