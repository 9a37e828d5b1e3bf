package mosaicknife.app.house;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import mosaicknife.core.breakdown.Tray;
import mosaicknife.core.quantity.Mass;

@Entity
@Table(name = "tray")
class TrayEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(updatable = false)
  private String name;

  @Column(name = "mass_mg", updatable = false)
  private Mass mass;

  private boolean active = true;

  protected TrayEntity() {}

  TrayEntity(String name, Mass mass) {
    this.name = name;
    this.mass = mass;
  }

  HouseTray toTray() {
    return new HouseTray(id, new Tray(name, mass));
  }

  boolean isInUse() {
    return active;
  }

  /** A tray that was used in weighings stays known; it is only not offered any more. */
  void putAway() {
    active = false;
  }
}
