package mosaicknife.app.lot;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface DivisionRepository extends Repository<DivisionEntity, Long> {

  DivisionEntity save(DivisionEntity division);

  void delete(DivisionEntity division);

  Optional<DivisionEntity> findById(long lotId);

  List<DivisionEntity> findAllByFromLotIdOrderByLotId(long lotId);

  List<DivisionEntity> findAllByLotIdIn(List<Long> lotIds);
}
