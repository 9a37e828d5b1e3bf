package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;

@Entity
@Table(name = "price")
class PriceEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "supplier_id")
  private long supplierId;

  @Embedded private Ware ware;

  @Column(name = "valid_on")
  private LocalDate validOn;

  @Column(name = "imported_by")
  private long importedBy;

  @Column(name = "imported_at")
  private Instant importedAt;

  protected PriceEntity() {}

  PriceEntity(long supplierId, PriceLine line, LocalDate validOn, long importedBy, Instant at) {
    this.supplierId = supplierId;
    this.validOn = validOn;
    ask(line, importedBy, at);
  }

  final void ask(PriceLine line, long person, Instant at) {
    ware = Ware.of(line.species(), line.form(), line.state(), line.grade(), line.price());
    importedBy = person;
    importedAt = at;
  }

  Long id() {
    return id;
  }

  long supplierId() {
    return supplierId;
  }

  Ware ware() {
    return ware;
  }

  LocalDate validOn() {
    return validOn;
  }
}
