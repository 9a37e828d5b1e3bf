package mosaicknife.app.dock;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LotRepository extends Repository<LotEntity, Long> {

  String OPEN_FIRST_NEWEST_FIRST =
      """
      select lot from LotEntity lot
      order by case when lot.finishedAt is null then 0 else 1 end, lot.receivedAt desc, lot.id desc
      limit 200
      """;

  LotEntity save(LotEntity lot);

  LotEntity saveAndFlush(LotEntity lot);

  Optional<LotEntity> findById(long id);

  Optional<LotEntity> findByClientId(UUID clientId);

  @Query(OPEN_FIRST_NEWEST_FIRST)
  List<LotEntity> findOpenFirstNewestFirst();
}
