package mosaicknife.app;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.multipart;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import mosaicknife.app.account.TokenIssuer;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.MvcResult;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMultipartHttpServletRequestBuilder;

/** Opens pages and sends forms as one of the people of the demo. */
public abstract class WithPages extends WithDatabase {

  @Autowired private TokenIssuer issuer;

  private final Map<String, Cookie> sessions = new HashMap<>();
  private final Map<String, String> tokens = new HashMap<>();

  protected Cookie session(String name) throws Exception {
    if (!sessions.containsKey(name)) {
      MockHttpServletResponse answer =
          mvc.perform(
                  post("/sign-in")
                      .param("name", name)
                      .param("password", "port-sallow-demo")
                      .with(csrf())
                      .with(
                          request -> {
                            request.setRemoteAddr("10.0.1." + name.length());
                            return request;
                          }))
              .andReturn()
              .getResponse();
      sessions.put(
          name,
          Stream.of(answer.getCookies())
              .filter(cookie -> cookie.getName().toLowerCase(Locale.ROOT).contains("session"))
              .findFirst()
              .orElseThrow());
    }
    return sessions.get(name);
  }

  /** A token of the API. */
  protected String token(String name) {
    return tokens.computeIfAbsent(
        name, who -> issuer.issue(who, "port-sallow-demo", "10.5.0.1").token());
  }

  /** Opens a page and returns its text. */
  protected String page(String who, String address) throws Exception {
    return mvc.perform(get(address).cookie(session(who)))
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }

  /** Sends a form, name and value in turn. */
  protected MockHttpServletResponse send(String who, String address, String... fields)
      throws Exception {
    MockHttpServletRequestBuilder request = post(address).cookie(session(who)).with(csrf());
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    return mvc.perform(request).andReturn().getResponse();
  }

  /** Sends a form and opens the page it leads to, with the sentences that wait for it. */
  protected String follow(String who, String address, String... fields) throws Exception {
    MockHttpServletRequestBuilder request = post(address).cookie(session(who)).with(csrf());
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    return followed(who, request);
  }

  /** Sends a file with fields and opens the page it leads to. */
  protected String upload(String who, String address, String name, byte[] content, String... fields)
      throws Exception {
    MockMultipartHttpServletRequestBuilder request =
        multipart(address).file(new MockMultipartFile("file", name, null, content));
    for (int i = 0; i < fields.length; i += 2) {
      request.param(fields[i], fields[i + 1]);
    }
    request.cookie(session(who)).with(csrf());
    MvcResult result = mvc.perform(request).andReturn();
    return opened(who, result.getResponse(), result.getFlashMap());
  }

  private String followed(String who, MockHttpServletRequestBuilder request) throws Exception {
    MvcResult result = mvc.perform(request).andReturn();
    return opened(who, result.getResponse(), result.getFlashMap());
  }

  private String opened(String who, MockHttpServletResponse answer, Map<String, Object> flash)
      throws Exception {
    String next = answer.getRedirectedUrl();
    if (next == null) {
      return answer.getContentAsString(StandardCharsets.UTF_8);
    }
    MockHttpServletRequestBuilder request = get(next).cookie(session(who));
    return mvc.perform(flash.isEmpty() ? request : request.flashAttrs(flash))
        .andReturn()
        .getResponse()
        .getContentAsString(StandardCharsets.UTF_8);
  }
}
