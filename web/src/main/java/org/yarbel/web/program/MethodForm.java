package org.yarbel.web.program;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.core.plan.progress.Parameter;
import org.yarbel.web.lifter.Lifter;

/**
 * The form of one method: what stands in its fields, and what is wrong with it.
 *
 * @param id of the progression that is changed; null for a new one
 * @param lift as it was typed
 */
public record MethodForm(@Nullable Long id, String lift, String method, String title, String starts, List<DayBox> days, String turn,
    List<Field> fields, Map<String, String> errors) {

  /** A field of a method's parameter. */
  public record Field(String key, String words, String value, String hint, @Nullable String error) {}

  /** A day of the week to tick. */
  public record DayBox(String name, String word, boolean ticked, boolean free) {}

  /** An empty one for a lift. */
  static MethodForm empty(Lift lift, Method method, Lifter lifter, LocalDate starts) {
    return new MethodForm(null, lift.name(), method.key(), method.title(), starts.toString(), boxes(lifter, Set.of()), Turn.EVERY.name(),
        fields(method, Map.of(), Map.of()), Map.of());
  }

  /** What a method at work has. */
  static MethodForm of(Progression progression, Lifter lifter, Catalogue lifts) {
    Method method = progression.method();
    String lift = lifts.ofKey(progression.lift()).map(Lift::name).orElse(progression.lift());
    return new MethodForm(progression.id(), lift, method.key(), method.title(), progression.startsOn().toString(),
        boxes(lifter, progression.days()), progression.turn().name(), fields(method, progression.settings(), Map.of()), Map.of());
  }

  /** What was typed, with what is wrong about it. */
  static MethodForm of(MethodTyped typed, Lifter lifter) {
    return new MethodForm(typed.own(), typed.text("lift"), typed.method().key(), typed.method().title(), typed.text("starts"),
        boxes(lifter, typed.days()),
        typed.turn().name(), fields(typed.method(), typed.parameters(), typed.settings().errors()), typed.errors());
  }

  public @Nullable String error(String field) {
    return errors.get(field);
  }

  /** What the method would write for this lifter by what stands in the form; null where that cannot be. */
  @Nullable MethodExample example(LifterContext context) {
    Map<String, String> typed = fields.stream().collect(Collectors.toMap(Field::key, Field::value));
    Optional<Lift> named = context.lifts().named(lift);
    return named.flatMap(one -> Method.ofKey(method).map(chosen -> MethodExample.of(chosen, one, context, typed))).orElse(null);
  }

  private static List<DayBox> boxes(Lifter lifter, Set<DayOfWeek> ticked) {
    return Arrays.stream(DayOfWeek.values()).map(day -> new DayBox(day.name(), day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
        ticked.contains(day), lifter.daysFree().contains(day))).toList();
  }

  private static List<Field> fields(Method method, Map<String, String> values, Map<String, String> errors) {
    return method.rule().parameters().stream().map(parameter -> new Field(parameter.key(), parameter.words(),
        values.getOrDefault(parameter.key(), parameter.fallback()), hint(parameter), errors.get(parameter.key()))).toList();
  }

  private static String hint(Parameter parameter) {
    return switch (parameter.kind()) {
      case LIFTS -> "lifts with commas; empty for the usual ones";
      case MASS -> "empty: worked out";
      case NUMBERS -> "numbers with commas";
      default -> "";
    };
  }
}
