package mosaicknife.app.bench;

import java.time.Instant;
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
      order by w.fish_no, w.piece_no, w.taken_at
      """;

  String LAST_LINK =
      """
      select w.* from weighing w
      where w.part_id = :partId and w.fish_no = :fishNo and w.piece_no = :pieceNo
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      """;

  String LAST_PIECE =
      "select coalesce(max(piece_no), 0) from weighing where part_id = :partId and fish_no = :fishNo";

  String LAST_OF_PERSON =
      """
      select w.* from weighing w join lot_part p on p.id = w.part_id
      where p.lot_id = :lotId and w.taken_by = :person and w.mass_mg is not null
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      order by w.taken_at desc
      limit 1
      """;

  String IS_WEIGHED =
      """
      select count(*) > 0 from weighing w
      where w.part_id = :partId and w.mass_mg is not null
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      """;

  String LOTS_OF_PERSON =
      """
      select p.lot_id from weighing w join lot_part p on p.id = w.part_id
        join lot l on l.id = p.lot_id
      where w.taken_by = :person and w.taken_at >= :since and l.species = :species
        and w.mass_mg is not null and p.parent_id is null
      group by p.lot_id
      having (select count(*) from weighing v where v.taken_by = :person and v.taken_at >= :since)
             >= :fewest
      order by p.lot_id desc limit 12
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
  Optional<WeighingEntity> findLastLink(long partId, int fishNo, int pieceNo);

  @NativeQuery(LAST_PIECE)
  int lastPiece(long partId, int fishNo);

  @NativeQuery(LAST_OF_PERSON)
  Optional<WeighingEntity> findLastOf(long lotId, long person);

  @NativeQuery(OTHER_POOLING)
  boolean isWeighedTheOtherWay(long partId, int fishNo);

  /** Recent lots of a species with weights of a person, if the person took enough of them. */
  @NativeQuery(LOTS_OF_PERSON)
  List<Long> lotsOf(long person, String species, Instant since, int fewest);

  @NativeQuery(IS_WEIGHED)
  boolean isWeighed(long partId);

  List<WeighingEntity> findByPartIdInOrderByTakenAt(Collection<Long> partIds);
}
