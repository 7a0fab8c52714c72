package org.yarbel.core.plan.progress;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.mass.Decimal;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

/** What a coach has set of a rule, checked; the rest are the rule's defaults. */
public final class Settings {
  private static final int MOST_ENTRIES = 16;
  private static final List<String> BASES = List.of("est", "tested", "tm", "goal");

  private final Map<String, String> texts;

  private Settings(Map<String, String> texts) {
    this.texts = Map.copyOf(texts);
  }

  /**
   * What was typed, checked.
   *
   * @param errors a sentence for each parameter that cannot be taken, by its key; empty when all can
   */
  public record Checked(Settings settings, Map<String, String> errors) {}

  /** The defaults of a method. */
  public static Settings defaults(Method method) {
    return check(method, Map.of(), Catalogue.standard()).settings();
  }

  /** Reads what was typed for a method; what is missing or empty takes the default. */
  public static Checked check(Method method, Map<String, String> typed, Catalogue lifts) {
    Map<String, String> texts = new LinkedHashMap<>();
    Map<String, String> errors = new LinkedHashMap<>();
    for (Parameter parameter : method.rule().parameters()) {
      String text = Optional.ofNullable(typed.get(parameter.key())).map(String::strip).filter(t -> !t.isEmpty())
          .orElse(parameter.fallback());
      Optional<String> wrong = text.isEmpty() ? Optional.empty() : wrong(parameter, text, lifts);
      wrong.ifPresent(sentence -> errors.put(parameter.key(), sentence));
      texts.put(parameter.key(), wrong.isPresent() ? parameter.fallback() : text);
    }
    return new Checked(new Settings(texts), errors);
  }

  private static Optional<String> numbers(Parameter parameter, List<String> entries) {
    if (entries.isEmpty()) {
      return Optional.of("'" + parameter.words() + "' needs one number at least, such as " + parameter.fallback() + ".");
    }
    if (entries.size() > MOST_ENTRIES) {
      return Optional.of("The list of " + parameter.words() + " has more than " + MOST_ENTRIES + " entries.");
    }
    return entries.stream().map(entry -> outside(parameter, entry, 2)).flatMap(Optional::stream).findFirst();
  }

  private static Optional<String> wrong(Parameter parameter, String text, Catalogue lifts) {
    return switch (parameter.kind()) {
      case COUNT -> outside(parameter, text, 0);
      case NUMBER, MASS -> outside(parameter, text, 2);
      case NUMBERS -> numbers(parameter, entries(text));
      case LIFTS -> entries(text).size() > MOST_ENTRIES ? Optional.of("The list of " + parameter.words() + " has more than " + MOST_ENTRIES
          + " lifts.")
          : entries(text).stream().filter(key -> lifts.named(key).isEmpty()).findFirst().map(lifts::unknown);
      case BASIS -> BASES.contains(text) ? Optional.empty()
          : Optional.of("'" + parameter.words() + "' must be " + String.join(", ", BASES) + " or nothing but was " + text + ".");
    };
  }

  private static Optional<String> outside(Parameter parameter, String text, int decimals) {
    String range = "'" + parameter.words() + "' must be " + (decimals == 0 ? "a whole number " : "")
        + "from " + Percents.text(parameter.least()) + " to " + Percents.text(parameter.most()) + " but was " + text + ".";
    try {
      BigDecimal number = Decimal.parse(text.replace(',', '.'));
      boolean fits = number.stripTrailingZeros().scale() <= decimals && number.doubleValue() >= parameter.least()
          && number.doubleValue() <= parameter.most();
      return fits ? Optional.empty() : Optional.of(range);
    } catch (NumberFormatException notANumber) {
      return Optional.of(range);
    }
  }

  private static List<String> entries(String text) {
    return Arrays.stream(text.split(",")).map(String::strip).filter(entry -> !entry.isEmpty()).toList();
  }

  /** As it is stored: what was set and the defaults, by key. */
  public Map<String, String> texts() {
    return texts;
  }

  /** Whether something stands there. */
  boolean has(Parameter parameter) {
    return !text(parameter).isEmpty();
  }

  int get(Parameter.Count parameter) {
    return Decimal.parse(text(parameter)).intValueExact();
  }

  double get(Parameter.Number parameter) {
    return Decimal.parse(text(parameter).replace(',', '.')).doubleValue();
  }

  List<Double> get(Parameter.Numbers parameter) {
    List<Double> numbers = new ArrayList<>();
    entries(text(parameter)).forEach(entry -> numbers.add(Double.valueOf(entry)));
    return numbers;
  }

  Optional<Mass> get(Parameter.Loads parameter, MassUnit unit) {
    return has(parameter) ? Optional.of(Mass.of(text(parameter).replace(',', '.'), unit)) : Optional.empty();
  }

  List<String> get(Parameter.Lifts parameter, Catalogue lifts) {
    return entries(text(parameter)).stream().map(entry -> lifts.named(entry).orElseThrow().key()).toList();
  }

  /** The number percentages are of; empty for the lift's own basis. */
  Optional<Basis> get(Parameter.OfBasis parameter) {
    return Arrays.stream(Basis.values()).filter(basis -> basis.word().equals(text(parameter))).findFirst();
  }

  private String text(Parameter parameter) {
    return texts.getOrDefault(parameter.key(), "");
  }
}
