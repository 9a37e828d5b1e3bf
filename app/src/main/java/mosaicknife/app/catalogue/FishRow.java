package mosaicknife.app.catalogue;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.MarketName;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.plan.CutPlan;

/**
 * A fish in the list.
 *
 * @param code its code
 * @param name its name
 * @param scientific its scientific name
 * @param others some market names, those that were searched for first
 * @param plan its body plan
 * @param eats how it eats
 * @param yield the yield of gutted fish, skin on
 * @param weighs its usual mass
 * @param care what to be careful about, shortest words
 */
record FishRow(
    String code,
    String name,
    String scientific,
    String others,
    String plan,
    String eats,
    String yield,
    String weighs,
    String care) {

  private static final int MOST_NAMES = 4;

  static FishRow of(Catalogue kinds, Species species, String query, Formats formats) {
    String wanted = query.strip().toLowerCase(Locale.ROOT);
    String others =
        species.marketNames().stream()
            .map(MarketName::name)
            .sorted(
                (one, other) ->
                    Boolean.compare(
                        other.toLowerCase(Locale.ROOT).contains(wanted),
                        one.toLowerCase(Locale.ROOT).contains(wanted)))
            .distinct()
            .limit(MOST_NAMES)
            .collect(Collectors.joining(", "));
    double yield =
        CutPlan.yieldOf(species, State.GUTTED, Specification.SKIN_ON, HouseNorms.STARTING, kinds)
            .toDouble();
    return new FishRow(
        species.code(),
        species.name(),
        species.scientificName(),
        others,
        species.plan().name(),
        formats.row(
            List.of(
                formats.say(species.eating().flesh()),
                formats.say(species.eating().texture()),
                formats.say(species.eating().flavour()))),
        "" + Math.round(yield * 100) + " %",
        formats.range(species.usualMass().lowest(), species.usualMass().highest()),
        formats.row(
            Arrays.stream(Trait.values())
                .filter(species.traits()::contains)
                .map(trait -> formats.say("Species.Trait." + trait.name() + ".within"))
                .toList()));
  }
}
