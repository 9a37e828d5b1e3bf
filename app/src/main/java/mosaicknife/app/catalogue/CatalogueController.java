package mosaicknife.app.catalogue;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.catalogue.CatalogueEditor.Imported;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.SharedName;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.StartingFigures.HeadSize;
import mosaicknife.core.anatomy.StartingFigures.Ribs;
import mosaicknife.core.anatomy.UnknownFish;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The Catalogue station: fish, body plans, parts, and the fish nobody knows. */
@Controller
class CatalogueController {

  private final CatalogueEditor book;
  private final HouseSettings houses;

  private final Words words;

  CatalogueController(CatalogueEditor book, HouseSettings houses, Words words) {
    this.words = words;
    this.book = book;
    this.houses = houses;
  }

  @GetMapping("/catalogue")
  String list(@RequestParam(defaultValue = "") String query, Model model) {
    search(query, model);
    model.addAttribute("all", book.now().species().size());
    return "catalogue/list";
  }

  /** The rows alone, as one types. */
  @GetMapping("/catalogue/found")
  String found(@RequestParam(defaultValue = "") String query, Model model) {
    search(query, model);
    return "catalogue/list :: found";
  }

  private void search(String query, Model model) {
    Catalogue catalogue = book.now();
    Formats formats = houses.house().formats();
    List<Species> found = catalogue.search(query);
    model.addAttribute("query", query.strip());
    model.addAttribute(
        "refused", query.isBlank() ? Optional.empty() : catalogue.findRefused(query));
    model.addAttribute("shared", SharedName.find(query).map(SharedName::difference).orElse(null));
    model.addAttribute(
        "rows",
        found.stream().map(species -> FishRow.of(book.now(), species, query, formats)).toList());
  }

  @GetMapping("/catalogue/fish/{code}")
  String fish(@PathVariable String code, Model model) {
    Species species = species(code);
    fill(model, species);
    if (!model.containsAttribute("form")) {
      model.addAttribute("form", FishForm.of(species));
      model.addAttribute("typed", FishForm.parts(species));
    }
    return "catalogue/fish";
  }

  private void fill(Model model, Species species) {
    model.addAttribute("view", SpeciesView.of(species, book.now(), houses.house().formats()));
    model.addAttribute("own", book.isOwn(species.code()));
    model.addAttribute("shippedToo", book.shipped(species.code()).isPresent());
    model.addAttribute("history", book.history(species.code()));
    model.addAttribute("specifications", Specification.values());
    model.addAttribute("traits", Trait.values());
    model.addAttribute("fleshes", Eating.Flesh.values());
    model.addAttribute("textures", Eating.Texture.values());
    model.addAttribute("flavours", Eating.Flavour.values());
    model.addAttribute("skins", Eating.Skin.values());
    model.addAttribute("scaleNeeds", Eating.Scales.values());
  }

  private Species species(String code) {
    return book.now()
        .findSpecies(code)
        .orElseThrow(() -> Refusal.ofMissing("catalogue.problem.there-is-no-such-fish"));
  }

  @PostMapping("/catalogue/fish/{code}")
  String change(
      @PathVariable String code,
      @ModelAttribute("form") FishForm form,
      @RequestParam Map<String, String> typed,
      Model model,
      HttpServletResponse response,
      RedirectAttributes later) {
    Species before = species(code);
    try {
      book.change(form.document(before, typed), form.reason());
    } catch (Refusal refusal) {
      response.setStatus(422);
      fill(model, before);
      model.addAttribute("typed", typed);
      model.addAttribute("sentence", words.say(refusal));
      return "catalogue/fish";
    }
    later.addFlashAttribute("done", words.say("catalogue.said.kept-plans-and-yields-use"));
    return "redirect:/catalogue/fish/" + before.code();
  }

  @PostMapping("/catalogue/fish/{code}/shipped")
  @Form("/catalogue/fish/{code}")
  Done backToShipped(@PathVariable String code) {
    book.backToShipped(species(code).code());
    return Done.said("catalogue.said.back-to-the-fish-as");
  }

  @PostMapping("/catalogue/fish/{code}/remove")
  @Form("/catalogue/fish/{code}")
  Done remove(@PathVariable String code) {
    Species species = species(code);
    book.remove(species.code());
    return Done.said("catalogue.said.is-out-of-the-catalogue", species.name()).on("/catalogue");
  }

  @GetMapping("/catalogue/plans")
  String plans(Model model) {
    model.addAttribute("plans", pictures());
    return "catalogue/plans";
  }

  @GetMapping("/catalogue/plans/{code}")
  String plan(@PathVariable String code, Model model) {
    Catalogue catalogue = book.now();
    BodyPlan plan =
        catalogue
            .findPlan(code)
            .orElseThrow(() -> Refusal.ofMissing("catalogue.problem.there-is-no-such-body"));
    model.addAttribute("plan", plan);
    model.addAttribute("routes", CuttingOptions.routesOf(plan));
    model.addAttribute("drawing", SpeciesView.drawing(plan));
    model.addAttribute("profiles", ProfilePicture.of(plan, houses.house().formats()));
    model.addAttribute(
        "fish", catalogue.species().stream().filter(s -> s.plan().equals(plan)).toList());
    return "catalogue/plan";
  }

  @GetMapping("/catalogue/parts")
  String parts(@RequestParam(defaultValue = "") String query, Model model) {
    model.addAttribute("query", query.strip());
    model.addAttribute("parts", PartTree.of(book.now(), query));
    return "catalogue/parts";
  }

  private List<PlanPicture> pictures() {
    return book.now().plans().stream()
        .map(plan -> new PlanPicture(plan, SpeciesView.plain(plan)))
        .toList();
  }

  @GetMapping("/catalogue/tonight")
  String tonight(@ModelAttribute("form") TonightForm form, Model model) {
    return tonightPage(model);
  }

  @PostMapping("/catalogue/tonight")
  String make(
      @ModelAttribute("form") TonightForm form,
      Model model,
      HttpServletResponse response,
      RedirectAttributes later) {
    try {
      Species made = book.make(form.species(book.now(), houses.house().formats()));
      later.addFlashAttribute(
          "done", words.say("catalogue.said.is-in-the-catalogue-with", made.name()));
      later.addAttribute("species", made.code());
      return "redirect:/dock/receive";
    } catch (Refusal | QuantityFormatException refusal) {
      response.setStatus(422);
      model.addAttribute("sentence", words.say(refusal));
      return tonightPage(model);
    }
  }

  private String tonightPage(Model model) {
    model.addAttribute("plans", pictures());
    model.addAttribute("ribs", Ribs.values());
    model.addAttribute("heads", HeadSize.values());
    model.addAttribute("fleshes", Eating.Flesh.values());
    model.addAttribute("scales", Eating.Scales.values());
    model.addAttribute("skins", Eating.Skin.values());
    model.addAttribute("pinBones", UnknownFish.PinBones.values());
    model.addAttribute("kins", UnknownFish.Kin.values());
    return "catalogue/tonight";
  }

  @GetMapping("/catalogue/export.json")
  ResponseEntity<String> export() {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("catalogue.json").build().toString())
        .body(book.export());
  }

  @GetMapping("/catalogue/schema.json")
  ResponseEntity<Resource> schema() {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_JSON)
        .body(new ClassPathResource("schema/catalogue.schema.json"));
  }

  @PostMapping("/catalogue/import")
  String takeIn(@RequestParam MultipartFile file, RedirectAttributes later) throws IOException {
    try {
      Imported imported = book.takeIn(new String(file.getBytes(), StandardCharsets.UTF_8));
      later.addFlashAttribute(
          "done",
          words.say(
              "catalogue.said.read-fish-changed-new-as",
              imported.changed(),
              imported.made(),
              imported.same()));
    } catch (Refusal refusal) {
      later.addFlashAttribute("sentence", words.say(refusal));
    }
    return "redirect:/catalogue";
  }
}
