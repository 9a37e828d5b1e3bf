package mosaicknife.app.homes;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.LarderBook;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.LarderRules;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.RecipeBook;
import mosaicknife.core.use.RecipeLine;
import org.springframework.stereotype.Component;

/** Finds what goes into a batch on the shelves of its venue: products of the house. */
@Component
class SubProducts {

  private final UseBook book;
  private final LarderBook shelves;
  private final HouseSettings houses;

  SubProducts(UseBook book, LarderBook shelves, HouseSettings houses) {
    this.book = book;
    this.shelves = shelves;
    this.houses = houses;
  }

  /**
   * Takes what lies there, that which lapses first first.
   *
   * @param batch the batch
   * @param venue the number of the venue where it is made
   * @return what is taken of which items, by line; a line that is bought is not in it
   */
  Map<RecipeLine, List<Input>> of(Batch batch, long venue) {
    RecipeBook recipes = book.recipes();
    Map<RecipeLine, List<Input>> all = new LinkedHashMap<>();
    List<Item> there = List.of();
    for (Batch.Ingredient in : batch.ingredients()) {
      Optional<FishUse> product = recipes.product(in.line());
      if (product.isPresent()) {
        there = there.isEmpty() ? shelves.onShelves() : there;
        List<Input> found = take(there, product.get(), in.mass(), venue);
        if (!found.isEmpty()) {
          all.put(in.line(), found);
        }
      }
    }
    return all;
  }

  private List<Input> take(List<Item> there, FishUse product, Mass wanted, long venue) {
    List<Input> found = new ArrayList<>();
    Mass open = wanted;
    for (Item item : there) {
      Mass some = item.mass().compareTo(open) < 0 ? item.mass() : open;
      if (some.isPositive()
          && item.spot().venue() == venue
          && item.shelved().use().filter(product.code()::equals).isPresent()
          && LarderRules.taking(item, some, Entry.Out.MADE_INTO, "", houses.today()).isEmpty()) {
        Trace.Source of = item.trace().grams().keySet().iterator().next();
        found.add(new Input(new HandId.Kept(of.lot(), of.slot(), item.shelved().code()), some));
        open = open.minus(some);
      }
    }
    return found;
  }

  static Mass mass(List<Input> found) {
    return Mass.total(found.stream().map(Input::mass).toList());
  }
}
