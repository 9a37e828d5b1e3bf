package mosaicknife.app.homes;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.app.homes.UseBook.Room;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.Qualification;
import mosaicknife.core.use.UsePlan.Making;

/** What the page of uses shows beside the plan. */
final class HomeView {

  private HomeView() {}

  /** A part on hand with what it may become. */
  record PartRow(String id, String name, String weight, List<FishUse> fits, List<Not> not) {}

  /** Why a part does not become something. */
  record Not(String use, String why) {}

  /** One use with what each venue takes of it. */
  record WantRow(FishUse use, List<Want> venues) {}

  /** What one venue takes. */
  record Want(long venue, String name, Integer most) {}

  /** The last hour of a venue. */
  record LastHour(long venue, String name, String time) {}

  /** One kind of equipment, or hands, with what each venue has. */
  record RoomRow(String what, List<Want> venues) {}

  static List<PartRow> parts(List<OnHand> parts, List<FishUse> uses, Formats formats) {
    return parts.stream()
        .map(
            part ->
                new PartRow(
                    part.id().text(),
                    name(part, formats),
                    part.measured() ? formats.mass(part.mass()) : formats.about(part.mass()),
                    uses.stream().filter(use -> Qualification.qualifies(use, part)).toList(),
                    uses.stream()
                        .filter(use -> use.kinds().contains(part.kind().code()))
                        .filter(use -> !Qualification.qualifies(use, part))
                        .map(
                            use ->
                                new Not(
                                    use.name(),
                                    formats.say(Qualification.whyNot(use, part).get(0))))
                        .toList()))
        .toList();
  }

  static List<WantRow> wants(List<FishUse> uses, List<Named> venues, Map<Long, Room> rooms) {
    return uses.stream()
        .map(
            use ->
                new WantRow(
                    use,
                    venues.stream()
                        .map(
                            venue ->
                                new Want(
                                    venue.id(),
                                    venue.name(),
                                    rooms.get(venue.id()).wanted().get(use.code())))
                        .toList()))
        .sorted(Comparator.comparing(row -> row.venues().stream().allMatch(w -> w.most() == null)))
        .toList();
  }

  static List<RoomRow> rooms(List<Named> venues, Map<Long, Room> rooms, Formats formats) {
    List<RoomRow> rows =
        java.util.Arrays.stream(Equipment.values())
            .filter(kind -> kind != Equipment.NONE)
            .map(
                kind ->
                    new RoomRow(
                        kind.name(),
                        venues.stream()
                            .map(
                                venue ->
                                    new Want(
                                        venue.id(),
                                        venue.name(),
                                        rooms.get(venue.id()).equipment().get(kind)))
                            .toList()))
            .collect(Collectors.toList());
    rows.add(
        0,
        new RoomRow(
            "HANDS",
            venues.stream()
                .map(
                    venue ->
                        new Want(
                            venue.id(), venue.name(), rooms.get(venue.id()).hands().orElse(null)))
                .toList()));
    return rows;
  }

  static List<LastHour> lastHours(List<Named> venues, Map<Long, Room> rooms) {
    return venues.stream()
        .map(
            venue ->
                new LastHour(
                    venue.id(),
                    venue.name(),
                    rooms.get(venue.id()).lastHour().map(Object::toString).orElse("")))
        .toList();
  }

  /** Two lots may have a part of the same name. */
  static String name(OnHand part, Formats formats) {
    if (part.id() instanceof HandId.Kept kept) {
      return formats.say("homes.said.part-on-shelf", part.name(), kept.label());
    }
    return part.id() instanceof HandId.Cut cut
        ? formats.say("homes.said.part-of-lot", part.name(), cut.lot())
        : part.name();
  }

  /** A making as it is sent back when it is accepted. */
  static String sent(Making making) {
    return making.wanted().use().code()
        + "@"
        + making.wanted().venue()
        + "@"
        + making.units()
        + making.from().stream()
            .map(grams -> "@" + grams.part().id().text() + "=" + grams.mass().milligrams())
            .collect(Collectors.joining());
  }

  static String price(long lost, ExactMoney like, Formats formats) {
    return lost > 0 ? formats.money(mosaicknife.core.use.Hand.money(lost, like)) : "";
  }
}
