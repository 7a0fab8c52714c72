package org.yarbel.web.support;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Speaks HTTP to the application as a browser without script would. */
public final class Client {
  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"|name=\"csrf\" content=\"([^\"]+)\"");

  /** Who signed in before, by the address of the application and their own: a password takes much of a processor for a moment. */
  private static final Map<String, CookieManager> KNOWN = new ConcurrentHashMap<>();

  private final String base;
  private final CookieManager cookies;
  private final HttpClient http;
  private String token = "";

  public Client(TestApp app) {
    this(app.url(""), new CookieManager());
  }

  private Client(String base, CookieManager cookies) {
    this.base = base;
    this.cookies = cookies;
    this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
  }

  /** Of an application elsewhere on this machine, such as one behind a proxy. */
  public static Client at(String base) {
    return new Client(base, new CookieManager());
  }

  /** Somebody of the demo who is signed in, from before where that still holds. */
  public static Client of(TestApp app, String who) {
    CookieManager before = KNOWN.get(app.url("") + who);
    if (before != null) {
      Client client = new Client(app.url(""), before);
      if (client.get("/account").statusCode() == 200) {
        return client;
      }
    }
    Client client = signIn(app, who);
    KNOWN.put(app.url("") + who, client.cookies);
    return client;
  }

  /** Signs somebody of the demo in, in a session of their own. */
  public static Client signIn(TestApp app, String who) {
    Client client = new Client(app);
    client.get("/login");
    client.post("/login", Map.of("email", who.contains("@") ? who : who + "@tarnbrook.example", "password", "tarnbrook-demo"));
    client.get("/");
    client.get("/me");
    return client;
  }

  /** Takes a card as a phone's script does, and answers its page. */
  public HttpResponse<String> card(long session) {
    get("/sessions/" + session + "/card");
    post("/sessions/" + session + "/issue", Map.of());
    return get("/sessions/" + session + "/card");
  }

  public HttpResponse<String> get(String path, String... headers) {
    return send(request(path, headers).GET().build());
  }

  /** A page as a browser is sent it: packed, where that is worth it. */
  public HttpResponse<byte[]> packed(String path, String... headers) {
    return send(request(path, headers).header("Accept-Encoding", "gzip").GET().build(), HttpResponse.BodyHandlers.ofByteArray());
  }

  /** Posts a form with the token of the page that was read last. */
  public HttpResponse<String> post(String path, Map<String, String> form, String... headers) {
    String body = "_csrf=" + encode(token) + "&" + encoded(form);
    return send(request(path, headers).header("Content-Type", "application/x-www-form-urlencoded")
        .POST(HttpRequest.BodyPublishers.ofString(body)).build());
  }

  /** Posts fields as they are, of which one may come several times, with the token of the page that was read last. */
  public HttpResponse<String> postFields(String path, String encoded, String... headers) {
    return send(request(path, headers).header("Content-Type", "application/x-www-form-urlencoded")
        .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + encode(token) + "&" + encoded)).build());
  }

  /** Posts a form with a file, with the token of the page that was read last. */
  public HttpResponse<String> postFile(String path, Map<String, String> form, String name, byte[] file) {
    String boundary = "----yarbel" + System.nanoTime();
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    Map<String, String> all = new LinkedHashMap<>(form);
    all.put("_csrf", token);
    all.forEach((field, value) -> body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"" + field + "\"\r\n\r\n" + value
        + "\r\n").getBytes(StandardCharsets.UTF_8)));
    body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name
        + "\"\r\nContent-Type: application/octet-stream\r\n\r\n").getBytes(StandardCharsets.UTF_8));
    body.writeBytes(file);
    body.writeBytes(("\r\n--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
    return send(request(path).header("Content-Type", "multipart/form-data; boundary=" + boundary)
        .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray())).build());
  }

  public HttpResponse<String> postJson(String path, String json) {
    return send(request(path).header("Content-Type", "application/json")
        .POST(HttpRequest.BodyPublishers.ofString(json)).build());
  }

  /** Puts bytes with the token of the page that was read last. */
  public HttpResponse<String> put(String path, byte[] bytes) {
    return send(request(path).header("Content-Type", "application/octet-stream").header("X-CSRF-TOKEN", token)
        .PUT(HttpRequest.BodyPublishers.ofByteArray(bytes)).build());
  }

  /** What stands at an address, as it is. */
  public HttpResponse<byte[]> bytes(String path, String... headers) {
    return send(request(path, headers).GET().build(), HttpResponse.BodyHandlers.ofByteArray());
  }

  /** Posts a body of any kind. */
  public HttpResponse<String> postBody(String path, String type, String body) {
    return send(request(path).header("Content-Type", type).POST(HttpRequest.BodyPublishers.ofString(body)).build());
  }

  /** Forgets the token, as a forged form would not have it. */
  public Client withoutToken() {
    token = "";
    return this;
  }

  private HttpRequest.Builder request(String path, String... headers) {
    HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path));
    return headers.length == 0 ? request : request.headers(headers);
  }

  private HttpResponse<String> send(HttpRequest request) {
    HttpResponse<String> answer = send(request, HttpResponse.BodyHandlers.ofString());
    Matcher found = TOKEN.matcher(answer.body());
    if (found.find()) {
      token = found.group(1) != null ? found.group(1) : found.group(2);
    }
    return answer;
  }

  private <T> HttpResponse<T> send(HttpRequest request, HttpResponse.BodyHandler<T> body) {
    try {
      return http.send(request, body);
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  /** Fields as they are sent. */
  static String encoded(Map<String, String> form) {
    return form.entrySet().stream().map(field -> encode(field.getKey()) + "=" + encode(field.getValue())).collect(Collectors.joining("&"));
  }

  static String encode(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
