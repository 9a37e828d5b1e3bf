package mosaicknife.app.exchange;

import java.util.List;

/**
 * Fillets to be cut for a service. Masses are texts with units.
 *
 * @param fillets the fillets, in the order they lie
 * @param wanted what is wanted of them
 */
record PatternsRequest(List<FilletRequest> fillets, List<WantedRequest> wanted) {

  /**
   * A fillet.
   *
   * @param id what it is called
   * @param species the code of the species
   * @param part the code of the part, such as {@code fillet-left}
   * @param mass what it weighs
   * @param fish what the fish weighed
   */
  record FilletRequest(String id, String species, String part, String mass, String fish) {}

  /**
   * So many portions of a kind.
   *
   * @param count how many
   * @param species the codes of the fish it may be of; any if left out
   * @param type the portion
   */
  record WantedRequest(Integer count, List<String> species, PortionsRequest.TypeRequest type) {}
}
