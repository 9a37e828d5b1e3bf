package mosaicknife.app.cutplan;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.catalogue.Answer;
import mosaicknife.app.house.Named;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlateLines;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.buying.Counts;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CutPlan.Plate;
import mosaicknife.core.plan.CuttingOption;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.plan.Pieces;
import mosaicknife.core.plan.PlanChange;
import mosaicknife.core.plan.PreWork;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;

/**
 * The cut plan of one lot, ready for the page and the cut sheet.
 *
 * @param sums portions, minutes, yield and plate of the plan as it is
 * @param options the questions with their answers and what each would change
 * @param tiles every part with its fate, in cutting order
 * @param open how many tiles have no purpose yet
 * @param preWork what to do before the first cut
 * @param transfers what goes to another venue
 */
record CutPlanView(
    Sums sums,
    List<OptionRow> options,
    List<TileRow> tiles,
    long open,
    List<PreWork.Item> preWork,
    List<Transfer> transfers) {

  /** One fish in ten gives fewer plates than the least that is said, one in ten more. */
  private static final double SELDOM_FEWER = 0.1;

  /** The sums of a plan. */
  record Sums(
      String portions, String minutes, String yield, String plate, Optional<PlateLines> lines) {}

  /** A question. */
  record OptionRow(
      CuttingOption option,
      String house,
      String reason,
      boolean overridden,
      List<ChoiceRow> choices) {}

  /** An answer, what it would change, and what would then have to be done beforehand. */
  record ChoiceRow(
      CuttingOption.Choice choice,
      boolean chosen,
      boolean ofHouse,
      List<String> changes,
      String then) {}

  /** A part with its fate. */
  record TileRow(
      LotPart part,
      String mass,
      boolean measured,
      Optional<Purpose> usual,
      List<PurposeChoice> purposes,
      long venue,
      String venueName,
      List<PieceChip> pieces,
      String usualPieces) {}

  /** A piece the part can be cut into. */
  record PieceChip(PartKind kind, boolean chosen, boolean usual, String about) {}

  /** A purpose that may be chosen. */
  record PurposeChoice(Purpose purpose, boolean chosen, boolean usual, boolean allowed) {}

  /** What goes to a venue. */
  record Transfer(String venue, List<String> lines, String total) {}

  /** What the view is made of. */
  record Ground(
      LotSheet sheet,
      Map<String, Answer> answers,
      Map<String, Answer> house,
      List<Named> venues,
      Catalogue catalogue,
      ExactMoney labourPerHour,
      boolean money,
      Formats formats) {

    private Plate plate(CutPlan plan) {
      return sheet.plates().planned(plan, labourPerHour);
    }
  }

  static CutPlanView of(Ground source) {
    CutPlan plan = source.sheet().plan();
    List<TileRow> tiles =
        source.sheet().expectedParts().stream().map(part -> tile(source, part)).toList();
    return new CutPlanView(
        sums(source, plan),
        options(source, plan),
        tiles,
        tiles.stream().filter(tile -> tile.part().purpose().isEmpty()).count(),
        preWork(source, plan),
        transfers(source, tiles));
  }

  private static Sums sums(Ground source, CutPlan plan) {
    Formats formats = source.formats();
    Plate plate = source.plate(plan);
    return new Sums(
        plates(source, plate),
        "≈ " + source.formats().say("cutplan.said.minutes", Math.round(plan.minutes())),
        "≈ " + formats.percent(plan.yield()),
        source.money() ? plate.whole().map(m -> "≈ " + formats.money(m)).orElse("–") : "",
        plate
            .cost()
            .filter(cost -> source.money())
            .map(cost -> PlateLines.of(cost, false, formats)));
  }

  /** Exact once the main cuts are weighed; before that about so many, and mostly between two. */
  private static String plates(Ground source, Plate plate) {
    LotSheet sheet = source.sheet();
    if (sheet.isCounted()) {
      return (sheet.portions().isEstimated() ? "≈ " : "") + sheet.portions().count();
    }
    Optional<Counts> odds = sheet.plates().odds();
    int least = odds.map(counts -> counts.quantile(SELDOM_FEWER)).orElse(0);
    int most = odds.map(counts -> counts.quantile(1 - SELDOM_FEWER)).orElse(0);
    return least == most
        ? source.formats().say("cutplan.said.plates", plate.portions())
        : source.formats().say("cutplan.said.plates-between", plate.portions(), least, most);
  }

  // ---- options --------------------------------------------------------------------------------

  private static List<OptionRow> options(Ground source, CutPlan plan) {
    List<OptionRow> rows = new ArrayList<>();
    Lot lot = source.sheet().lot();
    for (CuttingOption option : CuttingOptions.of(lot.species(), lot.state(), plan.choices())) {
      CuttingOption.Choice chosen = plan.choices().in(option);
      Optional<Answer> house = Optional.ofNullable(source.house().get(option.code()));
      String houseChoice =
          house.map(Answer::choice).filter(c -> option.find(c).isPresent()).orElse("");
      Optional<Answer> own = Optional.ofNullable(source.answers().get(option.code()));
      rows.add(
          new OptionRow(
              option,
              house
                  .filter(answer -> !houseChoice.isEmpty())
                  .map(answer -> houseWords(option, answer, source.formats()))
                  .orElse(""),
              own.map(Answer::reason).orElse(""),
              !houseChoice.isEmpty() && !houseChoice.equals(chosen.code()),
              option.choices().stream()
                  .map(choice -> choice(source, plan, option, choice, chosen, houseChoice))
                  .toList()));
    }
    return rows;
  }

  private static String houseWords(CuttingOption option, Answer answer, Formats formats) {
    return formats.say(
        "cutplan.said.house-answer",
        option.find(answer.choice()).map(CuttingOption.Choice::title).orElse(""),
        answer.reason(),
        answer.by());
  }

  private static ChoiceRow choice(
      Ground source,
      CutPlan plan,
      CuttingOption option,
      CuttingOption.Choice choice,
      CuttingOption.Choice chosen,
      String houseChoice) {
    boolean isChosen = choice.equals(chosen);
    List<String> changes = List.of();
    String then = "";
    if (!isChosen) {
      CutPlan other =
          source
              .sheet()
              .asDecided(
                  CutPlan.of(
                      plan.fish(),
                      plan.choices().with(option.code(), choice.code()),
                      source.catalogue()));
      PlanChange difference =
          PlanChange.between(plan, other, source.plate(plan), source.plate(other));
      changes = words(difference, choice, source);
      then = preWorkThen(source, plan, other).orElse("");
    }
    return new ChoiceRow(choice, isChosen, choice.code().equals(houseChoice), changes, then);
  }

  /** The first thing that would have to be done beforehand, or be heeded, and now has not. */
  private static Optional<String> preWorkThen(Ground source, CutPlan plan, CutPlan other) {
    Set<List<Object>> now =
        preWork(source, plan).stream().map(CutPlanView::work).collect(Collectors.toSet());
    return preWork(source, other).stream()
        .filter(item -> !now.contains(work(item)))
        .findFirst()
        .map(
            item ->
                source
                    .formats()
                    .say(
                        "cutplan.said.then",
                        source.formats().say(item.place()).toLowerCase(Locale.ROOT),
                        first(source.formats().say(item.what()))));
  }

  /** The same work for another reason is the same work. */
  private static List<Object> work(PreWork.Item item) {
    return List.of(item.place(), item.what());
  }

  /** The first sentence, without its point. */
  private static String first(String what) {
    String one = what.substring(0, what.indexOf('.'));
    return one.substring(0, 1).toLowerCase(Locale.ROOT) + one.substring(1);
  }

  private static List<String> words(
      PlanChange difference, CuttingOption.Choice choice, Ground source) {
    Formats formats = source.formats();
    List<String> words = new ArrayList<>();
    difference.parts().stream()
        .limit(1)
        .map(change -> change.name() + " " + signed(change.by(), formats))
        .forEach(words::add);
    choice.aims().stream()
        .map(
            aim ->
                formats.say(
                    "cutplan.said.goes-to", formats.say(aim.purpose()).toLowerCase(Locale.ROOT)))
        .forEach(words::add);
    if (difference.portions() != 0) {
      words.add(
          formats
              .say(
                  "cutplan.said.portion",
                  Formats.signed(difference.portions()),
                  Math.abs(difference.portions()))
              .replace('-', '−'));
    }
    if (Math.abs(difference.minutes()) >= 0.5) {
      words.add(
          formats
              .say("cutplan.said.min", Formats.signed(Math.round(difference.minutes())))
              .replace('-', '−'));
    }
    if (source.money()) {
      difference
          .plate()
          .filter(money -> money.rounded(RoundingMode.HALF_UP).minorUnits() != 0)
          .map(
              money ->
                  formats.say(
                      "cutplan.said.a-plate",
                      (money.isNegative() ? "" : "+") + formats.money(money).replace('-', '−')))
          .ifPresent(words::add);
    }
    return words.isEmpty() ? List.of(formats.say("cutplan.said.nothing-else-changes")) : words;
  }

  private static String signed(Mass by, Formats formats) {
    // a norm knows no tenths of a gram
    Mass whole = Mass.ofGrams(Math.round(by.abs().milligrams() / 1000.0));
    return (by.isNegative() ? "−" : "+") + formats.roughly(whole).substring(2);
  }

  // ---- tiles ----------------------------------------------------------------------------------

  private static TileRow tile(Ground source, LotPart part) {
    Formats formats = source.formats();
    Optional<Purpose> usual = source.sheet().usualPurpose(part);
    String mass =
        part.isStarted()
            ? formats.mass(part.mass())
            : part.expected().map(formats::roughly).orElse("");
    List<PurposeChoice> purposes =
        Stream.of(Purpose.values())
            .map(
                purpose ->
                    new PurposeChoice(
                        purpose,
                        part.purpose().filter(purpose::equals).isPresent(),
                        usual.filter(purpose::equals).isPresent(),
                        part.kind().mayBeFor(purpose)
                            && (purpose != Purpose.HOLD || part.held().isPresent())))
            .toList();
    long venue = part.venueId().orElse(0L);
    return new TileRow(
        part,
        mass,
        part.isStarted(),
        usual,
        purposes,
        venue,
        source.venues().stream()
            .filter(named -> named.id() == venue)
            .map(Named::name)
            .findFirst()
            .orElse(""),
        pieces(source, part),
        formats.list(
            Pieces.of(part.kind()).stream()
                .filter(piece -> Pieces.of(part.kind()).size() > 1)
                .map(piece -> source.catalogue().findKind(piece.kind()).orElseThrow().name())
                .map(name -> name.toLowerCase(Locale.ROOT))
                .toList()));
  }

  /** Into what a part of the whole fish can be cut; what it usually is stands first. */
  private static List<PieceChip> pieces(Ground source, LotPart part) {
    if (part.parentId().isPresent() || part.inARow() || source.sheet().lot().isFinished()) {
      return List.of();
    }
    List<PartKind> planned = source.sheet().piecesPlanned(part);
    return source.catalogue().cutFrom(part.kind()).stream()
        .map(kind -> chip(source, part, kind, planned.contains(kind)))
        .sorted(Comparator.comparing(chip -> !chip.usual()))
        .toList();
  }

  private static PieceChip chip(Ground source, LotPart part, PartKind kind, boolean chosen) {
    Optional<Pieces.Piece> known = Pieces.find(part.kind(), kind);
    return new PieceChip(
        kind,
        chosen,
        known.isPresent(),
        known
            .flatMap(piece -> part.expected().map(piece::of))
            .map(source.formats()::roughly)
            .orElse(""));
  }

  private static List<PreWork.Item> preWork(Ground source, CutPlan plan) {
    Lot lot = source.sheet().lot();
    List<PreWork.PartFate> fates =
        plan.parts().stream()
            .map(
                part ->
                    new PreWork.PartFate(
                        part.slot().kind(), part.slot().name(), fate(source, part)))
            .toList();
    return PreWork.of(
        new PreWork.Question(
            lot.species(),
            lot.state(),
            lot.fish(),
            plan.fish().mean(),
            lot.arrival().scaled(),
            plan.choices(),
            fates));
  }

  /** What was decided for a part, else what the plan proposes for it. */
  private static Optional<Purpose> fate(Ground source, CutPlan.Planned part) {
    return source
        .sheet()
        .find(part.slot().code())
        .flatMap(LotPart::purpose)
        .or(() -> Optional.of(part.purpose()));
  }

  private static List<Transfer> transfers(Ground source, List<TileRow> tiles) {
    Map<String, List<TileRow>> byVenue =
        tiles.stream()
            .filter(tile -> !tile.venueName().isEmpty())
            .filter(tile -> !tile.venueName().equals(source.sheet().lot().venue().name()))
            .collect(Collectors.groupingBy(TileRow::venueName, TreeMap::new, Collectors.toList()));
    List<Transfer> transfers = new ArrayList<>();
    byVenue.forEach(
        (venue, rows) ->
            transfers.add(
                new Transfer(
                    venue,
                    rows.stream().map(row -> line(row, source.formats())).toList(),
                    total(rows, source.formats()))));
    return transfers;
  }

  private static String line(TileRow tile, Formats formats) {
    LotPart part = tile.part();
    return part.becomes().isEmpty()
        ? part.name() + ", " + tile.mass()
        : formats.say("cutplan.said.line-for", part.name(), tile.mass(), part.becomes());
  }

  private static String total(List<TileRow> rows, Formats formats) {
    boolean measured = rows.stream().allMatch(TileRow::measured);
    Mass all =
        Mass.total(
            rows.stream()
                .map(
                    row ->
                        row.measured()
                            ? row.part().mass()
                            : row.part().expected().orElse(Mass.ZERO))
                .toList());
    return measured ? formats.mass(all) : formats.roughly(all);
  }
}
