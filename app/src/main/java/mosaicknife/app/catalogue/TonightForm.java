package mosaicknife.app.catalogue;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Season;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.MassRange;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.StartingFigures;
import mosaicknife.core.anatomy.StartingFigures.HeadSize;
import mosaicknife.core.anatomy.StartingFigures.Ribs;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;

/** A fish nobody here knows, described by what the eye sees. */
record TonightForm(String name, String plan, String ribs, String head, String mass, String flesh) {

  /** An unknown fish is known this much worse than the usual one of its body plan. */
  private static final double WIDENING = 1.6;

  private static final int LONGEST_NAME = 60;

  TonightForm {
    name = name == null ? "" : name;
    plan = plan == null ? "" : plan;
    ribs = ribs == null ? "USUAL" : ribs;
    head = head == null ? "USUAL" : head;
    mass = mass == null ? "" : mass;
    flesh = flesh == null ? "WHITE" : flesh;
  }

  Species species(Catalogue catalogue, Formats formats) {
    String named = PlainText.needed(name, LONGEST_NAME, "name", FieldName.NAME);
    BodyPlan body =
        catalogue
            .findPlan(plan)
            .orElseThrow(
                () -> Refusal.ofField("plan", "catalogue.problem.which-fish-does-it-look"));
    Mass one = MassText.parse(mass, formats.system().large()).mass();
    if (one.compareTo(Mass.ofGrams(10)) < 0 || one.compareTo(Mass.ofGrams(400_000)) > 0) {
      throw Refusal.ofField("mass", "catalogue.problem.a-fish-to-be-cut");
    }
    Ribs ribStrength = choice(Ribs.values(), ribs, "ribs");
    HeadSize headSize = choice(HeadSize.values(), head, "head");
    var usual = catalogue.usualShares(body);
    Eating.Flesh fat = choice(Eating.Flesh.values(), flesh, "flesh");
    return new Species(
        code(named),
        named,
        "unknown",
        List.of(),
        body,
        fat == Eating.Flesh.OILY
            ? Set.of(Trait.PARASITES, Trait.HISTAMINE)
            : Set.of(Trait.PARASITES),
        new Eating(
            fat,
            Eating.Texture.FIRM,
            Eating.Flavour.MEDIUM,
            Eating.Skin.SOFT,
            Eating.Scales.FEW,
            0.45,
            Mass.ofKilograms("2"),
            0.08),
        new MassRange(half(one), one.multipliedBy(2)),
        List.of(new SizeGrade(half(one), one.multipliedBy(2))),
        Season.ALL_YEAR,
        StartingFigures.guess(usual, ribStrength, headSize).applyTo(usual, WIDENING));
  }

  private static Mass half(Mass mass) {
    return Mass.ofMilligrams(mass.milligrams() / 2);
  }

  private static String code(String name) {
    String plain =
        Normalizer.normalize(name, Normalizer.Form.NFD)
            .replaceAll("\\p{M}+", "")
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    if (plain.isEmpty()) {
      throw Refusal.ofField("name", "catalogue.problem.write-the-name-with-latin");
    }
    return plain.length() > 40 ? plain.substring(0, 40).replaceAll("-$", "") : plain;
  }

  private static <E extends Enum<E>> E choice(E[] values, String typed, String field) {
    for (E value : values) {
      if (value.name().equals(typed)) {
        return value;
      }
    }
    throw Refusal.ofField(field, "catalogue.problem.something-was-not-chosen-choose");
  }
}
