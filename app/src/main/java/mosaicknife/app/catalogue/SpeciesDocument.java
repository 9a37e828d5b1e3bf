package mosaicknife.app.catalogue;

import java.math.BigDecimal;
import java.util.List;

/**
 * A fish as it is written to JSON: in exports, imports and the edits of the house. The schema is
 * published at {@code /catalogue/schema.json}.
 *
 * @param code the lasting identifier
 * @param name the name on screen
 * @param scientificName the scientific name
 * @param names market names, each {@code REGION:name}
 * @param bodyPlan the code of the body plan
 * @param traits what to be careful about
 * @param eating how it eats
 * @param lightestKg the usual mass of one fish, lowest, in kilograms
 * @param heaviestKg the usual mass of one fish, highest
 * @param gradesKg size grades such as {@code 1.5-2.5}
 * @param season months such as {@code N6-2,S11-5}, or {@code -}
 * @param parts the parts of the ungutted fish; the means add up to 1
 */
record SpeciesDocument(
    String code,
    String name,
    String scientificName,
    List<String> names,
    String bodyPlan,
    List<String> traits,
    EatingDocument eating,
    BigDecimal lightestKg,
    BigDecimal heaviestKg,
    List<String> gradesKg,
    String season,
    List<PartDocument> parts) {

  record EatingDocument(
      String flesh,
      String texture,
      String flavour,
      String skin,
      String scales,
      double pinBonesTo,
      BigDecimal headFromKg,
      double skinShare) {}

  record PartDocument(String slot, double mean, double spread) {}

  /** A whole catalogue. */
  record File(String format, List<SpeciesDocument> species) {

    static final String FORMAT = "mosaic-knife-catalogue-1";
  }
}
