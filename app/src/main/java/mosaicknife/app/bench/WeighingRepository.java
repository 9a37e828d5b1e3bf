package mosaicknife.app.bench;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface WeighingRepository extends Repository<WeighingEntity, UUID> {

  String LAST_LINKS_OF_LOTS =
      """
      select w from WeighingEntity w, LotPartEntity p
      where p.id = w.partId and p.lotId in :lotIds
        and not exists (select 1 from WeighingEntity later where later.supersedes = w.id)
      order by w.fishNo, w.takenAt
      """;

  String LAST_LINK =
      """
      select w from WeighingEntity w
      where w.partId = :partId and w.fishNo = :fishNo
        and not exists (select 1 from WeighingEntity later where later.supersedes = w.id)
      """;

  String LAST_OF_PERSON =
      """
      select w from WeighingEntity w, LotPartEntity p
      where p.id = w.partId and p.lotId = :lotId and w.takenBy = :person and w.massMg is not null
        and not exists (select 1 from WeighingEntity later where later.supersedes = w.id)
      order by w.takenAt desc
      limit 1
      """;

  String OTHER_POOLING =
      """
      select count(w) > 0 from WeighingEntity w
      where w.partId = :partId and w.massMg is not null
        and ((:fishNo = 0 and w.fishNo <> 0) or (:fishNo <> 0 and w.fishNo = 0))
        and not exists (select 1 from WeighingEntity later where later.supersedes = w.id)
      """;

  WeighingEntity saveAndFlush(WeighingEntity weighing);

  Optional<WeighingEntity> findById(UUID id);

  @Query(LAST_LINKS_OF_LOTS)
  List<WeighingEntity> findLastLinks(Collection<Long> lotIds);

  @Query(LAST_LINK)
  Optional<WeighingEntity> findLastLink(long partId, int fishNo);

  @Query(LAST_OF_PERSON)
  Optional<WeighingEntity> findLastOf(long lotId, long person);

  @Query(OTHER_POOLING)
  boolean isWeighedTheOtherWay(long partId, int fishNo);

  List<WeighingEntity> findByPartIdInOrderByTakenAt(Collection<Long> partIds);
}
