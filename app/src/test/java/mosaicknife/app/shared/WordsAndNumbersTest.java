package mosaicknife.app.shared;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.expectThrows;

import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;
import mosaicknife.app.Sentences;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;
import mosaicknife.core.quantity.UnitSystem;
import org.hibernate.exception.ConstraintViolationException;
import org.hibernate.exception.ConstraintViolationException.ConstraintKind;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.dao.DataIntegrityViolationException;
import org.testng.annotations.Test;

public class WordsAndNumbersTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Formats METRIC =
      new Formats(UnitSystem.METRIC, EUR, ZoneId.of("Europe/Lisbon"));
  private static final Formats IMPERIAL = new Formats(UnitSystem.IMPERIAL, EUR, ZoneId.of("UTC"));

  private static final LocalDate DAY = LocalDate.of(2026, 11, 25);
  private static final Mass HALF = Mass.ofGrams(500);

  @Test
  public void aHouseReadsItsOwnUnits() {
    Mass fillet = Mass.ofGrams(1318);
    assertEquals(METRIC.mass(fillet), "1.318 kg");
    assertEquals(IMPERIAL.mass(fillet), "2 lb 14.5 oz");
    assertEquals(METRIC.about(fillet), "≈ 1.318 kg");
    UnitPrice price = UnitPrice.ofPerKilogram("11.40", EUR);
    assertEquals(METRIC.price(price), "€11.40/kg");
    // 11.40 × 0.45359237
    assertEquals(IMPERIAL.price(price), "€5.17/lb");
  }

  @Test
  public void whatANormForeseesHasNoMoreDigitsThanANormKnows() {
    assertEquals(METRIC.roughly(Mass.ofGrams(18_004)), "≈ 18 kg");
    assertEquals(METRIC.roughly(Mass.ofGrams(6_044)), "≈ 6.04 kg");
    assertEquals(METRIC.roughly(Mass.ofGrams(640)), "≈ 640 g");
    assertEquals(METRIC.roughly(Mass.ofMilligrams(76_300)), "≈ 76 g", "a scale shows grams");
    assertEquals(METRIC.roughly(Mass.ofGrams(1_234_567)), "≈ 1230 kg");
    assertEquals(IMPERIAL.roughly(Mass.ofGrams(18_000)), "≈ 39.7 lb");
    assertEquals(METRIC.range(Mass.ofGrams(800), Mass.ofGrams(1500)), "0.8–1.5 kg");
    assertEquals(METRIC.range(Mass.ofGrams(200), Mass.ofGrams(300)), "200–300 g");
    assertEquals(METRIC.range(Mass.ofMilligrams(194_460), Mass.ofMilligrams(195_540)), "194–196 g");
    assertEquals(METRIC.range(Mass.ofMilligrams(194_900), Mass.ofMilligrams(195_100)), "195 g");
    assertEquals(IMPERIAL.range(Mass.ofGrams(800), Mass.ofGrams(1500)), "1.76–3.31 lb");
  }

  @Test
  public void moneyIsShownInCentsAndFinelyWhereItMatters() {
    ExactMoney portion = ExactMoney.of("3.957428571", EUR);
    assertEquals(METRIC.money(portion), "€3.96");
    assertEquals(METRIC.fineMoney(portion), "€3.9574");
    assertEquals(METRIC.money(ExactMoney.of("12345.6", EUR)), "€12,345.60");
  }

  @Test
  public void figuresFollowTheRegionOfWhoReadsAndWordsStayInOneLanguage() {
    Instant lunch = Instant.parse("2026-11-25T13:05:00Z");
    ExactMoney bill = ExactMoney.of("12345.6", EUR);
    // spaces between a figure and its sign differ from one release of the locale data to the next
    assertEquals(
        readBy("de-DE", () -> METRIC.mass(Mass.ofGrams(1318)) + "|" + METRIC.day(DAY)),
        "1,318 kg|Wed, 25 Nov");
    assertEquals(readBy("de-DE", () -> METRIC.money(bill).replaceAll("\\h", " ")), "12.345,60 €");
    assertEquals(readBy("de-DE", () -> METRIC.percent(Fraction.of(2610, 4860))), "53,7 %");
    assertEquals(
        readBy("en-US", () -> METRIC.mass(Mass.ofGrams(1318)) + "|" + METRIC.day(DAY)),
        "1.318 kg|Wed, Nov 25");
    assertEquals(
        readBy("en-US", () -> METRIC.time(lunch).toLowerCase(Locale.ROOT).replaceAll("\\h", " ")),
        "1:05 pm");
    assertEquals(readBy("fr-FR", () -> IMPERIAL.mass(Mass.ofGrams(1318))), "2 lb 14,5 oz");
    assertEquals(
        readBy("en", () -> METRIC.day(DAY) + ", " + METRIC.time(lunch)), "Wed 25 Nov, 13:05");
    assertEquals(
        readBy("ja-JP", () -> METRIC.say("shared.by-when", "Ines", METRIC.mass(HALF))),
        "Ines, 500 g");
    assertEquals(METRIC.list(List.of("hake", "ray", "turbot")), "hake, ray and turbot");
    assertEquals(METRIC.row(List.of("white", "firm", "mild")), "white, firm, mild");
  }

  @Test
  public void thePluralIsThatOfTheWordsWhoeverReadsThem() {
    // Japanese has one form for every number; the English words keep theirs
    assertEquals(readBy("ja-JP", () -> METRIC.say("dock.days-left", 1)), "≈ one day left on ice");
  }

  private static String readBy(String person, Supplier<String> text) {
    LocaleContextHolder.setLocale(Locale.forLanguageTag(person));
    try {
      return text.get();
    } finally {
      LocaleContextHolder.resetLocaleContext();
    }
  }

  @Test
  public void percentagesHaveOneDecimalAndATrueMinus() {
    assertEquals(METRIC.percent(Fraction.of(2610, 4860)), "53.7 %");
    assertEquals(METRIC.percent(Fraction.of(-190, 3640)), "−5.2 %");
  }

  @Test
  public void timesAreTheHousesOwn() {
    Instant summer = Instant.parse("2026-07-01T12:30:00Z");
    assertEquals(METRIC.time(summer), "13:30");
    assertEquals(IMPERIAL.time(summer), "12:30");
    assertEquals(METRIC.moment(summer), "Wed 1 Jul, 13:30");
    assertEquals(METRIC.day(LocalDate.of(2026, 11, 25)), "Wed 25 Nov");
  }

  @Test
  public void typedLinesLoseControlCharactersAndAreNotCut() {
    assertEquals(
        PlainText.line("  line\tcaught\r\nfor\u0000 Friday ", 80, "note", FieldName.NOTE),
        "line caught for Friday");
    assertEquals(PlainText.line(null, 80, "note", FieldName.NOTE), "");
    Refusal tooLong =
        expectThrows(
            Refusal.class, () -> PlainText.line("x".repeat(81), 80, "note", FieldName.NOTE));
    assertEquals(
        Sentences.of(tooLong), "The note has 81 characters; only 80 are allowed. Shorten it.");
    Refusal missing =
        expectThrows(
            Refusal.class, () -> PlainText.needed(" \n", 80, "supplier", FieldName.SUPPLIER));
    assertEquals(missing.field(), "supplier");
  }

  @Test
  public void onlyWhatIsThereAlreadyIsAskedAgain() {
    for (ConstraintKind kind : ConstraintKind.values()) {
      DataIntegrityViolationException refused =
          new DataIntegrityViolationException(
              "refused",
              new ConstraintViolationException("refused", new SQLException(), kind, "a_key"));
      assertEquals(
          new SentTwice.TwinWasFirst().shouldRetry(null, refused),
          kind == ConstraintKind.UNIQUE,
          kind.name());
    }
    assertFalse(
        new SentTwice.TwinWasFirst()
            .shouldRetry(null, new DataIntegrityViolationException("of no constraint")));
  }
}
