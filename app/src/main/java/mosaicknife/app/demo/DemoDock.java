package mosaicknife.app.demo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import javax.imageio.ImageIO;
import mosaicknife.app.lot.Claim;
import mosaicknife.app.lot.ClaimSettler;
import mosaicknife.app.lot.Evidence;
import mosaicknife.app.lot.EvidenceFiler;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.lot.MeasuredFish;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.LengthRule.Basis;
import mosaicknife.core.safety.Sign;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** The dock side of the demo: inspections, a label, a claim, fish measured one by one, a rule. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoDock {

  private final LotRegister lots;
  private final LotInspector inspections;
  private final EvidenceFiler evidence;
  private final ClaimSettler claims;
  private final DemoRules rules;
  private final Clock clock;

  DemoDock(
      LotRegister lots,
      LotInspector inspections,
      EvidenceFiler evidence,
      ClaimSettler claims,
      DemoRules rules,
      Clock clock) {
    this.lots = lots;
    this.inspections = inspections;
    this.evidence = evidence;
    this.claims = claims;
    this.rules = rules;
    this.clock = clock;
  }

  void load() {
    rules.load();
    for (Lot lot : lots.open()) {
      switch (lot.species().code()) {
        case "hake" -> inspect(lot, 0, 1, Fitness.RAW);
        case "turbot" -> inspect(lot, 0, 0, Fitness.RAW);
        case "plaice" -> shortPlaice(lot);
        case "gurnard" -> gurnards(lot);
        default -> {
          // pollack and albacore still wait to be inspected
        }
      }
    }
  }

  private void shortPlaice(Lot lot) {
    inspect(lot, 1, 1, Fitness.COOK);
    evidence.add(
        lot.id(), UUID.randomUUID(), Evidence.Kind.LABEL, Set.of(), "box-label.png", label(lot));
    claims.ask(
        lot.id(),
        new ClaimSettler.Asked(
            UUID.randomUUID(),
            Claim.Kind.SHORT,
            lot.receipt().shortfall(),
            Optional.empty(),
            "Weighed drained on our scale, less than invoiced"));
  }

  private void gurnards(Lot lot) {
    inspect(lot, 0, 1, Fitness.RAW);
    inspections.measure(
        lot.id(), List.of(fish(1, "0.984", 425), fish(2, "0.952", 418), fish(3, "0.962", 421)));
  }

  private static MeasuredFish fish(int number, String kilograms, int millimetres) {
    return new MeasuredFish(
        number,
        Optional.of(Mass.ofKilograms(kilograms)),
        Optional.of(new Length(millimetres)),
        Basis.TOTAL);
  }

  private void inspect(Lot lot, int most, int eyes, Fitness decision) {
    Map<Sign, Integer> grades = new EnumMap<>(Sign.class);
    for (Sign sign : Sign.values()) {
      grades.put(sign, most);
    }
    grades.put(Sign.EYES, eyes);
    inspections.inspect(lot.id(), UUID.randomUUID(), grades, decision, "");
  }

  /** A drawn label, since a demo has no camera. */
  private byte[] label(Lot lot) {
    BufferedImage image = new BufferedImage(640, 420, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = image.createGraphics();
    graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    graphics.setColor(new Color(0xFBF8F0));
    graphics.fillRect(0, 0, 640, 420);
    graphics.setColor(new Color(0x12262E));
    graphics.setStroke(new BasicStroke(6));
    graphics.drawRect(16, 16, 608, 388);
    graphics.setFont(new Font(Font.SANS_SERIF, Font.BOLD, 40));
    graphics.drawString(lot.supplier(), 44, 90);
    graphics.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 34));
    graphics.drawString(lot.species().scientificName(), 44, 160);
    graphics.drawString("landed " + lot.landedOn(), 44, 220);
    graphics.drawString("net " + lot.invoiced().toKilograms() + " kg", 44, 280);
    graphics.drawString("packed " + clock.instant().toString().substring(0, 10), 44, 340);
    graphics.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", bytes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return bytes.toByteArray();
  }
}
