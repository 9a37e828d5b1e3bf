package mosaicknife.app.dock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;
import static org.testng.Assert.expectThrows;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Currency;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.UUID;
import javax.imageio.ImageIO;
import mosaicknife.app.Sentences;
import mosaicknife.app.lot.ClaimSettler;
import mosaicknife.app.lot.EvidenceReader;
import mosaicknife.app.lot.MeasuredFish;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.quantity.UnitSystem;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Freshness;
import mosaicknife.core.safety.LengthRule.Basis;
import mosaicknife.core.safety.Limits;
import mosaicknife.core.safety.Sign;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is typed and sent at the dock, understood or refused with a sentence. */
public class DockFormsTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Formats METRIC = new Formats(UnitSystem.METRIC, EUR, ZoneId.of("UTC"));
  private static final Formats IMPERIAL = new Formats(UnitSystem.IMPERIAL, EUR, ZoneId.of("UTC"));

  @Test
  public void aLineIsAWeightALengthOrBoth() {
    List<MeasuredFish> fish =
        new MeasureForm("1.820 kg 61 cm\r\n\n61,5cm; 1820 g\n0.95\n24 in\n", "FORK")
            .understood(METRIC);
    assertEquals(fish.size(), 4);
    assertEquals(fish.get(0).mass(), Optional.of(Mass.ofGrams(1820)));
    assertEquals(fish.get(0).length(), Optional.of(new Length(610)));
    assertEquals(fish.get(0).basis(), Basis.FORK);
    assertEquals(fish.get(1).length(), Optional.of(new Length(615)));
    assertEquals(fish.get(1).mass(), Optional.of(Mass.ofGrams(1820)));
    assertEquals(fish.get(2).mass(), Optional.of(Mass.ofGrams(950)));
    assertTrue(fish.get(2).length().isEmpty());
    assertEquals(fish.get(3).number(), 4);
    assertEquals(fish.get(3).length(), Optional.of(new Length(610)));
    assertTrue(fish.get(3).mass().isEmpty());
    assertEquals(new MeasureForm(null, null).understood(METRIC), List.of());
  }

  @Test
  public void whatIsShownOfMeasuredFishIsReadBack() {
    List<MeasuredFish> fish =
        List.of(
            new MeasuredFish(
                1, Optional.of(Mass.ofGrams(984)), Optional.of(new Length(425)), Basis.TOTAL),
            new MeasuredFish(2, Optional.empty(), Optional.of(new Length(380)), Basis.TOTAL));
    MeasureForm form = MeasureForm.of(fish, METRIC);
    assertEquals(form.fish(), "984 g 42.5 cm\n38 cm");
    assertEquals(form.understood(METRIC), fish);
  }

  @DataProvider
  Object[][] noFish() {
    return new Object[][] {
      {"abc", "Fish 1:"},
      {"1 kg\n-2 kg", "Fish 2:"},
      {"1 kg\n10 t", "Fish 2:"},
      {"50 lb 20 oz", "Fish 1:"},
      {"<script>", "Fish 1:"},
      {"1 kg\n".repeat(501), "Up to 500 fish"},
    };
  }

  @Test(dataProvider = "noFish")
  public void aLineThatIsNeitherIsNamed(String typed, String words) {
    Refusal refusal =
        expectThrows(Refusal.class, () -> new MeasureForm(typed, "TOTAL").understood(METRIC));
    assertTrue(Sentences.of(refusal).startsWith(words), Sentences.of(refusal));
  }

  @Test
  public void aClaimIsAboutAWeightOrAnAmount() {
    String id = UUID.randomUUID().toString();
    ClaimSettler.Asked asked =
        new ClaimForm(id, "SHORT", "1 lb 3 oz", "", "short").understood(IMPERIAL);
    assertEquals(asked.clientId().toString(), id);
    assertEquals(asked.mass().orElseThrow().milligrams(), 538_641);
    assertTrue(asked.amount().isEmpty());
    asked = new ClaimForm("no id", "QUALITY", "", "€12,50", "soft").understood(METRIC);
    assertEquals(asked.amount().orElseThrow().amount().toPlainString(), "12.5");
    assertTrue(asked.mass().isEmpty());
    assertThrows(
        Refusal.class, () -> new ClaimForm(id, "NONSENSE", "", "1", "x").understood(METRIC));
    assertThrows(
        QuantityFormatException.class,
        () -> new ClaimForm(id, "SHORT", "heavy", "", "x").understood(METRIC));
    for (String amount : List.of("-1", "1e9", "twelve", "1.23456", "99999999999")) {
      assertThrows(Refusal.class, () -> ClaimForm.money(amount, METRIC));
    }
  }

  @Test
  public void aPictureGetsAThumbnailOfThreeHundredTwentyPixels() throws IOException {
    for (String format : List.of("png", "jpeg")) {
      EvidenceReader.Checked checked = EvidenceReader.check(picture(format, 900, 1800));
      assertEquals(checked.mediaType(), "image/" + format);
      BufferedImage small = ImageIO.read(new ByteArrayInputStream(checked.thumbnail()));
      assertEquals(small.getHeight(), 320);
      assertEquals(small.getWidth(), 160);
    }
    BufferedImage tiny =
        ImageIO.read(
            new ByteArrayInputStream(EvidenceReader.check(picture("png", 3, 2)).thumbnail()));
    assertEquals(tiny.getWidth(), 3, "a small picture stays as it is");
  }

  private static byte[] picture(String format, int width, int height) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), format, bytes);
    return bytes.toByteArray();
  }

  @Test
  public void aWholePdfIsTakenAndHasNoThumbnail() {
    byte[] pdf = "%PDF-1.7\n1 0 obj\nendobj\n%%EOF\n".getBytes(StandardCharsets.ISO_8859_1);
    EvidenceReader.Checked checked = EvidenceReader.check(pdf);
    assertEquals(checked.mediaType(), "application/pdf");
    assertNull(checked.thumbnail());
  }

  @DataProvider
  Object[][] noEvidence() throws IOException {
    byte[] png = picture("png", 50, 50);
    byte[] huge = png.clone();
    // the width and height of a PNG stand at bytes 16 to 23
    Arrays.fill(huge, 17, 19, (byte) 0x7F);
    Arrays.fill(huge, 21, 23, (byte) 0x7F);
    return new Object[][] {
      {new byte[0], "is empty"},
      {new byte[EvidenceReader.MOST_BYTES + 1], "too large"},
      {"<html></html>".getBytes(StandardCharsets.UTF_8), "not a JPEG or PNG"},
      {Arrays.copyOf(png, 40), "not a JPEG or PNG"},
      {huge, "60 million pixels"},
      {picture("bmp", 10, 10), "not a JPEG or PNG"},
      {"%PDF-1.4 cut".getBytes(StandardCharsets.UTF_8), "cut off"},
    };
  }

  @Test(dataProvider = "noEvidence")
  public void anythingElseIsRefused(byte[] content, String words) {
    Refusal refusal = expectThrows(Refusal.class, () -> EvidenceReader.check(content));
    assertTrue(Sentences.of(refusal).contains(words), Sentences.of(refusal));
  }

  @Test
  public void theNeedleOfTheDialTurnsFromLeftToRight() {
    Species hake = Catalogue.shipped().getSpecies("hake");
    VerdictView best = VerdictView.of(judged(hake, 0));
    VerdictView worst = VerdictView.of(judged(hake, 3));
    assertEquals(best.needleX(), "22.0");
    assertEquals(best.needleY(), "100.0");
    assertEquals(worst.needleX(), "178.0");
    assertEquals(best.daysLeft(), OptionalLong.of(10), "12 on melting ice, 10 at 1 °C");
    assertEquals(worst.daysLeft(), OptionalLong.of(0));
    assertEquals(worst.proposal(), Fitness.REFUSE);
    assertTrue(Double.parseDouble(VerdictView.of(judged(hake, 1)).needleY()) < 60, "upwards");
  }

  private static Freshness judged(Species species, int grade) {
    Map<Sign, Integer> grades = new EnumMap<>(Sign.class);
    for (Sign sign : Sign.values()) {
      grades.put(sign, grade);
    }
    return Freshness.of(
        species, State.GUTTED, grades, Optional.of(Temperature.ofCelsius(1)), 0, Limits.STARTING);
  }
}
