package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.Words;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PassCut;
import mosaicknife.core.slice.PinBoneCut.Way;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicer;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Cuts a fillet that nobody stored. */
@RestController
@Tag(name = "Evaluation")
class PortionsApi {

  /** Cut above the row, a fillet is three. */
  private static final int LANES = 3;

  private final FilletReader reader;
  private final Words words;

  PortionsApi(FilletReader reader, Words words) {
    this.reader = reader;
    this.words = words;
  }

  @PostMapping("/api/v1/evaluate/portions")
  @Operation(
      summary = "Cut a fillet",
      description =
          "Stateless: from species, part, mass and kinds of portion to where the knife goes, what"
              + " each piece weighs, and what is left over.")
  PortionsAnswer portions(@RequestBody PortionsRequest request) {
    Fields fields = new Fields(words);
    long over =
        fields.read("overPerKilogram", 0L, () -> FilletReader.worth(request.overPerKilogram(), 0));
    Way way =
        fields.read(
            "pinBones",
            Way.LEFT_IN,
            () -> Texts.choice(Way.values(), request.pinBones(), Way.LEFT_IN));
    int without =
        fields.read(
            "withoutBones",
            0,
            () -> Texts.count(request.withoutBones(), 0, 0, Slicer.MOST_BONELESS));
    List<PortionType> types = FilletReader.types(request.types(), fields);
    Optional<Fillet> fillet =
        reader.fillet(
            "",
            request.species(),
            request.part(),
            request.mass(),
            request.fish(),
            request.length(),
            fields);
    if (fillet.filter(one -> !Slicer.isWorkable(one, types, without, LANES)).isPresent()) {
      fields.wrong("types", "slice.problem.too-much");
    }
    fields.check();
    Way possible = way.of(reader.species(request.species()));
    return PortionsAnswer.of(PassCut.of(fillet.orElseThrow(), possible, types, over, without));
  }
}
