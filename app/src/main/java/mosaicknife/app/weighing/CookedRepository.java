package mosaicknife.app.weighing;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface CookedRepository extends Repository<CookedEntity, Long> {

  CookedEntity save(CookedEntity cooked);

  void delete(CookedEntity cooked);

  Optional<CookedEntity> findById(long partId);

  List<CookedEntity> findByPartIdIn(Collection<Long> partIds);
}
