package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.app.exchange.PatternsRequest.FilletRequest;
import mosaicknife.app.exchange.PatternsRequest.WantedRequest;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.Service;
import mosaicknife.core.slice.Service.OnTheBoard;
import mosaicknife.core.slice.Service.Wanted;
import mosaicknife.core.slice.ServicePlanner;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Shares fillets out to a demand that nobody stored. */
@RestController
@TakesLong
@Tag(name = "Evaluation")
class PatternsApi {

  private static final int MOST_FILLETS = 60;
  private static final int MOST_KINDS = 20;

  private final FilletReader reader;
  private final Words words;
  private final double seconds;

  PatternsApi(
      FilletReader reader, Words words, @Value("${mosaic.slice.seconds:1.5}") double seconds) {
    this.reader = reader;
    this.words = words;
    this.seconds = seconds;
  }

  @PostMapping("/api/v1/evaluate/patterns")
  @Operation(
      summary = "Cut fillets for a service",
      description =
          "Stateless: from fillets and how many portions of each kind are wanted to which fillet"
              + " is cut into what, with the least lost, how far that is proved, and what cutting"
              + " each until it is gone would give.")
  PatternsAnswer patterns(@RequestBody PatternsRequest request) {
    Fields fields = new Fields(words);
    List<FilletRequest> sent = request.fillets() == null ? List.of() : request.fillets();
    List<WantedRequest> asked = request.wanted() == null ? List.of() : request.wanted();
    if (sent.isEmpty() || sent.size() > MOST_FILLETS || sent.contains(null)) {
      fields.wrong("fillets", "exchange.problem.fillets", sent.size(), MOST_FILLETS);
    }
    if (asked.isEmpty() || asked.size() > MOST_KINDS || asked.contains(null)) {
      fields.wrong("wanted", "exchange.problem.portion-types", asked.size(), MOST_KINDS);
    }
    fields.check();
    List<Wanted> wanted = wanted(asked, fields);
    List<OnTheBoard> board = board(sent, asked, fields);
    fields.check();
    Service service = new Service(board, wanted);
    if (!service.isWorkable()) {
      fields.wrong("fillets", "slice.problem.too-much");
    }
    fields.check();
    return PatternsAnswer.of(ServicePlanner.plan(service, seconds), ServicePlanner.byHand(service));
  }

  private static List<Wanted> wanted(List<WantedRequest> asked, Fields fields) {
    List<Wanted> wanted = new ArrayList<>();
    for (int i = 0; i < asked.size(); i++) {
      WantedRequest one = asked.get(i);
      fields.read(
          "wanted[" + i + "]",
          null,
          () ->
              wanted.add(
                  new Wanted(
                      FilletReader.type(one.type()), Texts.count(one.count(), 0, 0, Wanted.MOST))));
    }
    return wanted;
  }

  private List<OnTheBoard> board(
      List<FilletRequest> sent, List<WantedRequest> asked, Fields fields) {
    List<OnTheBoard> board = new ArrayList<>();
    Set<String> ids = new HashSet<>();
    for (int i = 0; i < sent.size(); i++) {
      FilletRequest one = sent.get(i);
      String id = one.id() == null || one.id().isBlank() ? "" + (i + 1) : one.id();
      if (!ids.add(id)) {
        fields.wrong("fillets[" + i + "]", "exchange.problem.same-fillet");
        continue;
      }
      Optional<Fillet> fillet =
          reader.fillet(
              "fillets[" + i + "].",
              one.species(),
              one.part(),
              one.mass(),
              one.fish(),
              null,
              fields);
      Set<Integer> kinds = new HashSet<>();
      for (int k = 0; k < asked.size(); k++) {
        List<String> species = asked.get(k).species();
        if (species == null || species.contains(one.species())) {
          kinds.add(k);
        }
      }
      fillet.ifPresent(shape -> board.add(new OnTheBoard(id, shape, kinds)));
    }
    return board;
  }
}
