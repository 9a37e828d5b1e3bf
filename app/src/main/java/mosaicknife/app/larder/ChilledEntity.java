package mosaicknife.app.larder;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.quantity.Temperature;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "larder_chilled")
class ChilledEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "item_id")
  private long itemId;

  private int tenths;

  @Column(name = "off_heat")
  private Instant offHeat;

  private String instrument;

  @Column(name = "core_tenths")
  private Integer coreTenths;

  @Column(name = "read_by")
  private long readBy;

  @Column(name = "read_at")
  private Instant readAt;

  protected ChilledEntity() {}

  ChilledEntity(long itemId, Chilled chilled, long readBy) {
    this.itemId = itemId;
    this.tenths = chilled.shown().tenths();
    this.offHeat = chilled.offHeat();
    this.instrument = chilled.instrument();
    this.coreTenths = chilled.core().map(Temperature::tenths).orElse(null);
    this.readBy = readBy;
    this.readAt = chilled.at();
  }

  long readBy() {
    return readBy;
  }

  Chilled toChilled() {
    return new Chilled(
        new Temperature(tenths),
        readAt,
        offHeat,
        instrument,
        Optional.ofNullable(coreTenths).map(Temperature::new));
  }
}
