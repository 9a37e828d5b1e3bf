package mosaicknife.app.booklet;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.check.Check;
import org.hibernate.annotations.Immutable;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;

@Entity
@Immutable
@Table(name = "house_book")
class EntryEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String book;

  private String code;

  @JdbcTypeCode(SqlTypes.JSON)
  private String body;

  private boolean retired;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected EntryEntity() {}

  EntryEntity(String book, String code, String body, boolean retired, long keptBy, Instant keptAt) {
    this.book = book;
    this.code = code;
    this.body = body;
    this.retired = retired;
    this.keptBy = keptBy;
    this.keptAt = keptAt;
  }

  <T> Written<T> toWritten(Section<T> section) {
    Check.that(isIn(section), "Expected a row of ", section.name());
    return new Written<>(
        id,
        code,
        BodyJson.read(body, section.type()),
        retired,
        keptBy,
        Optional.ofNullable(keptAt));
  }

  long id() {
    return id;
  }

  boolean isIn(Section<?> section) {
    return book.equals(section.name());
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
