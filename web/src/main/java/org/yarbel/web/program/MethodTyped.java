package org.yarbel.web.program;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.TextStyle;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.core.plan.progress.Occasions.Turn;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.form.Typed;
import org.yarbel.web.lifter.Lifter;

/** What was typed into the form of a method, read and checked; nothing typed is lost where it is wrong. */
final class MethodTyped {
  private final Method method;
  private final Typed typed;
  private final Map<String, String> errors = new HashMap<>();
  private final @Nullable Lift lift;
  private final @Nullable LocalDate starts;
  private final Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
  private final Map<String, String> parameters = new HashMap<>();
  private final Settings.Checked settings;

  /**
   * Reads it.
   *
   * @param today the day that stands as an example where none can be read
   */
  MethodTyped(Method method, Typed typed, List<String> ticked, Catalogue lifts, LocalDate today) {
    this.method = method;
    this.typed = typed;
    this.lift = lifts.named(typed.text("lift")).orElse(null);
    if (lift == null) {
      errors.put("lift", lifts.unknown(typed.text("lift")));
    }
    this.starts = typed.day("starts", today);
    if (starts == null) {
      errors.put("starts", Optional.ofNullable(typed.errors().get("starts")).orElse("Write the day it starts, such as " + today + "."));
    }
    EnumSet.allOf(DayOfWeek.class).stream().filter(day -> ticked.contains(day.name())).forEach(days::add);
    method.rule().parameters().forEach(parameter -> parameters.put(parameter.key(), typed.text("p." + parameter.key())));
    this.settings = Settings.check(method, parameters, lifts);
  }

  /** Whether the days are free for a lifter; what is wrong with them stands beside the days. */
  MethodTyped on(Lifter lifter) {
    if (lifter.daysFree().isEmpty()) {
      errors.put("days", "No day of the week is free for " + lifter.name()
          + ": tick the free days on the Lifter page first. What you typed here is kept.");
    } else if (days.isEmpty()) {
      errors.put("days", "Tick at least one day.");
    } else {
      List<String> busy = days.stream().filter(day -> !lifter.daysFree().contains(day))
          .map(day -> day.getDisplayName(TextStyle.FULL, Locale.ENGLISH)).toList();
      if (!busy.isEmpty()) {
        errors.put("days", busy.stream().collect(Collectors.joining(" and ")) + (busy.size() > 1 ? " are" : " is")
            + " not free for " + lifter.name()
            + ": choose other days, or tick it on the Lifter page.");
      }
    }
    return this;
  }

  boolean fine() {
    return errors.isEmpty() && settings.errors().isEmpty();
  }

  Map<String, String> errors() {
    return errors;
  }

  Method method() {
    return method;
  }

  /** The lift, where all is fine. */
  Lift lift() {
    return Optional.ofNullable(lift).orElseThrow();
  }

  /** The day it starts, where all is fine. */
  LocalDate starts() {
    return Optional.ofNullable(starts).orElseThrow();
  }

  Set<DayOfWeek> days() {
    return days;
  }

  Turn turn() {
    return typed.choice("turn", Turn.class).orElse(Turn.EVERY);
  }

  /** The parameters as they were typed. */
  Map<String, String> parameters() {
    return parameters;
  }

  Settings.Checked settings() {
    return settings;
  }

  /** The progression that is changed; null for a new one. */
  @Nullable Long own() {
    return typed.text("own").matches("\\d{1,18}") ? Long.valueOf(typed.text("own")) : null;
  }

  String text(String field) {
    return typed.text(field);
  }
}
