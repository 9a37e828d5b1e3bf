package mosaicknife.app.house;

import mosaicknife.app.shared.Figures;
import org.springframework.stereotype.Component;

/** Writes the figures of messages in the units and the money of the house. */
@Component
class HouseFigures implements Figures {

  private final HouseSettings houses;

  HouseFigures(HouseSettings houses) {
    this.houses = houses;
  }

  @Override
  public Object write(Object figure) {
    // only a figure that has units needs to know the house; a sentence without one needs no
    // database
    return figure instanceof String || figure instanceof Number
        ? figure
        : houses.house().formats().write(figure);
  }
}
