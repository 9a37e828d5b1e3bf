package mosaicknife.app.house;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import mosaicknife.core.buying.DeliveryDays;

@Entity
@Table(name = "supplier")
class SupplierEntity extends NamedRow {

  private String contact = "";
  private String phone = "";
  private String note = "";

  @Column(name = "delivery_days")
  private DeliveryDays days = DeliveryDays.UNKNOWN;

  protected SupplierEntity() {}

  SupplierEntity(String name) {
    super(name);
  }

  void change(String newContact, String newPhone, String newNote, DeliveryDays newDays) {
    contact = newContact;
    phone = newPhone;
    note = newNote;
    days = newDays;
  }

  Supplier toSupplier() {
    Named named = toNamed();
    return new Supplier(named.id(), named.name(), contact, phone, note, days);
  }
}
