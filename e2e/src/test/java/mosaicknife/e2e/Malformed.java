package mosaicknife.e2e;

import java.lang.reflect.RecordComponent;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationContext;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * What no program of ours sends: made for every address the application has, from its own list of
 * them, so that a new station is walked without being named here.
 */
final class Malformed {

  /** Nasty values as they stand in an address or a form. */
  private static final List<String> VALUES =
      List.of(
          "%00",
          "a%00b",
          "%FF%FE",
          "%C3%28",
          "%ED%A0%80",
          "%EF%BF%BE",
          "99999999999999999999",
          "-1",
          "1e400",
          "NaN",
          "%0D%0ASet-Cookie:%20a=b",
          "a%0Ab",
          "%3Cscript%3E",
          "%F0%9F%90%9F",
          "..%2F..%2Fetc",
          "%27%20or%201=1--",
          "${7*7}");

  private static final List<String> DOCUMENTS =
      List.of(
          "null",
          "[]",
          "{}",
          "\"text\"",
          "7",
          "{\"a\":",
          "{\"unknown\":1}",
          "[".repeat(3000),
          "{\"a\":1e999999}",
          "\u0000",
          "");

  /** Types of a body that name a family, a charset nobody has, or nothing. */
  private static final List<String> TYPES =
      List.of(
          "*/*",
          "text/*",
          "application/*",
          "application/json;charset=nonsense",
          "application/json;charset=utf-16",
          "application/x-www-form-urlencoded;charset=utf-32",
          "application/*+json",
          ";",
          "json",
          "multipart/form-data; boundary=",
          "multipart/mixed");

  /** Never sent: it would end the session of the walk. */
  private static final Set<String> LEFT_OUT = Set.of("/sign-out", "/sign-in");

  private Malformed() {}

  /**
   * One request.
   *
   * @param method GET or POST
   * @param path with its query, encoded
   * @param type of the body, empty for none
   * @param body its bytes
   */
  record Request(String method, String path, String type, byte[] body) {

    private static Request get(String path) {
      return new Request("GET", path, "", new byte[0]);
    }

    private static Request post(String path, String type, String body) {
      return new Request("POST", path, type, body.getBytes(StandardCharsets.UTF_8));
    }

    @Override
    public String toString() {
      String text = new String(body, StandardCharsets.ISO_8859_1);
      return "%s %s %s %s"
          .formatted(method, path, type, text.substring(0, Math.min(160, text.length())));
    }
  }

  static List<Request> all(ApplicationContext app) {
    List<Request> requests = new ArrayList<>();
    int turn = 0;
    RequestMappingHandlerMapping mappings =
        app.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
    List<RequestMappingInfo> infos =
        mappings.getHandlerMethods().keySet().stream()
            .sorted((a, b) -> a.toString().compareTo(b.toString()))
            .toList();
    for (RequestMappingInfo info : infos) {
      HandlerMethod method = mappings.getHandlerMethods().get(info);
      for (String pattern : info.getPatternValues()) {
        if (LEFT_OUT.contains(pattern)
            || !method.getBeanType().getName().startsWith("mosaicknife")) {
          continue;
        }
        boolean posts = info.getMethodsCondition().getMethods().contains(RequestMethod.POST);
        requests.addAll(posts ? posts(pattern, method, turn) : gets(pattern, method, turn));
        requests.add(strange(filled(pattern, "1"), posts, turn));
        turn++;
      }
    }
    return requests;
  }

  /** A type, a method or a form of answer that nobody asks for, in turn. */
  private static Request strange(String path, boolean posts, int turn) {
    if (posts) {
      return Request.post(path, TYPES.get(turn % TYPES.size()), "{\"a\":1}");
    }
    return switch (turn % 4) {
      case 0 -> Request.post(path, TYPES.get(turn % TYPES.size()), "a=1");
      case 1 -> new Request("GET", path + ";v=1", "", new byte[0]);
      case 2 -> new Request("OPTIONS", path, "", new byte[0]);
      default -> new Request("PROPFIND", path, "", new byte[0]);
    };
  }

  /** What is sent to every address by somebody who never signed in. */
  static List<Request> bySomebodySignedOut(ApplicationContext app) {
    List<Request> requests = new ArrayList<>(List.of(Request.get("/error")));
    List<String> paths =
        app
            .getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class)
            .getHandlerMethods()
            .keySet()
            .stream()
            .flatMap(info -> info.getPatternValues().stream())
            .map(pattern -> filled(pattern, "1"))
            .distinct()
            .toList();
    int turn = 0;
    for (String path : paths) {
      requests.add(Request.get(path));
      requests.add(new Request("DELETE", path, "", new byte[0]));
      requests.add(Request.post(path, "application/x-www-form-urlencoded", "id=1"));
      requests.add(Request.post(path, TYPES.get(turn % TYPES.size()), "a=1"));
      requests.add(Request.post(path, TYPES.get((turn + 5) % TYPES.size()), "{\"a\":1}"));
      turn++;
    }
    return requests;
  }

  private static String filled(String pattern, String value) {
    return pattern.replaceAll("\\{[^}]+}", java.util.regex.Matcher.quoteReplacement(value));
  }

  private static List<String> some(int turn, int many) {
    List<String> chosen = new ArrayList<>();
    for (int i = 0; i < many; i++) {
      chosen.add(VALUES.get((turn * many + i) % VALUES.size()));
    }
    return chosen;
  }

  private static List<Request> gets(String pattern, HandlerMethod method, int turn) {
    List<Request> requests = new ArrayList<>();
    Set<String> names = names(method);
    if (pattern.contains("{")) {
      some(turn, 3).forEach(value -> requests.add(Request.get(filled(pattern, value))));
    }
    for (String name : names) {
      for (String value : some(turn + name.length(), 2)) {
        requests.add(Request.get(filled(pattern, "1") + "?" + name + "=" + value));
      }
    }
    if (names.isEmpty()) {
      requests.add(Request.get(filled(pattern, "1") + "?%FF=%00"));
    }
    return requests;
  }

  private static List<Request> posts(String pattern, HandlerMethod method, int turn) {
    boolean json =
        Arrays.stream(method.getMethod().getParameters())
            .anyMatch(p -> p.isAnnotationPresent(RequestBody.class));
    return json ? documents(pattern, method) : forms(pattern, method, turn);
  }

  private static List<Request> forms(String pattern, HandlerMethod method, int turn) {
    List<Request> requests = new ArrayList<>();
    String form = "application/x-www-form-urlencoded";
    Set<String> names = names(method);
    String path = filled(pattern, "1");
    for (String value : some(turn, 2)) {
      requests.add(Request.post(filled(pattern, value), form, "version=0"));
    }
    for (String name : names) {
      for (String value : some(turn + name.length(), 1)) {
        String others =
            names.stream()
                .filter(other -> !other.equals(name))
                .map(other -> encoded(other) + "=1")
                .collect(Collectors.joining("&"));
        requests.add(Request.post(path, form, encoded(name) + "=" + value + "&" + others));
      }
    }
    switch (turn % 4) {
      case 0 -> requests.add(Request.post(path, "application/json", "{\"a\":1}"));
      case 1 -> requests.add(Request.post(path, "multipart/form-data", "no boundary"));
      case 2 ->
          requests.add(
              Request.post(
                  path,
                  "multipart/form-data; boundary=x",
                  "--x\r\nContent-Disposition: form-data; name=\"id\"\r\n\r\n1"));
      default -> requests.add(Request.post(path, "text/\u0001plain", "\u0000"));
    }
    return requests;
  }

  private static List<Request> documents(String pattern, HandlerMethod method) {
    List<Request> requests = new ArrayList<>();
    String json = "application/json";
    String path = filled(pattern, "1");
    DOCUMENTS.forEach(document -> requests.add(Request.post(path, json, document)));
    requests.add(Request.post(path, "application/x-www-form-urlencoded", "a=1"));
    requests.add(Request.post(path, "multipart/form-data; boundary=x", "--x--"));
    requests.add(Request.post(path, "text/plain", "{}"));
    requests.add(Request.post(path, "", "{}"));
    requests.add(new Request("POST", path, json, new byte[] {'{', '"', (byte) 0xFF, (byte) 0xFE}));
    for (String name : names(method)) {
      for (String value :
          List.of("null", "[null]", "{}", "\"\\u0000\"", "\"\\ud800\"", "-1", "1e999", "[[{}]]")) {
        requests.add(Request.post(path, json, "{\"" + name + "\":" + value + "}"));
      }
    }
    return requests;
  }

  /** The names of what a page or an operation takes, its records' components among them. */
  private static Set<String> names(HandlerMethod method) {
    Set<String> names = new TreeSet<>();
    for (var parameter : method.getMethodParameters()) {
      parameter.initParameterNameDiscovery(
          new org.springframework.core.DefaultParameterNameDiscoverer());
      RequestParam asked = parameter.getParameterAnnotation(RequestParam.class);
      Class<?> type = parameter.getParameterType();
      if (asked != null && !java.util.Map.class.isAssignableFrom(type)) {
        names.add(asked.name().isEmpty() ? parameter.getParameterName() : asked.name());
      } else if (type.isRecord()
          && (parameter.hasParameterAnnotation(ModelAttribute.class)
              || parameter.hasParameterAnnotation(RequestBody.class)
              || parameter.getParameterAnnotations().length == 0)) {
        for (RecordComponent component : type.getRecordComponents()) {
          names.add(component.getName());
        }
      }
    }
    return names;
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
