package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

@Entity
@Table(name = "price_preview")
class PricePreviewEntity {

  @Id private UUID id;

  private String supplier;

  @Column(name = "valid_on")
  private LocalDate validOn;

  private String document;

  @Column(name = "read_by")
  private long readBy;

  @Column(name = "read_at")
  private Instant readAt;

  protected PricePreviewEntity() {}

  PricePreviewEntity(String supplier, LocalDate validOn, String document, long by, Instant at) {
    this.id = UUID.randomUUID();
    this.supplier = supplier;
    this.validOn = validOn;
    this.document = document;
    this.readBy = by;
    this.readAt = at;
  }

  UUID id() {
    return id;
  }

  String supplier() {
    return supplier;
  }

  LocalDate validOn() {
    return validOn;
  }

  String document() {
    return document;
  }
}
