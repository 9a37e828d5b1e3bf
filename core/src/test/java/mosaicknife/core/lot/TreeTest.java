package mosaicknife.core.lot;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.plan.Pieces;
import mosaicknife.core.plan.Pieces.Piece;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/**
 * Large fish whose loins are cut further, planned before the first cut and weighed piece by piece.
 */
public class TreeTest {

  private static final List<String> PIECES =
      List.of("eye-of-loin", "back-strip", "inner-strip", "tail-piece", "trim");

  private static TestLot albacore() {
    return new TestLot("albacore", State.GUTTED, 1, "10", "");
  }

  private static TestLot withPieces(TestLot lot, String loin) {
    PIECES.forEach(kind -> lot.cut(loin, kind));
    return lot;
  }

  private static long grams(LotSheet sheet, String slot) {
    return Math.round(sheet.find(slot).orElseThrow().expected().orElseThrow().milligrams() / 1e3);
  }

  @Test
  public void aPieceIsExpectedAsAShareOfItsPartAndOfItsWeightOnceThatIsKnown() {
    TestLot lot = withPieces(albacore(), "loin-top-left");
    long loin = grams(lot.sheet(), "loin-top-left");
    assertEquals(grams(lot.sheet(), "eye-of-loin-of-loin-top-left"), Math.round(loin * 0.5), 1.0);
    lot.weigh("loin-top-left", 1, 1400);
    assertEquals(grams(lot.sheet(), "eye-of-loin-of-loin-top-left"), 700);
    assertEquals(grams(lot.sheet(), "tail-piece-of-loin-top-left"), 196);
  }

  @Test
  public void whatLiesInsideAPartIsNotToComeTwice() {
    Mass before = albacore().sheet().balance().outstanding();
    TestLot lot = withPieces(albacore(), "loin-top-left");
    assertEquals(lot.sheet().balance().outstanding(), before);
    lot.weigh("loin-top-left", 1, 1400);
    Mass weighed = lot.sheet().balance().outstanding();
    lot.weigh("eye-of-loin-of-loin-top-left", 1, 690);
    assertEquals(lot.sheet().balance().outstanding(), weighed);
    assertEquals(lot.sheet().balance().tallied(), Mass.ofGrams(1400));
  }

  @Test
  public void aLoinThatIsCutBeforeItIsWeighedIsItsPieces() {
    TestLot lot = withPieces(albacore(), "loin-top-left");
    long loin = grams(lot.sheet(), "loin-top-left");
    lot.weigh("eye-of-loin-of-loin-top-left", 1, 700);
    LotSheet sheet = lot.sheet();
    assertTrue(sheet.isOpened(sheet.find("loin-top-left").orElseThrow()));
    assertEquals(sheet.next(1).orElseThrow().slot(), "back-strip-of-loin-top-left");
    assertEquals(sheet.balance().tallied(), Mass.ofGrams(700));
    lot.weigh("back-strip-of-loin-top-left", 1, 200)
        .weigh("inner-strip-of-loin-top-left", 1, 170)
        .weigh("tail-piece-of-loin-top-left", 1, 200)
        .weigh("trim-of-loin-top-left", 1, 100);
    sheet = lot.sheet();
    assertEquals(sheet.next(1).orElseThrow().slot(), "loin-bottom-left", "never back to the loin");
    withPieces(lot, "loin-bottom-left");
    assertEquals(
        lot.sheet().next(1).orElseThrow().slot(),
        "eye-of-loin-of-loin-bottom-left",
        "the next loin is cut as the last one was");
    assertEquals(sheet.balance().tallied(), Mass.ofGrams(1370));
    assertEquals(
        sheet.find("loin-top-left").orElseThrow().outstanding(),
        Mass.ZERO,
        "of a loin of about " + loin + " g nothing worth waiting for is left");
  }

  @Test
  public void ofALoinWithOnePieceOffTheRestIsStillToCome() {
    TestLot lot = albacore().cut("loin-top-left", "eye-of-loin");
    long loin = grams(lot.sheet(), "loin-top-left");
    lot.weigh("eye-of-loin-of-loin-top-left", 1, 700);
    assertEquals(
        lot.sheet().find("loin-top-left").orElseThrow().outstanding().milligrams() / 1e3,
        loin * 0.5,
        1.0);
  }

  @Test
  public void thePlanCountsPlatesInsideThePiecesAndSoDoesTheTally() {
    ExactMoney hour = ExactMoney.of("24", TestLot.EUR);
    TestLot whole = albacore().portion("160");
    LotSheet before = whole.sheet();
    long loin = grams(before, "loin-top-left");
    TestLot lot = withPieces(albacore(), "loin-top-left").portion("160");
    LotSheet sheet = lot.sheet();
    long planned =
        sheet
            .plan()
            .plate(sheet.plates().serving(), sheet.lot().cost().orElseThrow().total(), hour)
            .portions();
    long uncut =
        before
            .plan()
            .plate(before.plates().serving(), before.lot().cost().orElseThrow().total(), hour)
            .portions();
    long eye = (long) Math.floor(loin * 0.5 / 160);
    long tail = (long) Math.floor(loin * 0.14 / 160);
    assertEquals(planned, uncut - loin / 160 + eye + tail);
  }

  @Test
  public void aPieceHasItsUsualPurposeAndTheLotIsClosedByItsPieces() {
    TestLot lot = withPieces(albacore(), "loin-top-left");
    LotSheet sheet = lot.sheet();
    assertEquals(
        sheet.usualPurpose(sheet.find("back-strip-of-loin-top-left").orElseThrow()),
        Optional.of(Purpose.SECOND_PLATE));
    for (LotPart part : sheet.parts()) {
      boolean cut = part.slot().equals("loin-top-left");
      if (!cut) {
        lot.weigh(part.slot(), 1, 0, part.expected().orElseThrow());
      }
    }
    LotSheet done = lot.sheet();
    assertFalse(done.next(1).isPresent());
    assertEquals(done.balance().verdict(), Verdict.CLOSED);
    assertTrue(done.mainsToCome().isEmpty());
  }

  @Test
  public void piecesOfALoinThatIsLeftOnAreNotAskedForButWhatWasWeighedCounts() {
    TestLot lot = withPieces(albacore(), "loin-top-left").skip("loin-top-left");
    assertTrue(lot.sheet().expectedParts().stream().noneMatch(part -> part.parentId().isPresent()));
    assertEquals(lot.sheet().next(1).orElseThrow().slot(), "fins");
    lot.weigh("eye-of-loin-of-loin-top-left", 1, 700);
    assertEquals(lot.sheet().balance().tallied(), Mass.ofGrams(700));
  }

  @Test
  public void piecesOfAPartThatOnlyAnotherRouteHasGoWithItUnlessTheyWereWeighed() {
    TestLot lot =
        new TestLot("albacore", State.GUTTED, 1, "10", "")
            .cut("loin-bottom-left", "eye-of-loin")
            .skip("loin-bottom-left")
            .routed("route", "bone-in");
    assertTrue(lot.sheet().find("eye-of-loin-of-loin-bottom-left").isEmpty());
    lot.weigh("eye-of-loin-of-loin-bottom-left", 1, 500);
    LotSheet sheet = lot.sheet();
    assertTrue(sheet.find("loin-bottom-left").isEmpty(), "the route has no such loin");
    assertEquals(sheet.balance().tallied(), Mass.ofGrams(500), "nothing weighed is lost");
  }

  @Test
  public void theUsualPiecesCanBeCutAndAreNotMoreThanThePart() {
    Catalogue catalogue = Catalogue.shipped();
    List<PartKind> cut =
        catalogue.kinds().stream().filter(kind -> !Pieces.of(kind).isEmpty()).toList();
    assertTrue(cut.size() >= 7, "only " + cut);
    for (PartKind part : cut) {
      List<String> possible = catalogue.cutFrom(part).stream().map(PartKind::code).toList();
      double shares = Pieces.of(part).stream().mapToDouble(Piece::share).sum();
      assertTrue(shares < 1, part.code());
      for (Piece piece : Pieces.of(part)) {
        assertTrue(possible.contains(piece.kind()), part.code() + " gives no " + piece.kind());
      }
    }
  }

  @Test
  public void aPieceGoesWhereItsPartGoesUnlessItUsuallyLeavesThePlate() {
    Catalogue catalogue = Catalogue.shipped();
    PartKind loin = catalogue.findKind("loin").orElseThrow();
    PartKind strip = catalogue.findKind("back-strip").orElseThrow();
    PartKind eye = catalogue.findKind("eye-of-loin").orElseThrow();
    PartKind belly = catalogue.findKind("belly").orElseThrow();
    PartKind lining = catalogue.findKind("belly-lining").orElseThrow();
    Optional<Purpose> plate = Optional.of(Purpose.PLATE);
    assertEquals(Pieces.inherited(loin, plate, eye), plate);
    assertEquals(Pieces.inherited(loin, plate, strip), Optional.of(Purpose.SECOND_PLATE));
    assertEquals(Pieces.inherited(loin, Optional.of(Purpose.POT), strip), Optional.of(Purpose.POT));
    assertEquals(Pieces.inherited(loin, Optional.empty(), eye), Optional.empty());
    assertEquals(Pieces.inherited(loin, Optional.of(Purpose.HOLD), eye), Optional.empty());
    assertEquals(Pieces.inherited(belly, plate, lining), Optional.empty(), "lining is waste");
  }
}
