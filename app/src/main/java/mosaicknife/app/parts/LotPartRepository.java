package mosaicknife.app.parts;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface LotPartRepository extends Repository<LotPartEntity, Long> {

  LotPartEntity save(LotPartEntity part);

  LotPartEntity saveAndFlush(LotPartEntity part);

  void delete(LotPartEntity part);

  Optional<LotPartEntity> findByLotIdAndSlot(long lotId, String slot);

  List<LotPartEntity> findByLotIdInOrderByNumber(Collection<Long> lotIds);
}
