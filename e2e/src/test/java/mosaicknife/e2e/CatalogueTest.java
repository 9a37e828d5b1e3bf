package mosaicknife.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import mosaicknife.app.lot.EvidenceFiler;
import org.testng.annotations.Test;

/** The catalogue changed and searched, and papers kept, as one does it in the browser. */
public class CatalogueTest extends InBrowser {

  @Test
  public void aFishIsChangedAndPutBackWithItsHistory() {
    Page page = signedIn("ines");
    page.navigate(address("/catalogue/fish/plaice"));
    assertThat(page.locator(".origin-note")).containsText("Starting estimate");
    page.click("summary:has-text('Change this fish')");
    page.fill("[name='mean-frame']", "30");
    page.click("button:has-text('Save')");
    assertThat(page.locator(".alert-danger")).containsText("a whole fish is 100 %");
    assertThat(page.locator("[name='mean-frame']")).hasValue("30");
    page.fill("[name='mean-frame']", "20");
    page.fill("[name='mean-head']", "17.5");
    page.fill("#reason", "twenty plaice of our own");
    page.click("button:has-text('Save')");
    assertThat(page.locator(".alert-success")).containsText("Saved.");
    assertThat(page.locator(".origin-note")).containsText("Your own figures");
    assertThat(page.locator("#part-head")).containsText("17.5 %");
    assertThat(page.locator(".names").last()).containsText("Ines Varga: changed, twenty plaice");

    page.click("summary:has-text('Change this fish')");
    page.click("button:has-text('Back to the original')");
    assertThat(page.locator("#part-head")).containsText("15.5 %");
    page.click("summary:has-text('Change this fish')");
    page.click("button:has-text('Take it out of the catalogue')");
    assertThat(page.locator(".alert-danger")).containsText("Plaice has to stay:");
  }

  @Test
  public void theCatalogueGoesOutAndABadFileComesBackWithASentence() throws IOException {
    Page page = signedIn("ines");
    page.navigate(address("/catalogue"));
    page.click("summary:has-text('Take the catalogue out or in')");
    Download file = page.waitForDownload(() -> page.click("a:has-text('Export as JSON')"));
    String exported = Files.readString(file.path());
    assertTrue(exported.contains("mosaic-knife-catalogue-1"), exported.substring(0, 80));
    take(page, exported.replace("\"name\" : \"Witch\"", "\"name\" : \"Harbour witch\""));
    assertThat(page.locator(".alert-success")).containsText("Imported: 1 fish changed, 0 new");
    page.click("summary:has-text('Take the catalogue out or in')");
    take(page, "{\"format\": 7");
    assertThat(page.locator(".alert-danger")).containsText("isn’t JSON of the published schema");
  }

  private static void take(Page page, String content) {
    page.setInputFiles(
        "#file",
        new FilePayload(
            "catalogue.json", "application/json", content.getBytes(StandardCharsets.UTF_8)));
    page.click("button:has-text('Import')");
  }

  @Test
  public void aSearchForAFishThatIsNotSupportedSaysWhyAndPartsShowBothMeanings() {
    Page page = signedIn("maren");
    page.navigate(address("/catalogue"));
    page.locator("#query").pressSequentially("fugu");
    assertThat(page.locator("#found .alert-danger")).containsText("Only licensed handlers");
    page.navigate(address("/catalogue/parts?query=bloodline"));
    assertThat(page.locator(".part-tree .hit")).hasCount(2);
    page.navigate(address("/catalogue/plans"));
    page.click("b:has-text('Deep-bodied fish')");
    assertThat(page.locator("h1")).containsText("Deep-bodied fish");
    assertThat(page.locator(".tag")).hasCount(9);
    assertThat(page.locator(".profiles figure")).hasCount(1);
    page.locator(".fish-links a:has-text('John Dory')").click();
    assertThat(page.locator("h1")).containsText("Zeus faber");
  }

  @Test
  public void aPhotoIsKeptAsEvidenceAndAPageThatCallsItselfOneIsNot() throws IOException {
    Page page = signedIn("tobiah");
    page.navigate(address("/dock/7"));
    Locator evidence = page.locator("#evidence");
    evidence
        .locator("input[type=file]")
        .setInputFiles(
            new FilePayload(
                "hook.jpg", "image/jpeg", "<html>no</html>".getBytes(StandardCharsets.UTF_8)));
    evidence.locator("button:has-text('Save')").first().click();
    assertThat(page.locator(".alert-danger").first()).containsText("not a JPEG or PNG");
    evidence
        .locator("input[type=file]")
        .setInputFiles(new FilePayload("hook.png", "image/png", picture()));
    evidence.locator("button:has-text('Save')").first().click();
    assertThat(evidence.locator("img")).hasCount(1);
    assertEquals(bean(EvidenceFiler.class).of(7).size(), 1);
    page.navigate(address("/dock/7/passport"));
    assertThat(page.locator(".qr figcaption")).containsText("/dock/7");
    assertThat(page.locator(".facts")).containsText("Watched: keep it cold all the way.");
  }

  private static byte[] picture() throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB), "png", bytes);
    return bytes.toByteArray();
  }

  @Test
  public void aDishIsMadeAndItsPlanOpens() {
    Page page = signedIn("adaeze");
    page.navigate(address("/buy/new"));
    page.fill("#name", "Ling in cider");
    page.fill("#portion", "170 g");
    assertThat(page.locator("#portion-echo")).containsText("oz");
    page.fill("#fish", "maruca\nno such fish qqq");
    page.click("button:has-text('Save the dish')");
    assertThat(page.locator(".alert-danger")).containsText("No fish here is called");
    assertThat(page.locator("#name")).hasValue("Ling in cider");
    page.fill("#fish", "maruca\ncod");
    page.click("button:has-text('Save the dish')");
    assertThat(page).hasURL(Pattern.compile(".*/buy/dishes/\\d+"));
    assertThat(page.locator(".lead")).containsText("Made of Ling and Cod.");
    page.fill("#portions", "18");
    page.click("form button:has-text('Save')");
    assertThat(page.locator(".candidates li.best")).containsText("Cod, gutted");
    assertThat(page.locator("#plan")).containsText("Not on offer: Ling.");
  }
}
