package mosaicknife.app.bench;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LotSchoolRepository extends Repository<LotSchoolEntity, SchoolKey> {

  LotSchoolEntity save(LotSchoolEntity answer);

  Optional<LotSchoolEntity> findById(SchoolKey key);

  @Query("select s from LotSchoolEntity s where s.key.lotId in :lotIds")
  List<LotSchoolEntity> findOfLots(Collection<Long> lotIds);
}
