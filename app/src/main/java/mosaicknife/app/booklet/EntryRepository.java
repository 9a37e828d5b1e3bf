package mosaicknife.app.booklet;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface EntryRepository extends Repository<EntryEntity, Long> {

  EntryEntity saveAndFlush(EntryEntity entry);

  @Query(
      "select b from EntryEntity b where b.book = :book and b.id = (select max(n.id) from"
          + " EntryEntity n where n.book = b.book and n.code = b.code) order by b.id")
  List<EntryEntity> findNewest(String book);

  Optional<EntryEntity> findFirstByBookAndCodeOrderByIdDesc(String book, String code);

  Optional<EntryEntity> findByBookAndId(String book, long id);

  @Query(value = "select nextval('house_book_number')", nativeQuery = true)
  long nextNumber();
}
