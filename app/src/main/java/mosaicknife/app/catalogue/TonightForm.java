package mosaicknife.app.catalogue;

import java.text.Normalizer;
import java.util.Locale;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.StartingFigures.HeadSize;
import mosaicknife.core.anatomy.StartingFigures.Ribs;
import mosaicknife.core.anatomy.UnknownFish;
import mosaicknife.core.quantity.MassText;

/** A fish nobody here knows, described by what the eye sees. */
record TonightForm(
    String name,
    String plan,
    String ribs,
    String head,
    String mass,
    String flesh,
    String scales,
    String skin,
    String pinBones,
    String thin,
    String kin) {

  private static final int LONGEST_NAME = 60;

  TonightForm {
    name = name == null ? "" : name;
    plan = plan == null ? "" : plan;
    ribs = ribs == null ? "USUAL" : ribs;
    head = head == null ? "USUAL" : head;
    mass = mass == null ? "" : mass;
    flesh = flesh == null ? "WHITE" : flesh;
    scales = scales == null ? "FEW" : scales;
    skin = skin == null ? "SOFT" : skin;
    pinBones = pinBones == null ? "FRONT" : pinBones;
    thin = thin == null ? "" : thin;
    kin = kin == null ? "" : kin;
  }

  Species species(Catalogue catalogue, Formats formats) {
    String named = PlainText.needed(name, LONGEST_NAME, "name", FieldName.NAME);
    if (kin.isEmpty()) {
      throw Refusal.ofField("kin", "catalogue.problem.which-family");
    }
    BodyPlan body =
        catalogue
            .findPlan(plan)
            .orElseThrow(
                () -> Refusal.ofField("plan", "catalogue.problem.which-fish-does-it-look"));
    UnknownFish seen =
        new UnknownFish(
            body,
            choice(Ribs.values(), ribs, "ribs"),
            choice(HeadSize.values(), head, "head"),
            choice(Eating.Flesh.values(), flesh, "flesh"),
            MassText.parse(mass, formats.system().large()).mass(),
            new UnknownFish.Skin(
                choice(Eating.Scales.values(), scales, "scales"),
                choice(Eating.Skin.values(), skin, "skin"),
                !thin.isEmpty(),
                choice(UnknownFish.PinBones.values(), pinBones, "pinBones")),
            choice(UnknownFish.Kin.values(), kin, "kin"));
    Refusal.ifFound(seen.problem());
    return seen.toSpecies(code(named), named, catalogue.usualShares(body));
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
