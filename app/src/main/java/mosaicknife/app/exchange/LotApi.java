package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.dock.Deliveries;
import mosaicknife.app.dock.ReceiptForm;
import mosaicknife.app.dock.ReceiptReader;
import mosaicknife.app.exchange.ApiProblems.FieldProblems;
import mosaicknife.app.lot.LotLine;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Lots and weighings for other programs. */
@RestController
@RequestMapping("/api/v1/lots")
@Tag(name = "Lots")
class LotApi {

  private final LotRegister lots;
  private final Deliveries deliveries;
  private final ReceiptReader reader;
  private final LotSheets sheets;
  private final WeighingRecorder bench;
  private final CurrentPerson current;
  private final Words words;

  LotApi(
      LotRegister lots,
      Deliveries deliveries,
      ReceiptReader reader,
      LotSheets sheets,
      WeighingRecorder bench,
      CurrentPerson current,
      Words words) {
    this.lots = lots;
    this.deliveries = deliveries;
    this.reader = reader;
    this.sheets = sheets;
    this.bench = bench;
    this.current = current;
    this.words = words;
  }

  /**
   * A lot in the list; ask for it by its number to see its parts.
   *
   * @param id the lot number
   * @param species the code of the species
   * @param speciesName its name
   * @param state the state on arrival
   * @param fish how many fish
   * @param grams the mass as purchased
   * @param supplier the supplier
   * @param venue the venue
   * @param receivedAt when it was received
   * @param open whether it is open
   */
  record LineJson(
      long id,
      String species,
      String speciesName,
      State state,
      int fish,
      BigDecimal grams,
      String supplier,
      String venue,
      Instant receivedAt,
      boolean open) {

    private static LineJson of(LotLine line) {
      return new LineJson(
          line.id(),
          line.species().code(),
          line.species().name(),
          line.state(),
          line.fish(),
          line.mass().inGrams(),
          line.supplier(),
          line.venue(),
          line.receivedAt(),
          !line.finished());
    }
  }

  /**
   * One page of lots.
   *
   * @param lots the lots, open ones first, the newest first
   * @param page which page, from 1
   * @param pages how many there are
   * @param total how many lots were found
   */
  record PageJson(List<LineJson> lots, int page, int pages, long total) {}

  @GetMapping
  @Operation(
      summary = "Find lots, open ones first",
      description =
          "By a fish's name, part of a supplier's name, a lot number or a day; all without text."
              + " No lot is left out: ask for the next page until it is the last.")
  PageJson list(
      @RequestParam(defaultValue = "") String text, @RequestParam(defaultValue = "1") int page) {
    Paged<LotLine> found = lots.search(text, page);
    return new PageJson(
        found.rows().stream().map(LineJson::of).toList(),
        found.number(),
        found.pages(),
        found.total());
  }

  @GetMapping("/{id}")
  @Operation(summary = "Read a lot with its parts and its balance")
  LotJson get(@PathVariable long id) {
    return LotJson.of(sheets.get(id), current.may(Permission.SEE_COSTS));
  }

  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(
      summary = "Receive a lot",
      description =
          "Masses and prices are texts with units, such as '4.860 kg' and '11.40/kg'. Send an id of"
              + " your own: a lot sent twice is one lot. Of who sees no prices none is taken: it is"
              + " the agreed one of the order, or to come.")
  LotJson receive(@RequestBody ReceiptForm form) {
    if (ClientIds.find(form.id()).isEmpty()) {
      throw new FieldProblems(Map.of("id", words.say("exchange.problem.id")));
    }
    ReceiptReader.ReadReceipt read = reader.read(form);
    return get(
        deliveries
            .receive(read.delivery().orElseThrow(() -> new FieldProblems(read.problems())))
            .id());
  }

  @GetMapping("/{id}/weighings")
  @Operation(summary = "List the weighings of a lot, superseded ones too")
  List<FactJson> weighings(@PathVariable long id) {
    return sheets.facts(id).stream().map(FactJson::of).toList();
  }

  /**
   * A weight to take.
   *
   * @param id an identifier of your own: a weighing sent twice is one weighing
   * @param part the code of the part within the lot
   * @param fish which fish, from 1; 0 for all together; 1 if left out
   * @param mass the mass with its unit
   * @param supersedes the weighing it corrects, if any
   * @param reason why it corrects it
   */
  record WeighingJson(
      UUID id, String part, Integer fish, String mass, UUID supersedes, String reason) {

    private Take toTake(long lotId) {
      return new Take(
          id == null ? UUID.randomUUID() : id,
          lotId,
          part == null ? "" : part,
          fish == null ? 1 : fish,
          Entry.of(MassText.parse(mass, MassUnit.KILOGRAM)),
          Optional.ofNullable(supersedes),
          reason == null ? "" : reason);
    }
  }

  @PostMapping("/{id}/weighings")
  @ResponseStatus(HttpStatus.CREATED)
  @Operation(summary = "Take a weight")
  LotJson take(@PathVariable long id, @RequestBody WeighingJson weighing) {
    Take take = weighing.toTake(id);
    bench.take(take);
    return get(id);
  }
}
