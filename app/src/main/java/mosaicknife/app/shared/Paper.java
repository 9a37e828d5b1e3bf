package mosaicknife.app.shared;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Prints templates as PDF sheets, with the house's font in them. */
@Component
public class Paper {

  private static final int PLAIN = 400;
  private static final int BOLD = 700;

  private final TemplateEngine templates;

  Paper(TemplateEngine templates) {
    this.templates = templates;
  }

  /**
   * Prints a template.
   *
   * @param template the name of a template that is well-formed XML
   * @param model what it shows
   * @return the PDF
   */
  public byte[] print(String template, Map<String, Object> model) {
    String page =
        PrintedText.fit(
            templates.process(template, new Context(LocaleContextHolder.getLocale(), model)));
    ByteArrayOutputStream pdf = new ByteArrayOutputStream();
    try {
      new PdfRendererBuilder()
          .useFont(() -> font(PrintedText.OWN), "Atkinson", PLAIN, FontStyle.NORMAL, true)
          .useFont(() -> font(PrintedText.OWN_BOLD), "Atkinson", BOLD, FontStyle.NORMAL, true)
          .useFont(() -> font(PrintedText.WIDE), "DejaVu", PLAIN, FontStyle.NORMAL, true)
          .useFont(() -> font(PrintedText.WIDE_BOLD), "DejaVu", BOLD, FontStyle.NORMAL, true)
          .useSVGDrawer(new BatikSVGDrawer())
          .usePdfUaAccessibility(true)
          .withHtmlContent(page, "classpath:/")
          .toStream(pdf)
          .run();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return pdf.toByteArray();
  }

  private static InputStream font(String name) {
    try {
      return new ClassPathResource(name).getInputStream();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Prints a template as the answer to a request, to be opened or saved.
   *
   * @param template the name of the template
   * @param model what it shows
   * @param name the name of the file
   * @return the answer
   */
  public ResponseEntity<byte[]> sheet(String template, Map<String, Object> model, String name) {
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.inline().filename(name).build().toString())
        .body(print(template, model));
  }
}
