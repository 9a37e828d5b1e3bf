package mosaicknife.app.lot;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface InspectionRepository extends Repository<InspectionEntity, Long> {

  InspectionEntity saveAndFlush(InspectionEntity inspection);

  boolean existsByLotId(long lotId);

  Optional<InspectionEntity> findByClientId(UUID clientId);

  Optional<InspectionEntity> findFirstByLotIdOrderByIdDesc(long lotId);

  @NativeQuery(
      """
      select distinct on (lot_id) * from inspection where lot_id in (:lots) order by lot_id, id desc
      """)
  List<InspectionEntity> findNewestOf(List<Long> lots);
}
