package mosaicknife.app.kitchen;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface DoughTakenRepository extends Repository<DoughTakenEntity, Long> {

  DoughTakenEntity saveAndFlush(DoughTakenEntity taken);

  boolean existsByClientId(UUID clientId);

  List<DoughTakenEntity> findAllByDoughIdIn(Collection<Long> doughIds);
}
