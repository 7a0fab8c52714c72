package org.yarbel.web.platform;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.Verdict;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.mass.Mass;
import org.yarbel.web.form.Typed;

/**
 * Attempts and results as short texts, so that a note can put one back and a phone can say what it saw: {@code 127.5 kg},
 * {@code 127.5 kg good whites=2 look=EASY changed=1}, {@code REPS=7 TIME=52.31}. Nothing is the empty text.
 */
final class Kept {
  private static final String NONE = "none";
  private static final String LOAD = "LOAD";

  private Kept() {}

  static String of(@Nullable Attempt attempt) {
    if (attempt == null) {
      return "";
    }
    List<String> parts = new ArrayList<>(List.of(seen(attempt)));
    Verdict verdict = attempt.verdict();
    if (verdict != null && verdict.whites() != null) {
      parts.add("whites=" + verdict.whites());
    }
    if (verdict != null && verdict.reason() != null) {
      parts.add("reason=" + verdict.reason());
    }
    if (verdict != null && verdict.look() != null) {
      parts.add("look=" + verdict.look());
    }
    if (attempt.changed() > 0) {
      parts.add("changed=" + attempt.changed());
    }
    return String.join(" ", parts);
  }

  /** As far as two phones have to agree: the load and whether it was good. */
  static String seen(@Nullable Attempt attempt) {
    if (attempt == null) {
      return "";
    }
    String load = attempt.load().toString();
    if (attempt.verdict() == null) {
      return load;
    }
    return load + (attempt.good() ? " good" : " missed");
  }

  /** Whether a text is of an attempt that was lifted. */
  static boolean lifted(String text) {
    return text.contains(" good") || text.contains(" missed");
  }

  static @Nullable Attempt attempt(int number, String text) {
    if (text.isEmpty()) {
      return null;
    }
    String[] parts = text.split(" ");
    Map<String, String> said = new HashMap<>();
    for (int at = 2; at < parts.length; at++) {
      String[] pair = parts[at].split("=", 2);
      said.put(pair[0], pair.length == 2 ? pair[1] : "");
    }
    Integer whites = said.containsKey("whites") ? Integer.valueOf(said.get("whites")) : null;
    Verdict verdict = !lifted(text) ? null : new Verdict(said.containsKey("good"), whites,
        Typed.named(Verdict.Reason.class, said.get("reason")).orElse(null), Typed.named(Verdict.Look.class, said.get("look")).orElse(null));
    return new Attempt(number, Mass.parse(parts[0] + " " + parts[1]), Integer.parseInt(said.getOrDefault("changed", "0")), verdict);
  }

  /** A result, {@code none} for one that does not count. */
  static String of(EventResult result) {
    List<String> parts = new ArrayList<>();
    if (result.load() != null) {
      parts.add(LOAD + "=" + result.load().toString().replace(" ", ""));
    }
    for (Field field : Field.values()) {
      BigDecimal number = result.numbers().get(field);
      if (number != null) {
        parts.add(field + "=" + number.stripTrailingZeros().toPlainString());
      }
    }
    return parts.isEmpty() ? NONE : String.join(" ", parts);
  }

  static EventResult result(String text) {
    Mass load = null;
    Map<Field, BigDecimal> numbers = new EnumMap<>(Field.class);
    if (!text.equals(NONE)) {
      for (String part : text.split(" ")) {
        String[] pair = part.split("=", 2);
        if (pair[0].equals(LOAD)) {
          load = Mass.parse(pair[1].replaceFirst("(kg|lb)$", " $1"));
        } else {
          numbers.put(Field.valueOf(pair[0]), new BigDecimal(pair[1]));
        }
      }
    }
    return new EventResult(load, numbers);
  }
}
