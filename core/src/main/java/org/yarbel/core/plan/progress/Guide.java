package org.yarbel.core.plan.progress;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A method in plain words. Common practice, no source; where schools differ it says so.
 *
 * @param forWhom whom it suits
 * @param how how it works
 * @param leave when to go on to something else
 * @param disagrees which school would do otherwise, and why
 * @param cautions what to mind
 */
public record Guide(String forWhom, String how, String leave, String disagrees, String cautions) {
  private static final String FILE = "guides.txt";
  private static final List<String> HEADINGS = List.of("for", "how", "leave", "disagrees", "cautions");
  private static final Map<Method, Guide> ALL = new EnumMap<>(Method.class);

  /** The guide of a method. */
  static synchronized Guide of(Method method) {
    if (ALL.isEmpty()) {
      ALL.putAll(read());
    }
    return ALL.get(method);
  }

  private static Map<Method, Guide> read() {
    try (InputStream in = Guide.class.getResourceAsStream(FILE)) {
      if (in == null) {
        throw new IllegalStateException("The file " + FILE + " is missing");
      }
      return parse(new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new IllegalStateException("The file " + FILE + " cannot be read", e);
    }
  }

  /** Reads the file strictly: the first bad line is named with its number and text. */
  static Map<Method, Guide> parse(String file) {
    Map<Method, Map<String, String>> parts = new EnumMap<>(Method.class);
    Map<String, String> of = new HashMap<>();
    int number = 0;
    for (String line : file.split("\n", -1)) {
      number++;
      String at = FILE + ", line " + number + ": ";
      if (line.startsWith("# ") || line.isBlank()) {
        continue;
      }
      int colon = line.indexOf(": ");
      if (line.startsWith("== ")) {
        of = new HashMap<>();
        parts.put(Method.ofKey(line.substring(3).strip()).orElseThrow(() -> new IllegalStateException(at + "no method: " + line)), of);
      } else if (colon > 0 && HEADINGS.contains(line.substring(0, colon))) {
        of.put(line.substring(0, colon), line.substring(colon + 2).strip());
      } else {
        throw new IllegalStateException(at + "neither a method nor one of " + HEADINGS + ": " + line);
      }
    }
    Map<Method, Guide> guides = new EnumMap<>(Method.class);
    for (Method method : Method.values()) {
      Map<String, String> texts = parts.getOrDefault(method, Map.of());
      if (!texts.keySet().containsAll(HEADINGS)) {
        throw new IllegalStateException(FILE + ": the method " + method.key() + " lacks some of " + HEADINGS);
      }
      guides.put(method, new Guide(texts.get("for"), texts.get("how"), texts.get("leave"), texts.get("disagrees"), texts.get("cautions")));
    }
    return guides;
  }
}
