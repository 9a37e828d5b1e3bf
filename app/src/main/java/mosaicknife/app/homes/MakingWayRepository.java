package mosaicknife.app.homes;

import java.util.Collection;
import java.util.List;
import org.springframework.data.repository.Repository;

interface MakingWayRepository extends Repository<MakingWayEntity, Long> {

  MakingWayEntity saveAndFlush(MakingWayEntity way);

  List<MakingWayEntity> findAllByMakingIdIn(Collection<Long> makings);
}
