package mosaicknife.app.catalogue;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.RefusedFish;
import mosaicknife.core.anatomy.Species;

/**
 * Which fish is meant by a name, wherever one is typed or sent: one that is refused by none.
 *
 * @param fish the fish of the house
 * @param formats how the house writes
 */
public record FishNames(Catalogue fish, Formats formats) {

  private static final int MOST_NAMED = 6;

  /**
   * Finds the fish of a code or of the whole of a name. The name by which the house writes a fish
   * means that fish, whatever else is sold under it.
   *
   * @param typed as typed or sent
   * @param field the field it stands in, possibly empty
   * @return the fish; empty if none is called that
   * @throws Refusal if it is a name of a fish that is refused, or of several
   */
  public Optional<Species> written(String typed, String field) {
    List<Species> called =
        fish.named(typed).stream()
            .filter(one -> one.name().equalsIgnoreCase(typed.strip()))
            .toList();
    return called.size() == 1 ? Optional.of(called.get(0)) : exactly(typed, field);
  }

  /**
   * Finds the fish somebody means, by a part of a name as well, as the house writes it first.
   *
   * @param typed as typed
   * @param field the field it stands in, possibly empty
   * @return the only fish of that name; empty if none is found
   * @throws Refusal if it is a name of a fish that is refused, or could be several
   */
  public Optional<Species> writtenOrMeant(String typed, String field) {
    Optional<Species> written = written(typed, field);
    return written.isPresent() ? written : one(typed, fish.search(typed), field);
  }

  /**
   * Finds the fish somebody means who has one before him: a name of several asks which.
   *
   * @param typed as typed
   * @param field the field it stands in, possibly empty
   * @return the only fish of that name; empty if none is found
   * @throws Refusal if it is a name of a fish that is refused, or could be several
   */
  public Optional<Species> meant(String typed, String field) {
    Optional<Species> exactly = exactly(typed, field);
    return exactly.isPresent() ? exactly : one(typed, fish.search(typed), field);
  }

  /**
   * Refuses a fish that is not supported.
   *
   * @param refused the fish, if it is one
   * @param field the field it stands in, possibly empty
   * @throws Refusal with its reason
   */
  public static void refuse(Optional<RefusedFish> refused, String field) {
    if (refused.isPresent()) {
      throw Refusal.ofField(field, "shared.problem.said", refused.get().why());
    }
  }

  private Optional<Species> exactly(String typed, String field) {
    Optional<Species> byCode = fish.findSpecies(typed.strip());
    if (byCode.isPresent()) {
      return byCode;
    }
    refuse(fish.findRefused(typed), field);
    return one(typed, fish.named(typed), field);
  }

  private Optional<Species> one(String typed, List<Species> found, String field) {
    if (found.size() <= 1) {
      return found.stream().findFirst();
    }
    throw Refusal.ofField(
        field,
        "catalogue.problem.can-be-several-fish-choose",
        Typed.shortened(typed.strip()),
        formats.list(
            found.stream()
                .limit(MOST_NAMED)
                .map(one -> formats.say("catalogue.said.fish", one.name(), one.scientificName()))
                .toList()));
  }
}
