package mosaicknife.app.catalogue;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface BookEntryRepository extends Repository<BookEntryEntity, Long> {

  BookEntryEntity saveAndFlush(BookEntryEntity entry);

  @Query(
      "select b from BookEntryEntity b where b.book = :book and b.id = (select max(n.id) from"
          + " BookEntryEntity n where n.book = b.book and n.code = b.code) order by b.id")
  List<BookEntryEntity> findNewest(HouseBook.Book book);
}
