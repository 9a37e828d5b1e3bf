package mosaicknife.app.booklet;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.AskedOnce;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface EntryRepository extends Repository<EntryEntity, Long> {

  EntryEntity saveAndFlush(EntryEntity entry);

  @AskedOnce
  @Query(
      "select b from EntryEntity b where b.id = (select max(n.id) from"
          + " EntryEntity n where n.book = b.book and n.code = b.code) order by b.id")
  List<EntryEntity> findNewest();

  Optional<EntryEntity> findByBookAndId(String book, long id);

  @Query(value = "select nextval('house_book_number')", nativeQuery = true)
  long nextNumber();
}
