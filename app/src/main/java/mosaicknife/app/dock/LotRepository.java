package mosaicknife.app.dock;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface LotRepository extends Repository<LotEntity, Long> {

  String OPEN_FIRST_NEWEST_FIRST =
      """
      select lot.* from lot
      order by finished_at is not null, received_at desc, id desc
      limit 200
      """;

  LotEntity save(LotEntity lot);

  LotEntity saveAndFlush(LotEntity lot);

  Optional<LotEntity> findById(long id);

  Optional<LotEntity> findByClientId(UUID clientId);

  List<LotEntity> findAllByOrderLineIdIn(List<Long> lines);

  @NativeQuery(OPEN_FIRST_NEWEST_FIRST)
  List<LotEntity> findOpenFirstNewestFirst();
}
