package mosaicknife.app.weighing;

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
      where w.takenBy = :person and w.takenAt >= :since and w.mass is not null
        and w.fishNo > 0 and p.parentId is null and p.kind in :kinds
      """;

  String PLACE =
      """
      select new mosaicknife.app.weighing.PlaceRow(
        p.id, p.name, p.parentId, p.inARow, p.skipped,
        (select count(c.id) from LotPartEntity c where c.parentId = p.id),
        coalesce(l.own, l.invoiced),
        (select f.mass from LotFishEntity f where f.key.lotId = l.id and f.key.fishNo = :fish),
        l.fishCount, l.receivedAt, l.finishedAt, w)
      from LotEntity l
      left join LotPartEntity p on p.lotId = l.id and p.slot = :slot
      left join WeighingEntity w on w.partId = p.id
      where l.id = :lotId
      """;

  /** What a part weighs that is cut further, and what its pieces weigh. */
  String INSIDE =
      """
      select p.id as part, p.name as name, coalesce(sum(w.mass_mg), 0) as mass
      from lot_part p
      left join weighing w on w.part_id = p.id
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      where p.id = :parent or p.parent_id = :parent
      group by p.id, p.name
      """;

  /** What the pieces of a part weigh, of one fish or of all together. */
  String PIECES =
      """
      select coalesce(sum(w.mass_mg), 0)
      from weighing w join lot_part p on p.id = w.part_id
      where p.parent_id = :part and w.fish_no = :fish
        and not exists (select 1 from weighing later where later.supersedes = w.id)
      """;

  /** A part with the mass that stands. */
  interface MassRow {
    long getPart();

    String getName();

    long getMass();
  }

  WeighingEntity saveAndFlush(WeighingEntity weighing);

  Optional<WeighingEntity> findById(UUID id);

  @NativeQuery(LAST_LINKS_OF_LOTS)
  List<WeighingEntity> findLastLinks(Collection<Long> lotIds);

  @NativeQuery(LAST_OF_PERSON)
  Optional<WeighingEntity> findLastOf(long lotId, long person);

  /** The lots of the main cuts that a person weighed since a moment. */
  @Query("select distinct p.lotId " + MAIN_CUTS_OF)
  List<Long> lotsOfMainCutsOf(long person, Instant since, Collection<String> kinds);

  @NativeQuery(IS_WEIGHED)
  boolean isWeighed(long partId);

  /** Of some parts those that were weighed, in the order of their first weights. */
  @Query(
      "select w.partId from WeighingEntity w where w.partId in :partIds and w.mass is not null"
          + " group by w.partId order by min(w.takenAt)")
  List<Long> findInOrder(Collection<Long> partIds);

  @Query(PLACE)
  List<PlaceRow> findPlace(long lotId, String slot, int fish);

  @NativeQuery(INSIDE)
  List<MassRow> findInside(long parent);

  @NativeQuery(PIECES)
  long massOfPieces(long part, int fish);

  @NativeQuery("select p.name from lot_part p where p.lot_id = :lotId and p.id = :partId")
  Optional<String> findPartName(long lotId, long partId);

  List<WeighingEntity> findByPartId(long partId);

  List<WeighingEntity> findByPartIdInOrderByTakenAt(Collection<Long> partIds);
}
