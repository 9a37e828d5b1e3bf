package mosaicknife.app.catalogue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Supplier;
import mosaicknife.app.catalogue.SpeciesDocument.EatingDocument;
import mosaicknife.app.catalogue.SpeciesDocument.PartDocument;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.MarketName;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Season;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.MassRange;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Turns fish into JSON documents and back, and says in a sentence what is wrong with one. */
@Component
class SpeciesJson {

  private static final int LONGEST_CODE = 40;
  private static final int LONGEST_NAME = 80;
  private static final int MOST_NAMES = 60;

  private final JsonMapper json =
      JsonMapper.builder()
          .enable(SerializationFeature.INDENT_OUTPUT)
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .build();

  static SpeciesDocument document(Species species) {
    Eating eating = species.eating();
    return new SpeciesDocument(
        species.code(),
        species.name(),
        species.scientificName(),
        species.marketNames().stream().map(MarketName::toString).toList(),
        species.plan().code(),
        species.traits().stream().map(Trait::name).sorted().toList(),
        new EatingDocument(
            eating.flesh().name(),
            eating.texture().name(),
            eating.flavour().name(),
            eating.skin().name(),
            eating.scales().name(),
            eating.pinBonesTo(),
            eating.headFrom().toKilograms(),
            eating.skinShare()),
        species.usualMass().lowest().toKilograms(),
        species.usualMass().highest().toKilograms(),
        species.grades().stream()
            .map(
                grade ->
                    grade.from().toKilograms().toPlainString()
                        + "-"
                        + grade.to().toKilograms().toPlainString())
            .toList(),
        species.season().toString(),
        species.shares().stream()
            .map(share -> new PartDocument(share.slot().code(), share.mean(), share.spread()))
            .toList());
  }

  String write(Species species) {
    return json.writeValueAsString(document(species));
  }

  String writeAll(List<Species> species) {
    return json.writeValueAsString(
        new SpeciesDocument.File(
            SpeciesDocument.File.FORMAT, species.stream().map(SpeciesJson::document).toList()));
  }

  Species read(String text, Catalogue catalogue) {
    return species(json.readValue(text, SpeciesDocument.class), catalogue);
  }

  SpeciesDocument.File readFile(String text) {
    try {
      SpeciesDocument.File file = json.readValue(text, SpeciesDocument.File.class);
      if (!SpeciesDocument.File.FORMAT.equals(file.format()) || file.species() == null) {
        throw Refusal.ofInput(
            "catalogue.problem.this-is-no-catalogue-of", SpeciesDocument.File.FORMAT);
      }
      return file;
    } catch (JacksonException e) {
      String where = e.getLocation() == null ? "" : " near line " + e.getLocation().getLineNr();
      throw Refusal.ofInput("catalogue.problem.the-file-cannot-be-read", where);
    }
  }

  /** Checks a document field by field; the sentence names what is wrong. */
  static Species species(SpeciesDocument document, Catalogue catalogue) {
    String code = PlainText.needed(document.code(), LONGEST_CODE, "code", FieldName.CODE);
    if (!code.matches("[a-z0-9][a-z0-9-]*")) {
      throw Refusal.ofField("code", "catalogue.problem.a-code-has-small-letters", code);
    }
    BodyPlan plan =
        catalogue
            .findPlan(document.bodyPlan() == null ? "" : document.bodyPlan())
            .orElseThrow(
                () -> Refusal.ofField("bodyPlan", "catalogue.problem.the-body-plan-is-missing"));
    return new Species(
        code,
        PlainText.needed(document.name(), LONGEST_NAME, "name", FieldName.NAME),
        PlainText.needed(
            document.scientificName(), LONGEST_NAME, "scientificName", FieldName.SCIENTIFIC_NAME),
        names(document.names()),
        plan,
        traits(document.traits()),
        eating(document.eating()),
        usual(document),
        grades(document.gradesKg()),
        checked("season", () -> Season.parse(document.season())),
        parts(document.parts(), plan));
  }

  private static List<MarketName> names(List<String> typed) {
    List<MarketName> names = new ArrayList<>();
    for (String name : orEmpty(typed)) {
      if (!name.isBlank()) {
        String line = PlainText.line(name, LONGEST_NAME, "names", FieldName.NAME);
        names.add(
            checked(
                "names",
                () -> MarketName.parse(line),
                "catalogue.problem.is-no-name-with-its",
                line));
      }
    }
    if (names.size() > MOST_NAMES) {
      throw Refusal.ofField(
          "names", "catalogue.problem.up-to-names-are-kept", MOST_NAMES, names.size());
    }
    return names;
  }

  private static Set<Trait> traits(List<String> typed) {
    Set<Trait> traits = new LinkedHashSet<>();
    orEmpty(typed).forEach(name -> traits.add(one(Trait.values(), name, "traits", "trait")));
    return traits;
  }

  private static Eating eating(EatingDocument typed) {
    if (typed == null) {
      throw Refusal.ofField("eating", "catalogue.problem.how-it-eats-is-missing");
    }
    return checked(
        "eating",
        () ->
            new Eating(
                one(Eating.Flesh.values(), typed.flesh(), "eating", "flesh"),
                one(Eating.Texture.values(), typed.texture(), "eating", "texture"),
                one(Eating.Flavour.values(), typed.flavour(), "eating", "flavour"),
                one(Eating.Skin.values(), typed.skin(), "eating", "skin"),
                one(Eating.Scales.values(), typed.scales(), "eating", "scales"),
                typed.pinBonesTo(),
                Mass.ofKilograms(typed.headFromKg().toPlainString()),
                typed.skinShare()));
  }

  private static MassRange usual(SpeciesDocument document) {
    return checked(
        "usualMass",
        () ->
            new MassRange(
                Mass.ofKilograms(document.lightestKg().toPlainString()),
                Mass.ofKilograms(document.heaviestKg().toPlainString())),
        "catalogue.problem.the-usual-mass-goes-from");
  }

  private static List<SizeGrade> grades(List<String> typed) {
    List<SizeGrade> grades =
        orEmpty(typed).stream()
            .filter(text -> !text.isBlank())
            .map(
                text ->
                    checked(
                        "grades",
                        () -> SizeGrade.parseKilograms(text),
                        "catalogue.problem.is-no-size-grade-write",
                        PlainText.line(text, LONGEST_NAME, "grades", FieldName.GRADE)))
            .toList();
    if (grades.isEmpty()) {
      throw Refusal.ofField("grades", "catalogue.problem.a-size-grade-is-missing");
    }
    return grades;
  }

  private static List<Share> parts(List<PartDocument> typed, BodyPlan plan) {
    List<Share> shares = new ArrayList<>();
    for (PartDocument part : orEmpty(typed)) {
      PartSlot slot =
          plan.findSlot(part.slot() == null ? "" : part.slot())
              .orElseThrow(
                  () ->
                      Refusal.ofField(
                          "parts",
                          "catalogue.problem.is-no-part-of-the",
                          part.slot(),
                          plan.name()));
      shares.add(
          checked(
              "parts",
              () -> new Share(slot, part.mean(), part.spread()),
              "catalogue.problem.a-share-lies-between-0",
              slot.name()));
    }
    shares.sort(Comparator.comparingInt(share -> share.slot().number()));
    double sum = shares.stream().mapToDouble(Share::mean).sum();
    if (Math.abs(sum - 1) > 0.0005) {
      throw Refusal.ofField(
          "parts",
          "catalogue.problem.the-parts-add-up-to",
          Formats.decimal(sum * 100, 1),
          (sum < 1 ? "+" : "") + Formats.decimal((1 - sum) * 100, 1));
    }
    return shares;
  }

  private static <E extends Enum<E>> E one(E[] values, String typed, String field, String what) {
    String wanted = typed == null ? "" : typed.strip().toUpperCase(Locale.ROOT);
    return Arrays.stream(values)
        .filter(value -> value.name().equals(wanted))
        .findFirst()
        .orElseThrow(
            () ->
                Refusal.ofField(
                    field,
                    "catalogue.problem.is-no-choose-one-of",
                    wanted,
                    what,
                    Arrays.toString(values)));
  }

  private static <T> T checked(String field, Supplier<T> reader) {
    return checked(field, reader, "catalogue.problem.the-cannot-be-read-check", field);
  }

  private static <T> T checked(String field, Supplier<T> reader, String key, Object... figures) {
    try {
      return reader.get();
    } catch (IllegalArgumentException | NullPointerException e) {
      throw Refusal.ofField(field, key, figures);
    }
  }

  private static <T> List<T> orEmpty(List<T> list) {
    return list == null ? List.of() : list;
  }
}
