package mosaicknife.app;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mosaicknife.app.account.TokenIssuer;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.portion.Serving.Form;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Thirty lots, cut and weighed in any way: every page tells the same of the same fish. */
public class AgreementPagesTest extends WithPages {

  private static final int LOTS = 30;
  private static final List<String> FISH =
      List.of("hake", "gurnard", "plaice", "pollack", "mackerel", "turbot", "trout");
  private static final Pattern LOT = Pattern.compile("(?i)lot (\\d+)");
  private static final Pattern CARRIES = Pattern.compile(",([0-9]+\\.[0-9]{2}),,,\"?EUR");
  private static final Pattern CUT = Pattern.compile("(\\d+) ×");
  private static final Pattern COUNT = Pattern.compile("(\\d+) plate");

  @Autowired private LotSheets sheets;
  @Autowired private WeighingRecorder bench;

  @Autowired private HouseSettings houses;
  @Autowired private TokenIssuer issuer;

  private final Random random = new Random(26);

  /** What the butcher read off the scale, by lot and part: nothing of ours in between. */
  private final Map<Long, Map<String, Integer>> read = new TreeMap<>();

  @Test
  public void everyPageTellsTheSamePlates() throws Exception {
    TestLots received = new TestLots(applicationContext);
    Map<Long, Integer> fish = new TreeMap<>();
    Map<Long, String> invoiced = new TreeMap<>();
    for (int i = 0; i < LOTS; i++) {
      int count = 1 + random.nextInt(5);
      double kilograms = count * (0.6 + random.nextDouble() * 2);
      long lot =
          received.receive(
              FISH.get(i % FISH.size()), State.GUTTED, count, "%.3f".formatted(kilograms));
      weigh(lot, count);
      fish.put(lot, count);
      invoiced.put(lot, "%.3f".formatted(kilograms));
    }
    String token = issuer.issue("ines", "port-sallow-demo", "10.26.0.1").token();
    for (long lot : fish.keySet()) {
      theApiTellsTheGrams(lot, token);
      usesAndPassportTellTheGramsAndNothingIsRaw(lot);
    }
    Map<Long, Long> told = new TreeMap<>();
    int together = 0;
    int compared = 0;
    for (long lot : fish.keySet()) {
      String portion = 100 + random.nextInt(140) + (random.nextBoolean() ? " g" : "");
      Form form = Form.values()[random.nextInt(Form.values().length)];
      follow(
          "ines",
          "/plan/" + lot + "/portion",
          "portion",
          portion,
          "form",
          form.name(),
          "pieces",
          "2");
      follow("ines", "/plan/" + lot + "/usual");
      LotSheet sheet = sheets.get(lot);
      if (!sheet.isCounted()) {
        // main cuts are to come: Cost says so, and the plan says between what
        continue;
      }
      String at = "lot " + lot + " of " + fish.get(lot) + ", " + form + " at " + portion;
      Document cost = Jsoup.parse(page("ines", "/cost/" + lot));
      long plates = count(cost.select(".figure-note").text(), at);
      Document slice = Jsoup.parse(page("ines", "/slice/" + lot));
      assertEquals(count(slice.select("#lot-title").text(), at), plates, "Slice, " + at);
      Document plan = Jsoup.parse(page("ines", "/plan/" + lot));
      assertEquals(
          plan.select(".plan-sums dd > span").first().text().replace("≈ ", ""),
          "" + plates,
          "Plan, " + at);
      theSheetAddsUpToTheInvoice(lot, invoiced.get(lot));
      if (form == Form.SLICES) {
        compareTellsThePlates(lot, portion, plates, at);
        compared++;
      }
      told.put(lot, plates);
      together += sheets.get(lot).parts().stream().anyMatch(p -> p.pieces(0) > 0) ? 1 : 0;
    }
    assertTrue(together >= 5, together + " were weighed together");
    assertTrue(compared >= 3, compared + " were compared");
    assertTrue(told.size() >= LOTS / 2, told.size() + " lots are counted");
    int listed = 0;
    for (Element row : Jsoup.parse(page("ines", "/")).select(".lots tbody tr")) {
      Matcher number = LOT.matcher(row.select("th").text());
      Long plates = number.find() ? told.get(Long.valueOf(number.group(1))) : null;
      if (plates != null) {
        listed++;
        assertEquals(
            row.select("td.wide-only").last().text().replace("≈ ", ""),
            plates == 0 ? "–" : "" + plates,
            "Today, " + row.text());
      }
    }
    assertTrue(listed >= 5, listed + " are listed on Today");
    theServiceCutsWhatSliceCuts(List.copyOf(fish.keySet()));
    theShelfHoldsWhatWasReadOffTheScale(List.copyOf(fish.keySet()));
    received.close();
  }

  private void usesAndPassportTellTheGramsAndNothingIsRaw(long lot) throws Exception {
    Map<String, Integer> wanted = read.getOrDefault(lot, Map.of());
    Map<String, Integer> uses = new TreeMap<>();
    for (Element row : Jsoup.parse(page("ines", "/uses/" + lot)).select(".use-row.weighed")) {
      uses.put(row.id().replace("row-", ""), grams(row.select(".use-part span").text()));
    }
    assertEquals(uses, wanted, "Uses, lot " + lot);
    Map<String, String> slots = new TreeMap<>();
    sheets.get(lot).parts().forEach(p -> slots.put("L" + lot + "-" + p.part().number(), p.slot()));
    Map<String, Integer> passport = new TreeMap<>();
    Document page = Jsoup.parse(page("ines", "/dock/" + lot + "/passport"));
    for (Element row : page.select(".table tbody tr")) {
      assertEquals(row.select("td").get(4).text(), "not raw", row.text());
      if (!row.select("td").get(0).text().equals("not yet")) {
        passport.put(
            slots.get(row.select("td").last().text()), grams(row.select("td").get(0).text()));
      }
    }
    assertEquals(passport, wanted, "passport, lot " + lot);
  }

  private void compareTellsThePlates(long lot, String portion, long plates, String at)
      throws Exception {
    String address = "/cost/compare?with=lot-" + lot + "&portion=" + portion.replace(" ", "");
    Element row = Jsoup.parse(page("ines", address)).select(".compare-row").first();
    assertEquals(count(row.select("th small").text(), at), plates, "Compare, " + at);
  }

  /** One dish for all of the hake: what the evening cuts of each lot is what its Slice cuts. */
  private void theServiceCutsWhatSliceCuts(List<Long> lots) throws Exception {
    String name = "Agreed hake";
    String dish =
        follow(
            "ines",
            "/buy/new",
            "name",
            name,
            "venue",
            "" + venue(),
            "portion",
            "150 g",
            "tolerance",
            "5",
            "form",
            "SLICES",
            "pieces",
            "1",
            "price",
            "",
            "specification",
            "SKIN_ON",
            "fish",
            "hake",
            "version",
            "0");
    assertTrue(dish.contains(name), dish);
    String wanted = "/slice?venue=" + venue();
    for (Element field :
        Jsoup.parse(page("ines", wanted)).select(".service-dishes input[name^=w]")) {
      wanted +=
          "&" + field.attr("name") + "=" + (field.attr("aria-label").contains(name) ? 900 : 0);
    }
    Map<Long, Long> evening = new TreeMap<>();
    for (Element row : Jsoup.parse(page("ines", wanted)).select(".service-fillets li")) {
      String[] to = row.select("a").attr("href").split("[/?]");
      Matcher cut = CUT.matcher(row.children().last().text());
      evening.merge(Long.valueOf(to[2]), cut.find() ? Long.parseLong(cut.group(1)) : 0, Long::sum);
    }
    int told = 0;
    for (long lot : lots) {
      if (evening.containsKey(lot) && sheets.get(lot).lot().species().code().equals("hake")) {
        follow(
            "ines",
            "/plan/" + lot + "/portion",
            "portion",
            "150 g",
            "form",
            "SLICES",
            "pieces",
            "1");
        Document slice = Jsoup.parse(page("ines", "/slice/" + lot));
        String at = "lot " + lot + " for the evening";
        assertEquals(count(slice.select("#lot-title").text(), at), (long) evening.get(lot), at);
        told++;
      }
    }
    assertTrue(told >= 3, told + " lots of hake for the evening");
  }

  /** What is kept lies in the larder at the weight that was read off the scale. */
  private void theShelfHoldsWhatWasReadOffTheScale(List<Long> lots) throws Exception {
    int kept = 0;
    for (long lot : lots) {
      LotSheet sheet = sheets.get(lot);
      // fish that forms histamine lies in no refrigerator before it was looked at and measured
      boolean isWatched = sheet.lot().isHistamineWatched();
      if (isWatched || kept == 3 || !sheet.expectedParts().stream().allMatch(p -> p.isStarted())) {
        continue;
      }
      follow(
          "ines",
          "/uses/" + lot + "/parts/head",
          "version",
          "" + sheet.find("head").orElseThrow().part().version(),
          "purpose",
          "HOLD",
          "until",
          "" + houses.today().plusDays(2),
          "place",
          "Agreed shelf " + lot,
          "keeper",
          "" + people.idOf("tobiah"));
      assertEquals(
          sheets.get(lot).find("head").orElseThrow().purpose(),
          Optional.of(Purpose.HOLD),
          "lot " + lot);
      String closed =
          follow(
              "ines", "/bench/" + lot + "/finish", "version", "" + sheets.get(lot).lot().version());
      if (!sheets.get(lot).lot().isFinished()) {
        // it does not add up, or a part of it is asked about
        assertTrue(closed.contains("alert-danger") || closed.contains("does not add up"), closed);
        continue;
      }
      Document larder = Jsoup.parse(page("ines", "/larder"));
      Element row =
          larder.select(".shelf tbody tr").stream()
              .filter(one -> one.select("th b").text().equals("Agreed shelf " + lot))
              .findFirst()
              .orElseThrow(() -> new AssertionError("nothing on the shelf of lot " + lot));
      assertEquals(
          grams(row.select(".shelf-tile span").text()), read.get(lot).get("head"), "lot " + lot);
      kept++;
    }
    assertEquals(kept, 3, "lots with a head on a shelf");
  }

  private long venue() {
    return sheets.get(read.keySet().iterator().next()).lot().venue().id();
  }

  private static int grams(String mass) {
    String[] figure = mass.replace('\u00a0', ' ').split(" ");
    BigDecimal number = new BigDecimal(figure[0]);
    return (figure[1].equals("kg") ? number.movePointRight(3) : number).intValueExact();
  }

  private void theApiTellsTheGrams(long lot, String token) throws Exception {
    String answer =
        mvc.perform(get("/api/v1/lots/" + lot).header("Authorization", "Bearer " + token))
            .andReturn()
            .getResponse()
            .getContentAsString();
    Map<String, Integer> parts = new TreeMap<>();
    for (JsonNode part : new JsonMapper().readTree(answer).get("parts")) {
      if (part.has("measuredGrams")) {
        parts.put(part.get("part").asString(), part.get("measuredGrams").intValue());
      }
    }
    assertEquals(parts, read.getOrDefault(lot, Map.of()), "API, lot " + lot);
  }

  /** 12.00 a kilogram, in cents: what the parts carry is that and nothing else. */
  private void theSheetAddsUpToTheInvoice(long lot, String kilograms) throws Exception {
    BigDecimal invoice =
        new BigDecimal(kilograms)
            .multiply(BigDecimal.valueOf(12))
            .setScale(2, RoundingMode.HALF_UP);
    BigDecimal carried = BigDecimal.ZERO;
    String sheet = page("ines", "/cost/" + lot + "/sheet.csv");
    for (String row : sheet.substring(sheet.indexOf("carries")).split("\\R")) {
      Matcher money = CARRIES.matcher(row);
      if (money.find()) {
        carried = carried.add(new BigDecimal(money.group(1)));
      }
    }
    assertEquals(carried, invoice, "cost sheet, lot " + lot + ": " + sheet);
  }

  private static long count(String text, String where) {
    if (text.startsWith("No plate")) {
      return 0;
    }
    Matcher plates = COUNT.matcher(text);
    assertTrue(plates.find(), text + " | " + where);
    return Long.parseLong(plates.group(1));
  }

  /** The main cuts, and sometimes the rest, of each fish alone, of all together, or both ways. */
  private void weigh(long lot, int count) {
    LotSheet sheet = sheets.get(lot);
    int way = random.nextInt(3);
    boolean mainsOnly = random.nextBoolean();
    for (LotPart part : sheet.expectedParts()) {
      boolean main = sheet.planned(part.slot()).filter(p -> p.slot().isMain()).isPresent();
      if (!main && mainsOnly) {
        continue;
      }
      if (way == 0 || count == 1) {
        for (int one = 1; one <= count; one++) {
          take(lot, part, one, Fraction.of(1, count));
        }
      } else if (way == 1) {
        take(lot, part, 0, Fraction.ONE);
      } else {
        take(lot, part, 1, Fraction.of(1, count));
        take(lot, part, 0, Fraction.of(count - 1, count));
      }
    }
  }

  private void take(long lot, LotPart part, int fish, Fraction share) {
    double of = 0.85 + random.nextDouble() * 0.2;
    BigDecimal grams =
        part.expected()
            .orElseThrow()
            .multipliedBy(share, RoundingMode.HALF_EVEN)
            .inGrams()
            .multiply(BigDecimal.valueOf(of))
            .setScale(0, RoundingMode.HALF_UP)
            .max(BigDecimal.ONE);
    read.computeIfAbsent(lot, key -> new TreeMap<>())
        .merge(part.slot(), grams.intValueExact(), Integer::sum);
    people.as(
        "tobiah",
        () ->
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    part.slot(),
                    fish,
                    Entry.of(MassText.parse(grams + " g", MassUnit.GRAM)),
                    Optional.empty(),
                    "")));
  }
}
