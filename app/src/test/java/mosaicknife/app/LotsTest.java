package mosaicknife.app;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.LongStream;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.Delivery;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.LotParts;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.cost.CostingMethod;
import mosaicknife.core.lot.Arrival;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Origin;
import mosaicknife.core.lot.Receipt;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.lot.Weighing.Kind;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.AccessDeniedException;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Lots and weighings on a real PostgreSQL. */
public class LotsTest extends WithDatabase {

  @Autowired private LotRegister lots;
  @Autowired private WeighingRecorder bench;
  @Autowired private LotSheets sheets;
  @Autowired private PurposeAssigner purposes;
  @Autowired private HouseSettings houses;
  @Autowired private CatalogueEditor catalogue;
  @Autowired private LotParts parts;
  @Autowired private Words words;
  @Autowired private JdbcClient jdbc;
  @Autowired private Clock clock;

  @Test
  public void aLotSentTwiceIsOneLotAndHasThePartsOfItsState() {
    as(
        "tobiah",
        () -> {
          Delivery receipt = receipt("hake", State.GUTTED_AND_GILLED, "4.860", 0);
          Lot lot = lots.receive(receipt);
          assertEquals(lots.receive(receipt).id(), lot.id());
          List<String> slots =
              sheets.get(lot.id()).parts().stream().map(part -> part.slot()).toList();
          assertEquals(
              slots,
              List.of("fins", "head", "collar", "fillet-left", "fillet-right", "belly", "frame"));
        });
  }

  @Test
  public void aWeighingSentTwiceEvenAtOnceIsOneWeighing() throws Exception {
    Lot lot = hake();
    Take take = take(lot, "head", "0.985");
    ExecutorService both = Executors.newFixedThreadPool(2);
    List<Future<?>> sent = new ArrayList<>();
    Callable<Void> send =
        () -> {
          as("tobiah", () -> bench.take(take));
          return null;
        };
    for (int i = 0; i < 2; i++) {
      sent.add(both.submit(send));
    }
    for (Future<?> one : sent) {
      one.get();
    }
    both.shutdown();
    assertEquals(sheets.facts(lot.id()).size(), 1);
    assertEquals(sheets.get(lot.id()).breakdown().tallied(), Mass.ofGrams(985));
  }

  @Test
  public void twoTabletsCannotWeighOnePartWithoutNoticing() {
    Lot lot = hake();
    as("tobiah", () -> bench.take(take(lot, "head", "0.985")));
    as(
        "maren",
        () -> {
          Refusal refusal =
              expectThrows(Refusal.class, () -> bench.take(take(lot, "head", "0.990")));
          assertEquals(refusal.kind(), Refusal.Kind.STALE);
          assertTrue(
              words.say(refusal).startsWith("Head was already weighed: 985 g by Tobiah Lund at "),
              words.say(refusal));
        });
    assertEquals(sheets.get(lot.id()).breakdown().tallied(), Mass.ofGrams(985));
  }

  @Test
  public void aCorrectionNeedsAReasonAndKeepsWhatItCorrects() {
    Lot lot = hake();
    as(
        "tobiah",
        () -> {
          bench.take(take(lot, "head", "1.197"));
          UUID first = sheets.facts(lot.id()).get(0).id();
          Refusal refusal =
              expectThrows(Refusal.class, () -> bench.take(correction(lot, first, "0.985", " ")));
          assertEquals(refusal.field(), "reason");
          bench.take(correction(lot, first, "0.985", "wrong tare"));
          List<Weighing> facts = sheets.facts(lot.id());
          assertEquals(
              facts.stream().map(Weighing::kind).toList(), List.of(Kind.TAKEN, Kind.CORRECTED));
          assertEquals(facts.get(1).supersedes(), Optional.of(first));
          assertEquals(facts.get(1).reason(), "wrong tare");
          assertEquals(sheets.get(lot.id()).breakdown().tallied(), Mass.ofGrams(985));

          bench.takeBack(lot.id());
          assertEquals(sheets.get(lot.id()).breakdown().tallied(), Mass.ofGrams(1197));
        });
  }

  @Test
  public void takingBackLeavesTheFactAndLetsThePartBeWeighedAgain() {
    Lot lot = hake();
    as(
        "tobiah",
        () -> {
          bench.take(take(lot, "head", "0.985"));
          assertEquals(bench.takeBack(lot.id()), "Head");
          assertEquals(sheets.get(lot.id()).breakdown().tallied(), Mass.ZERO);
          bench.take(take(lot, "head", "0.987"));
          assertEquals(sheets.facts(lot.id()).size(), 3);
          assertEquals(sheets.get(lot.id()).breakdown().tallied(), Mass.ofGrams(987));
        });
    as(
        "maren",
        () -> {
          Refusal refusal = expectThrows(Refusal.class, () -> bench.takeBack(lot.id()));
          assertEquals(words.say(refusal), "You have no weight on this lot to take back.");
        });
  }

  @Test
  public void theDatabaseItselfRefusesToChangeAFact() {
    Lot lot = hake();
    as("tobiah", () -> bench.take(take(lot, "head", "0.985")));
    UUID id = sheets.facts(lot.id()).get(0).id();
    for (String sql :
        List.of(
            "update weighing set mass_mg = 1 where id = ?",
            "delete from weighing where id = ?",
            "insert into weighing select gen_random_uuid(), part_id, fish_no, kind, -5, source,"
                + " gross_mg, tare_mg, readability_mg, typed, id, 'x', taken_by, taken_at from"
                + " weighing where id = ?",
            "insert into weighing select gen_random_uuid(), part_id, fish_no, kind, mass_mg,"
                + " source, gross_mg, tare_mg, readability_mg, typed, null, '', taken_by, taken_at"
                + " from weighing where id = ?")) {
      assertThrows(DataAccessException.class, () -> jdbc.sql(sql).param(id).update());
    }
    assertEquals(sheets.facts(lot.id()).size(), 1);
  }

  @DataProvider
  Object[][] impossible() {
    return new Object[][] {
      {"head", 1, "5.000", "can’t weigh 5.000 kg: the whole lot weighs 4.860 kg"},
      {"head", 1, "0.001318", "A part must weigh at least 2 g."},
      {"head", 7, "0.985", "has no fish 7"},
      {"tail-of-a-mermaid", 1, "0.985", "has no such part"},
    };
  }

  @Test(dataProvider = "impossible")
  public void refusesAWeightThatCannotBe(String slot, int fish, String kilograms, String words) {
    Lot lot = hake();
    as(
        "tobiah",
        () -> {
          Take take = take(lot, slot, fish, kilograms);
          Refusal refusal = expectThrows(Refusal.class, () -> bench.take(take));
          assertTrue(this.words.say(refusal).contains(words), this.words.say(refusal));
        });
    assertEquals(sheets.facts(lot.id()).size(), 0);
  }

  @Test
  public void oneFishWeighedAloneThenTheOthersTogether() {
    as(
        "tobiah",
        () -> {
          Lot lot = lots.receive(receipt("gurnard", State.UNGUTTED, "2.900", 0, 3));
          bench.take(take(lot, "frame", 0, "0.400"));
          assertThrows(Refusal.class, () -> bench.take(take(lot, "frame", 1, "0.130")));
          bench.take(take(lot, "head", 1, "0.300"));
          Take alone = take(lot, "gills", 1, "0.030");
          bench.take(alone);
          bench.take(take(lot, "head", 0, "0.500"));
          bench.take(take(lot, "gills", 0, "0.050"));
          LotSheet sheet = sheets.get(lot.id());
          assertEquals(sheet.breakdown().findLeaf("frame").orElseThrow().pieces(), 3);
          assertEquals(sheet.breakdown().findLeaf("head#1").orElseThrow().pieces(), 1);
          assertEquals(sheet.breakdown().findLeaf("head").orElseThrow().pieces(), 2, "the others");
          LotPart head = sheet.find("head").orElseThrow();
          assertEquals(head.mass(), Mass.ofGrams(800), "all three");
          assertTrue(head.isDone(3));
          assertEquals(head.find(1).orElseThrow().mass(), Mass.ofGrams(300), "its own");
          Refusal refusal =
              expectThrows(
                  Refusal.class, () -> bench.takeBack(lot.id(), UUID.randomUUID(), alone.id()));
          assertEquals(refusal.key(), "LotProblem.WEIGHED_BESIDE_THE_REST");
        });
  }

  @Test
  public void aPieceCutFromAPartStaysInsideIt() {
    Lot lot = hake();
    as(
        "tobiah",
        () -> {
          bench.take(take(lot, "fillet-left", "1.318"));
          String trim = parts.addPart(lot.id(), "trim", "fillet-left");
          Refusal refusal = expectThrows(Refusal.class, () -> bench.take(take(lot, trim, "1.320")));
          assertEquals(
              words.say(refusal),
              "The pieces of Left fillet would weigh 1.320 kg, but it weighs only 1.318 kg. Check the"
                  + " figure, or weigh it again.");
          bench.take(take(lot, trim, "0.120"));
          LotSheet sheet = sheets.get(lot.id());
          assertEquals(sheet.breakdown().tallied(), Mass.ofGrams(1318));
          assertEquals(sheet.breakdown().leaves().get(0).id(), trim);
        });
  }

  @Test
  public void aPartIsNotCorrectedBelowItsPieces() {
    Lot lot = hake();
    as(
        "tobiah",
        () -> {
          Take first = take(lot, "fillet-left", "1.318");
          bench.take(first);
          bench.take(take(lot, parts.addPart(lot.id(), "trim", "fillet-left"), "0.120"));
          bench.take(take(lot, parts.addPart(lot.id(), "tail-piece", "fillet-left"), "0.210"));
          Refusal refusal =
              expectThrows(
                  Refusal.class,
                  () ->
                      bench.take(
                          correction(lot, first.id(), "fillet-left", "0.329", "read wrong")));
          assertEquals(
              words.say(refusal),
              "Left fillet would weigh 329 g, but what was cut from it weighs 330 g. Check the"
                  + " figure, or correct its pieces first.");
          Take right = correction(lot, first.id(), "fillet-left", "0.330", "read wrong");
          bench.take(right);
          assertEquals(
              sheets.get(lot.id()).find("fillet-left").orElseThrow().mass(), Mass.ofGrams(330));
          bench.takeBack(lot.id(), UUID.randomUUID(), right.id());
          assertEquals(
              sheets.get(lot.id()).find("fillet-left").orElseThrow().mass(), Mass.ofGrams(1318));
        });
  }

  /** With the session's one question that is four at most. */
  @Test
  public void aWeightTakesTwoQuestionsToTheDatabaseAndAPieceThree() {
    Lot lot = hake();
    as(
        "tobiah",
        () -> {
          StatementCounter.restart();
          bench.take(take(lot, "fillet-left", "1.318"));
          assertEquals(StatementCounter.count(), 2);
          String trim = parts.addPart(lot.id(), "trim", "fillet-left");
          StatementCounter.restart();
          bench.take(take(lot, trim, "0.120"));
          assertEquals(StatementCounter.count(), 3);
        });
  }

  @Test
  public void aClosedLotIsNotChangedAndAStaleOneNotClosed() {
    Lot lot = hake();
    as(
        "ines",
        () -> {
          lots.costBy(
              lot.id(),
              lot.version(),
              CostingMethod.BY_PRODUCT_CREDIT,
              Optional.of(Serving.slices(Mass.ofGrams(165))),
              Optional.empty());
          assertThrows(Refusal.class, () -> lots.finish(lot.id(), lot.version()));
          lots.finish(lot.id(), lots.get(lot.id()).version());
          Refusal refusal =
              expectThrows(Refusal.class, () -> bench.take(take(lot, "head", "0.985")));
          assertTrue(words.say(refusal).contains("is closed"));
          lots.reopen(lot.id(), lots.get(lot.id()).version());
          bench.take(take(lot, "head", "0.985"));
        });
  }

  @DataProvider
  Object[][] badDates() {
    return new Object[][] {{-1, "It can’t be landed after today."}, {31, "more than 30 days ago"}};
  }

  @Test(dataProvider = "badDates")
  public void refusesDatesThatCannotBe(int daysAgo, String words) {
    as(
        "tobiah",
        () -> {
          Delivery receipt = receipt("hake", State.GUTTED, "4.860", daysAgo);
          Refusal refusal = expectThrows(Refusal.class, () -> lots.receive(receipt));
          assertEquals(refusal.field(), "landedOn");
          assertTrue(this.words.say(refusal).contains(words), this.words.say(refusal));
        });
  }

  @Test
  public void gillsNeverGoIntoAPotAndWhatIsKeptHasDatePlaceAndKeeper() {
    Lot lot = hake();
    as(
        "ines",
        () -> {
          assertThrows(
              Refusal.class, () -> purposes.assign(lot.id(), "gills", 0, Purpose.POT, Use.PLAIN));
          Refusal refusal =
              expectThrows(
                  Refusal.class,
                  () -> purposes.assign(lot.id(), "frame", 0, Purpose.HOLD, Use.PLAIN));
          assertTrue(words.say(refusal).contains("a date, a place and a person"));
          purposes.assign(lot.id(), "frame", 0, Purpose.POT, Use.PLAIN);
          Refusal stale =
              expectThrows(
                  Refusal.class,
                  () -> purposes.assign(lot.id(), "frame", 0, Purpose.BIN, Use.PLAIN));
          assertEquals(stale.kind(), Refusal.Kind.STALE);
        });
  }

  @Test
  public void everyServiceChecksTheRole() {
    Lot lot = hake();
    as(
        "maren",
        () -> {
          assertThrows(
              AccessDeniedException.class,
              () -> lots.receive(receipt("hake", State.GUTTED, "1", 0)));
          assertThrows(
              AccessDeniedException.class,
              () -> purposes.assign(lot.id(), "frame", 0, Purpose.POT, Use.PLAIN));
          assertThrows(AccessDeniedException.class, () -> lots.finish(lot.id(), lot.version()));
        });
    as(
        "tobiah",
        () ->
            assertThrows(
                AccessDeniedException.class,
                () ->
                    lots.costBy(
                        lot.id(),
                        0,
                        CostingMethod.ALL_ON_THE_MAINS,
                        Optional.empty(),
                        Optional.empty())));
  }

  @Test
  public void theDemoHasLotsInEveryStateOfProgress() {
    List<LotSheet> all = LongStream.rangeClosed(1, 7).mapToObj(sheets::get).toList();
    assertTrue(all.stream().anyMatch(s -> s.lot().isFinished()));
    assertTrue(all.stream().anyMatch(s -> s.balance().verdict() == Verdict.OVER));
    assertTrue(all.stream().anyMatch(s -> s.balance().tallied().equals(Mass.ZERO)));
    assertFalse(
        all.stream()
            .filter(s -> s.lot().species().plan().code().equals("flatfish"))
            .toList()
            .isEmpty());
    // the forgotten tray of 212 g, less the loss of that fish
    Mass over =
        all.stream()
            .filter(s -> s.balance().verdict() == Verdict.OVER)
            .map(s -> s.balance().remainder().abs())
            .findFirst()
            .orElseThrow();
    assertTrue(over.compareTo(Mass.ofGrams(212)) < 0 && over.compareTo(Mass.ofGrams(80)) > 0);
  }

  private void as(String person, Runnable work) {
    people.as(person, work);
  }

  private Lot hake() {
    List<Lot> lot = new ArrayList<>();
    as("tobiah", () -> lot.add(lots.receive(receipt("hake", State.GUTTED, "4.860", 0))));
    return lot.get(0);
  }

  private Delivery receipt(String species, State state, String kilograms, int daysAgo) {
    return receipt(species, state, kilograms, daysAgo, 1);
  }

  private Delivery receipt(String species, State state, String kilograms, int daysAgo, int count) {
    return new Delivery(
        UUID.randomUUID(),
        houses.venues().get(0).id(),
        new Receipt(
            catalogue.now().getSpecies(species),
            state,
            count,
            Mass.ofKilograms(kilograms),
            Optional.empty(),
            Optional.of(
                UnitPrice.ofPerKilogram(
                    ExactMoney.of("11.40", houses.house().formats().currency()))),
            "Grey Skerry Landings",
            Origin.WILD,
            LocalDate.now(clock).minusDays(daysAgo),
            "",
            Arrival.UNASKED));
  }

  private static Take take(Lot lot, String slot, String kilograms) {
    return take(lot, slot, 1, kilograms);
  }

  private static Take take(Lot lot, String slot, int fish, String kilograms) {
    return new Take(
        UUID.randomUUID(), lot.id(), slot, fish, typed(kilograms), Optional.empty(), "");
  }

  private static Take correction(Lot lot, UUID first, String kilograms, String reason) {
    return correction(lot, first, "head", kilograms, reason);
  }

  private static Take correction(
      Lot lot, UUID first, String slot, String kilograms, String reason) {
    return new Take(
        UUID.randomUUID(), lot.id(), slot, 1, typed(kilograms), Optional.of(first), reason);
  }

  private static Entry typed(String kilograms) {
    return Entry.of(MassText.parse(kilograms, MassUnit.KILOGRAM));
  }
}
