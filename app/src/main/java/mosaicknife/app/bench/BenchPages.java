package mosaicknife.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.account.Person;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.device.Scale;
import mosaicknife.app.device.StandInPanel;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.house.TrayEditor;
import mosaicknife.app.picture.FishPicture;
import mosaicknife.app.picture.FishPicture.PartMark;
import mosaicknife.app.picture.FishPicture.Standing;
import mosaicknife.app.picture.LotMosaic;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Decimals;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.ScaleView;
import mosaicknife.app.weighing.TallyMender;
import mosaicknife.app.weighing.WeighForm;
import mosaicknife.app.weighing.WorkShift;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.breakdown.Diagnosis;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.breakdown.Reconciliation;
import mosaicknife.core.craft.Pace;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Opinions;
import mosaicknife.core.lot.Weighing;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.plan.Guide;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.util.HtmlUtils;
import tools.jackson.databind.json.JsonMapper;

/** Fills the model of the bench page and of its sheet, all of it as of one moment. */
@Service
@Transactional(readOnly = true)
class BenchPages {

  private static final List<String> SCRIPT_WORDS =
      List.of(
          "gone",
          "sums-follow",
          "all-weighed",
          "fish",
          "together",
          "other",
          "others",
          "on-to-fish",
          "was",
          "pieces",
          "left-out",
          "each-is-one",
          "waits-one",
          "waits-other",
          "not-saved",
          "drop",
          "type-first",
          "no-weight",
          "say-why",
          "take-it-all-the-same",
          "nothing-was-taken",
          "nothing-to-take-back",
          "taken-back",
          "tare",
          "tray",
          "not-allowed",
          "unknown-lot",
          "not-taken",
          "server-fault");

  private static final Duration SHORTEST_PACE = Duration.ofSeconds(10);

  private final LotSheets sheets;
  private final TallyMender tallies;
  private final NoteRecorder notes;
  private final WorkShift shift;
  private final TrayEditor trays;
  private final CurrentPerson current;
  private final HouseSettings houses;
  private final Scale scale;
  private final StandInPanel hands;
  private final CatalogueEditor catalogue;
  private final JsonMapper json;
  private final Clock clock;
  private volatile String kindOptions;

  BenchPages(
      LotSheets sheets,
      TallyMender tallies,
      NoteRecorder notes,
      WorkShift shift,
      TrayEditor trays,
      CurrentPerson current,
      HouseSettings houses,
      Scale scale,
      StandInPanel hands,
      CatalogueEditor catalogue,
      JsonMapper json,
      Clock clock) {
    this.sheets = sheets;
    this.tallies = tallies;
    this.notes = notes;
    this.shift = shift;
    this.trays = trays;
    this.current = current;
    this.houses = houses;
    this.scale = scale;
    this.hands = hands;
    this.catalogue = catalogue;
    this.json = json;
    this.clock = clock;
  }

  /** Which part of which fish the bench works on. */
  record Place(long lotId, Optional<String> part, int fish) {}

  public void fill(Model model, Place place) {
    Formats formats = houses.house().formats();
    Person person = current.get();
    LotSheet sheet = sheets.get(place.lotId());
    int fish = sheet.lot().fish() == 1 ? 1 : Math.min(place.fish(), sheet.lot().fish());
    List<HouseTray> ofHouse = trays.trays();
    Optional<Diagnosis> finding = tallies.find(sheet);
    List<Suspicion> suspicions = Suspicion.of(sheet, finding, formats);
    BenchView view =
        BenchView.of(sheet, place.part(), Math.max(0, fish), !suspicions.isEmpty(), formats);
    boolean alarm = finding.isPresent();
    model.addAttribute("bench", view);
    model.addAttribute(
        "moves", view.selected().map(p -> moves(sheet, p, view.fishNo())).orElse(null));
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("scale", ScaleView.of(scale, Optional.empty(), formats));
    model.addAttribute("standIn", hands.isThere());
    model.addAttribute("trays", ofHouse);
    model.addAttribute("tray", formats.mass(StandInPanel.TRAY));
    model.addAttribute("kindOptions", kindOptions());
    model.addAttribute("mosaic", LotMosaic.of(sheet, Size.BENCH, formats));
    model.addAttribute("drawing", drawing(view, formats));
    model.addAttribute("suspicions", suspicions);
    model.addAttribute(
        "opinions",
        alarm
            ? List.of()
            : OpinionWords.of(
                sheet,
                view.fishNo(),
                current.may(Permission.SEE_COSTS),
                shift.drift(sheet),
                formats));
    model.addAttribute("step", view.selected().flatMap(part -> guide(sheet, part)).orElse(null));
    model.addAttribute("learner", !current.may(Permission.DECIDE_PURPOSE));
    model.addAttribute("notes", notes.of(place.lotId()));
    model.addAttribute("pace", pace(sheet, formats));
    model.addAttribute("adjusted", adjusted(sheet, formats));
    Optional<UUID> mine = sheets.lastOf(place.lotId(), person.id());
    model.addAttribute("benchWords", quoted(scriptWords(formats)));
    model.addAttribute(
        "benchModel",
        // inside a script element, where only the end of one could end it early
        quoted(BenchModel.of(clock.instant(), sheet, person.id(), mine, formats)));
  }

  /** About what the part should weigh that a weight is typed for. */
  Optional<Mass> expected(long lotId, WeighForm form) {
    LotSheet sheet = sheets.get(lotId);
    return sheet.find(form.slot()).flatMap(part -> sheet.about(part, form.fishNo()));
  }

  /**
   * What can be done with the part in hand besides weighing it.
   *
   * @param instead the parts its weight may belong to
   * @param stayOn the parts it may stay on
   * @param into the parts it may be put back into
   * @param pieces the kinds that can be cut from it
   * @param cutBefore the parts whose pieces it may be cut into
   */
  record Moves(
      List<LotPart> instead,
      List<LotPart> stayOn,
      List<LotPart> into,
      List<PartKind> pieces,
      List<LotPart> cutBefore) {}

  private Moves moves(LotSheet sheet, LotPart part, int fishNo) {
    return new Moves(
        sheet.mayBeInstead(part, fishNo),
        sheet.mayStayOn(part),
        sheet.mayGoInto(part),
        sheet.mayBeCut(part) ? catalogue.now().cutFrom(part.kind()) : List.of(),
        sheet.cutBefore(part));
  }

  private String quoted(Object value) {
    return json.writeValueAsString(value).replace("<", "\\u003c");
  }

  /** The words of the script; the browser puts in the figures it has at hand. */
  private static Map<String, String> scriptWords(Formats formats) {
    return SCRIPT_WORDS.stream()
        .collect(
            Collectors.toMap(
                key -> key, key -> formats.say("bench.script." + key, "{0}", "{1}", "{2}")));
  }

  /**
   * The kinds of part are data of the product: their list is written once, since more than fifty
   * options with three expressions each were a third of the work for a sheet.
   */
  private String kindOptions() {
    if (kindOptions == null) {
      kindOptions =
          catalogue.now().kinds().stream()
              .map(
                  kind ->
                      "<option value=\"%s\"%s>%s</option>"
                          .formatted(
                              HtmlUtils.htmlEscape(kind.code()),
                              kind.is(PartKind.Trait.TRIM) ? " selected" : "",
                              HtmlUtils.htmlEscape(kind.name())))
              .collect(Collectors.joining());
    }
    return kindOptions;
  }

  private static Optional<Guide.Step> guide(LotSheet sheet, LotPart part) {
    return sheet.plan().parts().stream()
        .map(Planned::slot)
        .filter(slot -> slot.code().equals(part.slot()))
        .findFirst()
        .flatMap(slot -> Guide.find(sheet.lot().species().plan(), slot));
  }

  /** Minutes in words, for the foot of the tally. */
  record PaceView(String total, List<String> lines) {}

  private PaceView pace(LotSheet sheet, Formats formats) {
    Pace pace = Opinions.pace(sheet, notes.begun(sheet.lot().id()));
    // a lot that was keyed in at one go tells nothing of minutes
    if (pace.total().compareTo(SHORTEST_PACE) < 0) {
      return new PaceView("", List.of());
    }
    List<String> lines = new ArrayList<>();
    if (sheet.lot().fish() > 1) {
      pace.byFish()
          .forEach(
              (fish, took) ->
                  lines.add(
                      fish == 0
                          ? formats.say("bench.said.step-together", minutes(took, formats))
                          : formats.say("bench.said.step-fish", fish, minutes(took, formats))));
    }
    pace.byPart().forEach((part, took) -> lines.add(part + " " + minutes(took, formats)));
    if (pace.pauses() > 0) {
      lines.add(formats.say("bench.said.pauses", (long) pace.pauses()));
    }
    return new PaceView((pace.isEstimated() ? "≈ " : "") + minutes(pace.total(), formats), lines);
  }

  private static String minutes(Duration duration, Formats formats) {
    return duration.compareTo(Duration.ofMinutes(1)) < 0
        ? formats.say("bench.said.seconds", duration.toSeconds())
        : formats.say(
            "bench.said.minutes",
            "" + duration.toMinutes() + ":" + Decimals.two(duration.toSecondsPart()));
  }

  /** One figure as measured and as adjusted. */
  record AdjustedRow(String name, String measured, String adjusted) {}

  /** Measured against adjusted, once every part is weighed. */
  private static List<AdjustedRow> adjusted(LotSheet sheet, Formats formats) {
    if (sheet.adjusted().isEmpty()) {
      return List.of();
    }
    Reconciliation adjusted = sheet.adjusted().get();
    List<Node> parts = sheet.breakdown().parts();
    List<AdjustedRow> rows = new ArrayList<>();
    rows.add(row(formats.say("bench.said.fish"), adjusted.whole(), formats));
    for (int i = 0; i < parts.size(); i++) {
      rows.add(row(parts.get(i).name(), adjusted.parts().get(i), formats));
    }
    rows.add(row(formats.say("bench.said.drip-and-scales-by-the"), adjusted.loss(), formats));
    return rows;
  }

  private static AdjustedRow row(String name, Reconciliation.Adjusted figure, Formats formats) {
    return new AdjustedRow(name, formats.mass(figure.before()), formats.about(figure.after()));
  }

  private static FishPicture drawing(BenchView view, Formats formats) {
    LotSheet sheet = view.sheet();
    return FishPicture.of(
        sheet.lot().species(), slot -> sheet.find(slot).map(part -> mark(part, view, formats)));
  }

  private static PartMark mark(LotPart part, BenchView view, Formats formats) {
    Optional<Weighing> taken = part.find(view.fishNo());
    Standing standing;
    if (part.skipped()) {
      standing = Standing.ABSENT;
    } else if (view.selected().filter(part::equals).isPresent()) {
      standing = Standing.NEXT;
    } else {
      standing = taken.isPresent() ? Standing.WEIGHED : Standing.PENDING;
    }
    return new PartMark(
        part.number(),
        part.name(),
        standing,
        part.purpose(),
        taken.map(t -> formats.mass(t.mass())).orElse(""));
  }
}
