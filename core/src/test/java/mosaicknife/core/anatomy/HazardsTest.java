package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.Species.Trait;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * What can hurt is data of every species: whole genera are looked at, so that none is forgotten.
 */
public class HazardsTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();

  /** A hazard, and genera whose every species has it. */
  @DataProvider
  public Object[][] hazards() {
    return new Object[][] {
      {Trait.VENOM, List.of("Trachinus", "Scorpaena", "Pterois", "Sebastes", "Ictalurus")},
      {Trait.TOXIC_BLOOD, List.of("Anguilla", "Conger", "Muraenesox")},
      {Trait.AMMONIA, List.of("Raja", "Leucoraja", "Scyliorhinus", "Mustelus")},
      {Trait.TEETH, List.of("Anarhichas", "Conger", "Lophius", "Esox", "Sphyraena")},
      {Trait.WAX_ESTER, List.of("Ruvettus", "Lepidocybium", "Hoplostethus")},
      {Trait.REEF_TOXIN, List.of("Epinephelus", "Plectropomus", "Lutjanus", "Sphyraena")},
      {
        Trait.HISTAMINE,
        List.of(
            "Thunnus",
            "Katsuwonus",
            "Scomber",
            "Sarda",
            "Coryphaena",
            "Sardina",
            "Engraulis",
            "Clupea",
            "Pomatomus",
            "Seriola",
            "Scomberomorus")
      },
    };
  }

  @Test(dataProvider = "hazards")
  public void everySpeciesOfTheseGeneraHasIt(Trait hazard, List<String> genera) {
    Set<String> without = new TreeSet<>();
    for (String genus : genera) {
      List<Species> found =
          CATALOGUE.species().stream()
              .filter(species -> species.scientificName().startsWith(genus + " "))
              .toList();
      assertTrue(!found.isEmpty(), genus);
      found.stream()
          .filter(species -> !species.traits().contains(hazard))
          .forEach(species -> without.add(species.code()));
    }
    assertEquals(without, Set.of(), hazard.name());
  }

  @Test
  public void wolffishAndCongerHaveTeethAndNoSpines() {
    for (String code : List.of("wolffish", "conger")) {
      Set<Trait> traits = CATALOGUE.getSpecies(code).traits();
      assertTrue(traits.contains(Trait.TEETH) && !traits.contains(Trait.SPINES), code);
    }
  }

  @Test
  public void noFlatfishOrCodHasAHazardOfOthers() {
    Set<Trait> others =
        Set.of(Trait.VENOM, Trait.TOXIC_BLOOD, Trait.AMMONIA, Trait.REEF_TOXIN, Trait.WAX_ESTER);
    Set<String> accused =
        List.of("turbot", "plaice", "sole", "cod", "hake", "pollack", "trout").stream()
            .filter(code -> CATALOGUE.getSpecies(code).traits().stream().anyMatch(others::contains))
            .collect(Collectors.toSet());
    assertEquals(accused, Set.of());
  }
}
