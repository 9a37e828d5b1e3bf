package mosaicknife.app.homes;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.ItemKeeper;
import mosaicknife.app.larder.KeepingDays;
import mosaicknife.app.larder.LarderKeeper;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.larder.LarderKeeper.PutAway;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.cost.Outlay;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Keeping;
import mosaicknife.core.larder.LabelFacts;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.lot.Held;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Allergen;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.RecipeLine;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what is to be made, and writes down what was made of it or why it was dropped. */
@Service
@Transactional
public class Makings {

  private final MakingRows rows;
  private final MadeFrom from;
  private final PartLetters letters;
  private final UseBook book;
  private final SubProducts subProducts;
  private final LarderKeeper larder;
  private final ItemKeeper items;
  private final KeepingDays days;
  private final HouseSettings houses;

  Makings(
      MakingRows rows,
      MadeFrom from,
      PartLetters letters,
      UseBook book,
      SubProducts subProducts,
      LarderKeeper larder,
      ItemKeeper items,
      KeepingDays days,
      HouseSettings houses) {
    this.rows = rows;
    this.from = from;
    this.letters = letters;
    this.book = book;
    this.subProducts = subProducts;
    this.larder = larder;
    this.items = items;
    this.days = days;
    this.houses = houses;
  }

  static UUID derived(String text) {
    return UUID.nameUUIDFromBytes(text.getBytes(StandardCharsets.UTF_8));
  }

  /**
   * What came out when something was made.
   *
   * @param units how many units
   * @param mass what they weigh; empty to take what the recipe says
   * @param useBy the last day; empty for as long as the use says
   * @param spot where it lies
   * @param served whether it goes out at once
   * @param cold by which reading it is cold, of what comes hot and not from a pot
   */
  public record Made(
      int units,
      Optional<Mass> mass,
      Optional<LocalDate> useBy,
      Shelved.Spot spot,
      boolean served,
      Optional<Chilled> cold) {}

  /**
   * Writes down that something was made: it goes on a shelf with its trace, cost and allergens.
   *
   * @param id the number of the making
   * @param made what came out
   * @return the code of its label
   * @throws Refusal if it was made or dropped already, or less of a part is there
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('MAKING', #id)")
  @SentTwice
  public String made(long id, Made made) {
    return made(id, made, Optional.empty());
  }

  /**
   * What really went in beside the fish, where that is known better than from the recipe.
   *
   * @param beside what was laid out
   * @param allergens what it brought in
   */
  public record WentIn(Outlay beside, Set<Allergen> allergens) {}

  /**
   * Writes down the same of a batch of which it is known what went in.
   *
   * @param id the number of the making
   * @param made what came out
   * @param wentIn what went in; empty for what the recipe says
   * @return the code of its label
   * @throws Refusal if it was made or dropped already, or less of a part is there
   */
  @PreAuthorize("hasAnyAuthority('WEIGH', 'DECIDE_PURPOSE') and @here.of('MAKING', #id)")
  public String made(long id, Made made, Optional<WentIn> wentIn) {
    ToMake planned = rows.open(id);
    FishUse use = planned.use();
    List<Input> there = from.there(planned);
    boolean hot = LabelFacts.comesHot(use) && wentIn.isEmpty() && !made.served();
    if (hot) {
      days.checkCold(made.cold());
    }
    if (hot && LabelFacts.needsCore(use)) {
      days.checkCore(made.cold());
    }
    Mass fish = Mass.total(there.stream().map(Input::mass).toList());
    Batch batch = new Batch(use, fish, fish);
    Map<RecipeLine, List<Input>> products =
        wentIn.isPresent() ? Map.of() : subProducts.of(batch, made.spot().venue());
    Map<RecipeLine, Mass> own = new HashMap<>();
    products.forEach((line, found) -> own.put(line, SubProducts.mass(found)));
    List<Input> all = new ArrayList<>(there);
    products.values().forEach(all::addAll);
    Keeping keeping = days.keeping(use, all);
    LocalDate until = made.useBy().orElseGet(() -> keeping.atMost(days.usual(use)));
    if (use.isAged()) {
      days.checkRaw(there, until);
    }
    Refusal.ifFound(keeping.problem(until));
    if (use.purpose() == Purpose.HOLD) {
      Held held = new Held(until, made.spot().place(), made.spot().keeper());
      there.forEach(input -> letters.give(input, use, Optional.of(held)));
    }
    PutAway away =
        new PutAway(
            use.name(),
            Optional.of(use.code()),
            made.mass().orElse(batch.out()),
            made.units(),
            wentIn
                .map(WentIn::beside)
                .orElseGet(() -> batch.outlay(houses.house().labourPerHour(), made.units(), own)),
            wentIn.map(WentIn::allergens).orElseGet(() -> book.recipes().allergens(use)),
            new Shelved.Traits(
                LabelFacts.bones(use, from.kinds(there)),
                from.mayBeRaw(use, there),
                made.mass().isEmpty()),
            until,
            keeping,
            use.kept().state(),
            made.spot());
    String code = larder.make(derived("making:" + id), away, all);
    made.cold().filter(cold -> hot).ifPresent(cold -> items.chilled(code, cold));
    rows.end(id, larder.numberOf(code), "");
    if (made.served()) {
      items.take(UUID.randomUUID(), code, Optional.empty(), Entry.Out.EATEN, "");
    }
    return code;
  }

  /**
   * Drops what was to be made; its parts are free again.
   *
   * @param id the number of the making
   * @param reason why
   * @throws Refusal if no reason was given, or it was made or dropped already
   */
  @PreAuthorize("hasAuthority('DECIDE_PURPOSE') and @here.of('MAKING', #id)")
  public void drop(long id, String reason) {
    ToMake dropped = rows.open(id);
    rows.end(id, null, PlainText.needed(reason, 160, "reason", FieldName.REASON));
    dropped.from().forEach(input -> letters.forget(input, dropped.use()));
  }
}
