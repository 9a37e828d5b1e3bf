package mosaicknife.app.catalogue;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "house_book")
class BookEntryEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Enumerated(EnumType.STRING)
  private HouseBook.Book book;

  private String code;

  private String body;

  private boolean retired;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected BookEntryEntity() {}

  BookEntryEntity(
      HouseBook.Book book, String code, String body, boolean retired, long keptBy, Instant keptAt) {
    this.book = book;
    this.code = code;
    this.body = body;
    this.retired = retired;
    this.keptBy = keptBy;
    this.keptAt = keptAt;
  }

  HouseBook.Book book() {
    return book;
  }

  String code() {
    return code;
  }

  String body() {
    return body;
  }

  boolean isRetired() {
    return retired;
  }
}
