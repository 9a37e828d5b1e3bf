package mosaicknife.app.house;

import java.util.List;
import java.util.Set;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.buying.DeliveryDays;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what the house knows of its suppliers: whom to call, and when they deliver. */
@Service
@Transactional
public class SupplierEditor {

  private static final int LONGEST_CONTACT = 80;
  private static final int LONGEST_PHONE = 40;
  private static final int LONGEST_NOTE = 200;

  private final SupplierRepository suppliers;
  private final HouseSettings houses;

  SupplierEditor(SupplierRepository suppliers, HouseSettings houses) {
    this.suppliers = suppliers;
    this.houses = houses;
  }

  /**
   * Returns all suppliers by name.
   *
   * @return the suppliers
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<Supplier> suppliers() {
    return suppliers.findAllByOrderByName().stream().map(SupplierEntity::toSupplier).toList();
  }

  /**
   * Returns a supplier.
   *
   * @param id its number
   * @return the supplier
   * @throws Refusal if there is none
   */
  @Transactional(readOnly = true)
  public Supplier get(long id) {
    return find(id).toSupplier();
  }

  /**
   * Adds a supplier before the first fish comes from it.
   *
   * @param name its name; a supplier of that name is the same one
   * @return its number
   * @throws Refusal if the name is missing or too long
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public long add(String name) {
    return houses.addSupplier(name).id();
  }

  /**
   * Changes what is known of a supplier.
   *
   * @param id its number
   * @param form what was typed
   * @throws Refusal if there is no such supplier, or a text is too long
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void change(long id, SupplierForm form) {
    find(id)
        .change(
            PlainText.line(form.contact(), LONGEST_CONTACT, "contact", FieldName.CONTACT),
            PlainText.line(form.phone(), LONGEST_PHONE, "phone", FieldName.PHONE),
            PlainText.line(form.note(), LONGEST_NOTE, "note", FieldName.NOTE),
            new DeliveryDays(form.days() == null ? Set.of() : form.days()));
  }

  private SupplierEntity find(long id) {
    return suppliers
        .findById(id)
        .orElseThrow(() -> Refusal.ofMissing("house.problem.there-is-no-supplier-with", id));
  }
}
