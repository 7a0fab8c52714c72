package org.yarbel.web.support;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.RecordComponent;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.MethodParameter;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;

/**
 * Asks every mapping for what nobody would: values that are malformed, missing, huge, negative, of other scripts, beyond what a
 * number holds, and well-formed ones where they do not belong. The same seed asks the same.
 */
public final class Fuzzer {
  private static final Pattern VARIABLE = Pattern.compile("\\{(\\w+)}");
  private static final Pattern FIELD = Pattern.compile("name=\"([\\w.-]+)\"");
  private static final Pattern CHOICE = Pattern.compile("value=\"([A-Z_]{2,20}|[a-z-]{2,20})\"");

  /** What nobody would write, and what somebody would, elsewhere. */
  private static final List<String> ODD = List.of("", " ", "-1", "0", "1", "2", "3", "12", "100", "1000",
      "99999999999999999999999999", "2147483648", "-2147483649",
      "9223372036854775808", "1e-10000000", "1e10000000", "1e5", "NaN", "Infinity", "-0", "0.0000001", "1,5", "1.5.2", "0x1F",
      "\u0661\u0662\u0663", "\u0bed", "1_000",
      "2026-03-02", "2026-03-09", "2026-02-30", "-4713-01-01", "+999999999-12-31", "0001-01-01", "9999-12-31", "2026-W10-1",
      "02.03.2026", "a\0b", "\0", "\uFEFF", "\u202e",
      "\u2028", "\ud83d\udcaa".repeat(100), "x".repeat(300), "y".repeat(6000), "a\r\nSet-Cookie: x=y", "<script>alert(1)</script>",
      "'; drop table lifter; --",
      "=HYPERLINK(\"http://x\")", "../../etc/passwd", "//elsewhere.example", "/\t/elsewhere.example", "${7*7}", "%00", "%s%n",
      "[]", "{}", "null", "true", "yes", "on",
      "5x5 100kg", "1x1 @8; 4x4 -15%", "5x5 99999999999kg", "cluster 3x4-6", "(((((((", "@", "squat", "Squat", "bench", "ladder",
      "no-such-thing", "KG", "MONDAY", "MAIN", "a@b.example", "7:00", "99:99", "-0:01", "1/0", "50%", "-5%", "1000%");

  private final List<Asked> asked;
  private final List<String> fields;
  private final List<String> choices;

  /** A mapping and the names its method takes. */
  private record Asked(String method, String path, List<String> names, boolean map) {}

  public Fuzzer(TestApp app) {
    List<Asked> all = new ArrayList<>();
    app.mappings().getHandlerMethods().forEach((info, method) -> all.addAll(asked(info, method)));
    all.sort(Comparator.comparing(Asked::path).thenComparing(Asked::method));
    this.asked = all.stream().filter(a -> !a.path().equals("/error") && !a.path().startsWith("/login")).toList();
    Set<String> names = new TreeSet<>();
    Set<String> values = new TreeSet<>();
    try {
      for (Resource template : new PathMatchingResourcePatternResolver().getResources("classpath*:/templates/**/*.html")) {
        String text = template.getContentAsString(StandardCharsets.UTF_8);
        collect(FIELD.matcher(text), names);
        collect(CHOICE.matcher(text), values);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    names.removeAll(List.of("_csrf", "viewport", "csrf", "theme-color"));
    this.fields = List.copyOf(names);
    this.choices = List.copyOf(values);
  }

  private static void collect(Matcher found, Set<String> into) {
    while (found.find()) {
      into.add(found.group(1));
    }
  }

  private static List<Asked> asked(RequestMappingInfo info, HandlerMethod method) {
    Set<String> names = new LinkedHashSet<>();
    boolean map = false;
    for (MethodParameter parameter : method.getMethodParameters()) {
      RequestParam one = parameter.getParameterAnnotation(RequestParam.class);
      if (one != null && Map.class.isAssignableFrom(parameter.getParameterType())) {
        map = true;
      } else if (one != null) {
        names.add(one.name().isEmpty() ? method.getMethod().getParameters()[parameter.getParameterIndex()].getName() : one.name());
      } else if (parameter.hasParameterAnnotation(ModelAttribute.class) && parameter.getParameterType().isRecord()) {
        Arrays.stream(parameter.getParameterType().getRecordComponents()).map(RecordComponent::getName).forEach(names::add);
      }
    }
    List<Asked> all = new ArrayList<>();
    Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
    for (String path : info.getPatternValues()) {
      for (RequestMethod one : methods.isEmpty() ? Set.of(RequestMethod.GET) : methods) {
        all.add(new Asked(one.name(), path, List.copyOf(names), map));
      }
    }
    return all;
  }

  /** How many mappings there are. */
  public int mappings() {
    return asked.size();
  }

  /** A request as it is sent. */
  public record Call(String method, String path, Map<String, String> form) {
    @Override
    public String toString() {
      String shown = method + " " + path + " " + form;
      return shown.length() > 900 ? shown.substring(0, 900) + " …" : shown;
    }

    /** Sends it. */
    public HttpResponse<String> by(Client client) {
      if (method.equals("POST")) {
        return path.startsWith("/api/") ? client.postJson(path, json()) : client.post(path, form);
      }
      return client.get(path + "?" + Client.encoded(form));
    }

    private String json() {
      StringBuilder json = new StringBuilder("{");
      form.forEach((name, value) -> json.append(json.length() == 1 ? "" : ",").append('"').append(plain(name)).append("\":")
          .append(value.matches("-?\\d+(\\.\\d+)?([eE]-?\\d+)?|\\[]|\\{}|null|true") ? value : "\"" + plain(value) + "\""));
      return json.append('}').toString();
    }

    private static String plain(String text) {
      return text.replaceAll("[\"\\\\\\x00-\\x1f]", " ");
    }
  }

  /** So many requests; every mapping comes up as often as every other. */
  public List<Call> calls(long seed, int count, Map<String, List<Long>> ids, boolean wellFormed) {
    RandomGenerator random = RandomGeneratorFactory.of("L64X128MixRandom").create(seed);
    List<Call> calls = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      calls.add(call(random, asked.get(i % asked.size()), ids, wellFormed));
    }
    return calls;
  }

  private Call call(RandomGenerator random, Asked one, Map<String, List<Long>> ids, boolean wellFormed) {
    Matcher variable = VARIABLE.matcher(one.path());
    StringBuilder path = new StringBuilder();
    while (variable.find()) {
      variable.appendReplacement(path, Matcher.quoteReplacement(Client.encode(variable(random, variable.group(1), one.path(), ids,
          wellFormed))));
    }
    variable.appendTail(path);
    Map<String, String> form = new LinkedHashMap<>();
    List<String> names = new ArrayList<>(one.names());
    if (one.map() || random.nextInt(4) == 0) {
      for (int i = 0; i < 14; i++) {
        names.add(fields.get(random.nextInt(fields.size())));
      }
    }
    if (one.path().startsWith("/api/")) {
      names.addAll(List.of("unit", "load", "reps", "target", "work", "maxes", "observations", "plates", "bar", "rpe", "formula"));
    }
    for (String name : names) {
      if (random.nextInt(8) > 0) {
        form.put(name, value(random, ids, wellFormed));
      }
    }
    return new Call(one.method(), path.toString(), form);
  }

  private String variable(RandomGenerator random, String name, String path, Map<String, List<Long>> ids, boolean wellFormed) {
    if (name.equals("day")) {
      return wellFormed || random.nextInt(2) == 0 ? TestApp.TODAY.plusDays(random.nextInt(6)).toString() : odd(random);
    }
    if (!wellFormed && random.nextInt(4) == 0) {
      return odd(random);
    }
    if (List.of("number", "no", "row").contains(name) && random.nextInt(2) == 0) {
      return Integer.toString(1 + random.nextInt(3));
    }
    if (name.equals("action")) {
      return List.of("split", "merge", "stretch", "move", "repeat", "insert", "remove", "basis").get(random.nextInt(8));
    }
    if (name.equals("key")) {
      return List.of("squat", "ladder", "plates", "estimate", "own-squat").get(random.nextInt(5));
    }
    List<Long> fitting = ids.getOrDefault(path.split("/")[1], List.of());
    return id(random, fitting.isEmpty() || random.nextInt(6) == 0 ? any(random, ids) : fitting);
  }

  private static String odd(RandomGenerator random) {
    String odd = ODD.get(random.nextInt(ODD.size()));
    return odd.isBlank() || odd.contains("/") || odd.contains("\0") || odd.contains("%") || odd.length() > 200 ? "x" : odd;
  }

  private static List<Long> any(RandomGenerator random, Map<String, List<Long>> ids) {
    List<List<Long>> all = ids.values().stream().filter(list -> !list.isEmpty()).toList();
    return all.get(random.nextInt(all.size()));
  }

  private static String id(RandomGenerator random, List<Long> ids) {
    return Long.toString(ids.get(random.nextInt(ids.size())));
  }

  private String value(RandomGenerator random, Map<String, List<Long>> ids, boolean wellFormed) {
    int kind = random.nextInt(10);
    if (kind < 3) {
      return id(random, any(random, ids));
    }
    if (kind < 6 || wellFormed && kind < 8) {
      return choices.get(random.nextInt(choices.size()));
    }
    return wellFormed ? List.of("1", "3", "100", "2026-03-04", "5x5 100kg", "Squat", "yes", "ladder").get(random.nextInt(8))
        : ODD.get(random.nextInt(ODD.size()));
  }
}
