package mosaicknife.app.house;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.breakdown.Tray;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the trays whose tare the house knows. */
@Service
@Transactional
public class TrayEditor {

  private static final int LONGEST_NAME = 40;
  private static final Mass LIGHTEST = Mass.ofGrams(1);
  private static final Mass HEAVIEST = Mass.ofGrams(50_000);

  private final TrayRepository trays;
  private final HouseSettings houses;

  TrayEditor(TrayRepository trays, HouseSettings houses) {
    this.trays = trays;
    this.houses = houses;
  }

  /**
   * Returns the trays in use, the lightest first.
   *
   * @return the trays
   */
  @Transactional(readOnly = true)
  public List<HouseTray> trays() {
    return trays.findByActiveTrueOrderByMass().stream().map(TrayEntity::toTray).toList();
  }

  /**
   * Finds a tray, one that was put away too.
   *
   * @param id its number
   * @return the tray, or empty
   */
  @Transactional(readOnly = true)
  public Optional<HouseTray> find(long id) {
    return trays.findById(id).map(TrayEntity::toTray);
  }

  /**
   * Adds a tray.
   *
   * @param typedName its name
   * @param typedMass what it weighs, as typed
   * @throws Refusal if a name is missing or taken, or the mass is none
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void add(String typedName, String typedMass) {
    String name = PlainText.needed(typedName, LONGEST_NAME, "tray", FieldName.TRAY);
    if (trays.existsByActiveTrueAndNameIgnoreCase(name)) {
      throw Refusal.ofField("tray", "house.problem.there-is-a-tray-already", name);
    }
    Mass mass = mass(typedMass);
    if (mass.compareTo(LIGHTEST) < 0 || mass.compareTo(HEAVIEST) > 0) {
      throw Refusal.ofField("trayMass", "house.problem.a-tray-weighs-between-1");
    }
    trays.saveAndFlush(new TrayEntity(new Tray(name, mass).name(), mass));
  }

  private Mass mass(String typed) {
    try {
      return MassText.parse(typed, houses.house().formats().system().small()).mass();
    } catch (QuantityFormatException e) {
      throw Refusal.ofField("trayMass", "house.problem.what-does-the-tray-weigh");
    }
  }

  /**
   * Puts a tray away: it is not offered any more.
   *
   * @param id its number
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void putAway(long id) {
    trays.findById(id).filter(TrayEntity::isInUse).ifPresent(TrayEntity::putAway);
  }
}
