package mosaicknife.app.larder;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface LarderItemRepository extends Repository<LarderItemEntity, Long> {

  LarderItemEntity saveAndFlush(LarderItemEntity item);

  Optional<LarderItemEntity> findByClientId(UUID clientId);

  Optional<LarderItemEntity> findByCode(String code);

  boolean existsByCode(String code);

  List<LarderItemEntity> findAllByIdInOrderById(Collection<Long> ids);

  /** Two tablets that take from one item come one after the other. */
  @Query(value = "select id from larder_item where code = :code for update", nativeQuery = true)
  Optional<Long> lock(String code);

  /** Items of which grams are left, those that lapse first first. */
  @Query(
      """
      select i from LarderItemEntity i
      where (select coalesce(sum(case when s.entryId is null then s.milligrams
                                      else -s.milligrams end), 0)
             from LarderSourceEntity s where s.itemId = i.id) > 0
      order by i.id
      """)
  List<LarderItemEntity> findOnShelves();

  /** Whoever puts parts of one lot on shelves comes one after the other. */
  @Query(
      value = "select 1 from pg_advisory_xact_lock(7002, cast(:lot as integer))",
      nativeQuery = true)
  Integer lockLot(long lot);

  @Query(value = "select mark from house", nativeQuery = true)
  String findMark();
}
