package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.bench.BenchSheets;
import mosaicknife.app.bench.Entry;
import mosaicknife.app.bench.Take;
import mosaicknife.app.bench.WeighingFact;
import mosaicknife.app.bench.WeighingRecorder;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.dock.LotRegister;
import mosaicknife.app.dock.ReceiptForm;
import mosaicknife.app.dock.ReceiptReader;
import mosaicknife.app.exchange.ApiProblems.FieldProblems;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Lots and weighings for other programs. */
@RestController
@RequestMapping("/api/v1/lots")
@Tag(name = "Lots")
class LotApi {

  private final LotRegister lots;
  private final ReceiptReader reader;
  private final BenchSheets sheets;
  private final WeighingRecorder bench;
  private final CurrentPerson current;

  LotApi(
      LotRegister lots,
      ReceiptReader reader,
      BenchSheets sheets,
      WeighingRecorder bench,
      CurrentPerson current) {
    this.lots = lots;
    this.reader = reader;
    this.sheets = sheets;
    this.bench = bench;
    this.current = current;
  }

  @GetMapping
  @Operation(summary = "List lots, open ones first")
  List<LotJson> list() {
    boolean withCosts = current.may(Permission.SEE_COSTS);
    return sheets.all().stream().map(sheet -> LotJson.of(sheet, withCosts)).toList();
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
              + " your own: a lot sent twice is one lot.")
  LotJson receive(@RequestBody ReceiptForm form) {
    ReceiptReader.Read read = reader.read(form);
    Lot lot =
        SentTwice.survive(
            () ->
                lots.receive(read.receipt().orElseThrow(() -> new FieldProblems(read.problems()))));
    return get(lot.id());
  }

  @GetMapping("/{id}/weighings")
  @Operation(summary = "List the weighings of a lot, superseded ones too")
  List<WeighingFact> weighings(@PathVariable long id) {
    return sheets.facts(id);
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
    SentTwice.survive(() -> bench.take(take));
    return get(id);
  }
}
