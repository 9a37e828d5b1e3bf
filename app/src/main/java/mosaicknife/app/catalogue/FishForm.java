package mosaicknife.app.catalogue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.catalogue.SpeciesDocument.EatingDocument;
import mosaicknife.app.catalogue.SpeciesDocument.PartDocument;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.MarketName;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;

/**
 * A fish as typed on its page. Shares are in percent; parts come as the parameters {@code
 * mean-<slot>} and {@code spread-<slot>}.
 */
record FishForm(
    String name,
    String scientificName,
    String names,
    List<String> traits,
    String flesh,
    String texture,
    String flavour,
    String skin,
    String scales,
    String pinBonesTo,
    String headFrom,
    String skinShare,
    String lightest,
    String heaviest,
    String grades,
    String season,
    String reason) {

  private static final int PERCENT_DIGITS = 2;

  static FishForm of(Species species) {
    Eating eating = species.eating();
    return new FishForm(
        species.name(),
        species.scientificName(),
        String.join("\n", species.marketNames().stream().map(MarketName::toString).toList()),
        species.traits().stream().map(Enum::name).toList(),
        eating.flesh().name(),
        eating.texture().name(),
        eating.flavour().name(),
        eating.skin().name(),
        eating.scales().name(),
        percent(eating.pinBonesTo()),
        eating.headFrom().toKilograms().toPlainString(),
        percent(eating.skinShare()),
        species.usualMass().lowest().toKilograms().toPlainString(),
        species.usualMass().highest().toKilograms().toPlainString(),
        String.join(", ", SpeciesJson.document(species).gradesKg()),
        species.season().toString(),
        "");
  }

  /** The shares of a fish in percent, by the name of their field. */
  static Map<String, String> parts(Species species) {
    Map<String, String> parts = new LinkedHashMap<>();
    for (Share share : species.shares()) {
      parts.put("mean-" + share.slot().code(), percent(share.mean()));
      parts.put("spread-" + share.slot().code(), percent(share.spread()));
    }
    return parts;
  }

  private static String percent(double fraction) {
    return BigDecimal.valueOf(fraction)
        .movePointRight(2)
        .setScale(PERCENT_DIGITS, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }

  SpeciesDocument document(Species before, Map<String, String> typed) {
    List<PartDocument> parts = new ArrayList<>();
    for (Share share : before.shares()) {
      String slot = share.slot().code();
      String what = share.slot().name();
      parts.add(
          new PartDocument(
              slot,
              fraction(typed.get("mean-" + slot), share.mean(), what),
              fraction(typed.get("spread-" + slot), share.spread(), what)));
    }
    return new SpeciesDocument(
        before.code(),
        name,
        scientificName,
        Arrays.asList(text(names).split("[\\r\\n]+")),
        before.plan().code(),
        traits,
        new EatingDocument(
            flesh,
            texture,
            flavour,
            skin,
            scales,
            fraction(pinBonesTo, before.eating().pinBonesTo(), "Pin bones"),
            number(headFrom, "Head worth eating from"),
            fraction(skinShare, before.eating().skinShare(), "Skin")),
        number(lightest, "Lightest fish"),
        number(heaviest, "Heaviest fish"),
        Arrays.asList(text(grades).split(",")),
        text(season),
        parts);
  }

  /** What was shown rounded and is sent back unchanged keeps all its digits. */
  private static double fraction(String typed, double before, String what) {
    if (typed == null || typed.strip().equals(percent(before))) {
      return before;
    }
    return number(typed, what).movePointLeft(2).doubleValue();
  }

  private static BigDecimal number(String typed, String what) {
    String plain = text(typed).strip().replace(',', '.');
    if (!plain.matches("[0-9]{1,6}(\\.[0-9]{1,6})?")) {
      throw Refusal.ofInput(
          "catalogue.problem.is-no-number-from-0",
          what,
          plain.length() > 20 ? plain.substring(0, 20) + "…" : plain);
    }
    return new BigDecimal(plain);
  }

  private static String text(String typed) {
    return typed == null ? "" : typed;
  }
}
