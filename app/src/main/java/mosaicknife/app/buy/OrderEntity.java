package mosaicknife.app.buy;

import jakarta.persistence.CascadeType;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.OneToMany;
import jakarta.persistence.OrderBy;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.hibernate.annotations.BatchSize;

@Entity
@Table(name = "purchase_order")
class OrderEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "supplier_id", updatable = false)
  private long supplierId;

  @Column(name = "venue_id", updatable = false)
  private long venueId;

  @Column(name = "deliver_on")
  private LocalDate deliverOn;

  @Enumerated(EnumType.STRING)
  private OrderStatus status = OrderStatus.DRAFT;

  private String note = "";

  @Column(name = "made_by", updatable = false)
  private long madeBy;

  @Column(name = "made_at", updatable = false)
  private Instant madeAt;

  @Column(name = "placed_at")
  private Instant placedAt;

  @OneToMany(
      mappedBy = "order",
      cascade = CascadeType.ALL,
      orphanRemoval = true,
      fetch = FetchType.EAGER)
  @OrderBy("id")
  @BatchSize(size = 50)
  private List<OrderLineEntity> lines = new ArrayList<>();

  @Version private int version;

  protected OrderEntity() {}

  OrderEntity(long supplierId, long venueId, LocalDate deliverOn, long madeBy, Instant madeAt) {
    this.supplierId = supplierId;
    this.venueId = venueId;
    this.deliverOn = deliverOn;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  Long id() {
    return id;
  }

  long supplierId() {
    return supplierId;
  }

  long venueId() {
    return venueId;
  }

  LocalDate deliverOn() {
    return deliverOn;
  }

  OrderStatus status() {
    return status;
  }

  String note() {
    return note;
  }

  long madeBy() {
    return madeBy;
  }

  List<OrderLineEntity> lines() {
    return lines;
  }

  int version() {
    return version;
  }

  void add(OrderLineEntity line) {
    line.belongTo(this);
    lines.add(line);
  }

  void drop(long lineId) {
    lines.removeIf(line -> line.id() == lineId);
  }

  void change(LocalDate day, String newNote) {
    deliverOn = day;
    note = newNote;
  }

  void place(Instant at) {
    status = OrderStatus.PLACED;
    placedAt = at;
  }

  void takeBack() {
    status = OrderStatus.DRAFT;
    placedAt = null;
  }

  void close() {
    status = OrderStatus.CLOSED;
  }
}
