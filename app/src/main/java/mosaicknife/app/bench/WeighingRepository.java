package mosaicknife.app.bench;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.jpa.repository.Query;
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

  String MAIN_CUTS_OF =
      """
      from WeighingEntity w join LotPartEntity p on p.id = w.partId
      where w.takenBy = :person and w.takenAt >= :since and w.massMg is not null
        and w.fishNo > 0 and p.parentId is null and p.kind in ('fillet', 'loin', 'wing')
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

  /** How many main cuts a person weighed since a moment. */
  @Query("select count(w) " + MAIN_CUTS_OF)
  long countMainCutsOf(long person, Instant since);

  /** The lots they are of. */
  @Query("select distinct p.lotId " + MAIN_CUTS_OF)
  List<Long> lotsOfMainCutsOf(long person, Instant since);

  @NativeQuery(IS_WEIGHED)
  boolean isWeighed(long partId);

  List<WeighingEntity> findByPartIdInOrderByTakenAt(Collection<Long> partIds);
}
