package mosaicknife.app.bench;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface WeighingRepository extends Repository<WeighingEntity, UUID> {

  String LAST_LINKS_OF_LOTS =
      """
      select w.* from weighing w join lot_part p on p.id = w.part_id
      where p.lot_id in (:lotIds)
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      order by w.fish_no, w.taken_at
      """;

  String LAST_LINK =
      """
      select w.* from weighing w
      where w.part_id = :partId and w.fish_no = :fishNo
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      """;

  String LAST_OF_PERSON =
      """
      select w.* from weighing w join lot_part p on p.id = w.part_id
      where p.lot_id = :lotId and w.taken_by = :person and w.mass_mg is not null
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      order by w.taken_at desc
      limit 1
      """;

  String OTHER_POOLING =
      """
      select count(*) > 0 from weighing w
      where w.part_id = :partId and w.mass_mg is not null
        and ((:fishNo = 0 and w.fish_no <> 0) or (:fishNo <> 0 and w.fish_no = 0))
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      """;

  WeighingEntity saveAndFlush(WeighingEntity weighing);

  Optional<WeighingEntity> findById(UUID id);

  @NativeQuery(LAST_LINKS_OF_LOTS)
  List<WeighingEntity> findLastLinks(Collection<Long> lotIds);

  @NativeQuery(LAST_LINK)
  Optional<WeighingEntity> findLastLink(long partId, int fishNo);

  @NativeQuery(LAST_OF_PERSON)
  Optional<WeighingEntity> findLastOf(long lotId, long person);

  @NativeQuery(OTHER_POOLING)
  boolean isWeighedTheOtherWay(long partId, int fishNo);

  List<WeighingEntity> findByPartIdInOrderByTakenAt(Collection<Long> partIds);
}
