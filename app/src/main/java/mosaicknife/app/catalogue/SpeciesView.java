package mosaicknife.app.catalogue;

import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mosaicknife.app.picture.FishPicture;
import mosaicknife.app.picture.FishPicture.PartMark;
import mosaicknife.app.picture.FishPicture.Standing;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Hazard;
import mosaicknife.core.anatomy.MarketName;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Season.Months;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.plan.CutPlan;
import org.springframework.context.i18n.LocaleContextHolder;

/**
 * A fish as its page shows it.
 *
 * @param species the fish
 * @param names market names by region, joined
 * @param warnings what to be careful about
 * @param facts words for how it eats and is sold
 * @param months the months with whether it is at its best, per hemisphere that is known
 * @param parts its parts
 * @param yields the yield by state (rows) and specification (columns)
 * @param drawing the drawing with numbers
 */
record SpeciesView(
    Species species,
    Map<String, String> names,
    List<String> warnings,
    Map<String, String> facts,
    Map<String, List<MonthMark>> months,
    List<PartRow> parts,
    List<YieldRow> yields,
    FishPicture drawing) {

  record MonthMark(String name, boolean best) {}

  record PartRow(int number, String slot, String name, String mean, String range) {}

  record YieldRow(String state, List<String> percents) {}

  static SpeciesView of(Species species, Catalogue kinds, Formats formats) {
    return new SpeciesView(
        species,
        names(species, formats),
        warnings(species, formats),
        facts(species, formats),
        months(species, formats),
        species.shares().stream().map(SpeciesView::part).toList(),
        State.OF_FISH.stream().map(state -> yields(species, state, kinds, formats)).toList(),
        drawing(species));
  }

  private static List<String> warnings(Species species, Formats formats) {
    return Stream.concat(
            Arrays.stream(Trait.values()).filter(species.traits()::contains).map(formats::say),
            Hazard.shipped().stream()
                .filter(hazard -> hazard.setsApart(species))
                .map(hazard -> said(hazard, formats)))
        .toList();
  }

  private static String said(Hazard hazard, Formats formats) {
    String key = hazard.closes() ? "catalogue.said.never-food" : "catalogue.said.care";
    return formats.say(key, hazard.kind());
  }

  private static FishPicture drawing(Species species) {
    return FishPicture.of(species, slot -> numbered(species.plan(), slot));
  }

  private static Optional<PartMark> numbered(BodyPlan plan, String slot) {
    return plan.findSlot(slot)
        .map(
            part ->
                new PartMark(part.number(), part.name(), Standing.PENDING, Optional.empty(), ""));
  }

  /** The drawing of a plan with the numbers of its parts. */
  static FishPicture drawing(BodyPlan plan) {
    return FishPicture.of(plan, slot -> numbered(plan, slot));
  }

  /** The drawing of a plan without numbers, for small pictures. */
  static FishPicture plain(BodyPlan plan) {
    return FishPicture.of(plan, slot -> Optional.empty());
  }

  private static Map<String, String> names(Species species, Formats formats) {
    Map<String, String> names = new LinkedHashMap<>();
    for (MarketName name : species.marketNames()) {
      String region =
          name.region().equals(MarketName.MANY_REGIONS)
              ? formats.say("catalogue.said.elsewhere")
              : new Locale.Builder()
                  .setRegion(name.region())
                  .build()
                  .getDisplayCountry(LocaleContextHolder.getLocale());
      names.merge(region, name.name(), (one, other) -> one + ", " + other);
    }
    return names;
  }

  private static Map<String, String> facts(Species species, Formats formats) {
    Map<String, String> facts = new LinkedHashMap<>();
    var eating = species.eating();
    facts.put(
        formats.say("catalogue.fish.flesh"),
        formats.say(eating.flesh()) + ", " + formats.say(eating.texture()));
    facts.put(formats.say("catalogue.fish.taste"), formats.say(eating.flavour()));
    facts.put(
        formats.say("catalogue.said.skin"),
        switch (eating.skin()) {
          case NO -> formats.say("catalogue.said.not-eaten");
          case SOFT -> formats.say("catalogue.said.eaten-does-not-crisp");
          case CRISP -> formats.say("catalogue.said.eaten-crisps");
        });
    facts.put(
        formats.say("catalogue.fish.scales"),
        switch (eating.scales()) {
          case NONE -> formats.say(eating.scales());
          case FEW -> formats.say(eating.scales());
          case MANY -> formats.say("catalogue.said.many-scale-in-a-bag");
        });
    facts.put(
        formats.say("catalogue.said.pin-bones"),
        eating.pinBonesTo() == 0
            ? formats.say("catalogue.said.none-in-the-fillet")
            : formats.say(
                "catalogue.said.along-the-first-of-the",
                "" + Math.round(eating.pinBonesTo() * 100)));
    facts.put(
        formats.say("catalogue.said.head"),
        formats.say("catalogue.said.worth-eating-from-a-fish", eating.headFrom()));
    facts.put(
        formats.say("catalogue.said.weighs"),
        formats.range(species.usualMass().lowest(), species.usualMass().highest()));
    facts.put(
        formats.say("catalogue.said.size-grades"),
        String.join(" · ", species.grades().stream().map(grade -> grade(grade, formats)).toList()));
    facts.put(formats.say("catalogue.said.body-plan"), species.plan().name());
    return facts;
  }

  static String grade(SizeGrade grade, Formats formats) {
    return formats.range(grade.from(), grade.to());
  }

  private static Map<String, List<MonthMark>> months(Species species, Formats formats) {
    Map<String, List<MonthMark>> months = new LinkedHashMap<>();
    species
        .season()
        .north()
        .ifPresent(m -> months.put(formats.say("catalogue.said.north"), marks(m)));
    species
        .season()
        .south()
        .ifPresent(m -> months.put(formats.say("catalogue.said.south"), marks(m)));
    return months;
  }

  private static List<MonthMark> marks(Months months) {
    List<MonthMark> marks = new ArrayList<>();
    for (Month month : Month.values()) {
      marks.add(
          new MonthMark(
              month.getDisplayName(TextStyle.NARROW, LocaleContextHolder.getLocale()),
              months.contains(month)));
    }
    return marks;
  }

  private static PartRow part(Share share) {
    PartSlot slot = share.slot();
    return new PartRow(
        slot.number(),
        slot.code(),
        slot.name(),
        Formats.decimal(share.mean() * 100, 1) + " %",
        range(share.mean(), share.spread()));
  }

  /** Two deviations about the mean: where nineteen of twenty fish are expected. */
  private static String range(double mean, double spread) {
    return ""
        + Math.round(Math.max(0, mean - 2 * spread) * 100)
        + "–"
        + Math.round((mean + 2 * spread) * 100)
        + " %";
  }

  private static YieldRow yields(Species species, State state, Catalogue kinds, Formats formats) {
    return new YieldRow(
        formats.say(state),
        Arrays.stream(Specification.values())
            .map(to -> CutPlan.yieldOf(species, state, to, HouseNorms.STARTING, kinds))
            .map(mains -> "" + Math.round(mains.toDouble() * 100) + " %")
            .toList());
  }
}
