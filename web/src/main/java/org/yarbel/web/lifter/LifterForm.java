package org.yarbel.web.lifter;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

/**
 * What was typed of a lifter: fields by name, those of a lift as {@code squat.tested}. It answers with a sentence for
 * every field that cannot be and keeps what was typed.
 */
final class LifterForm {
  private static final Mass LEAST_BODY = Mass.of("20", MassUnit.KG);
  private static final Mass MOST_BODY = Mass.of("300", MassUnit.KG);
  private static final Mass MOST_LOAD = Mass.of("1000", MassUnit.KG);

  private final Map<String, String> typed;
  private final Map<String, String> errors = new LinkedHashMap<>();
  private final LocalDate today;

  LifterForm(Map<String, String> typed, LocalDate today) {
    this.typed = typed;
    this.today = today;
  }

  Map<String, String> errors() {
    return errors;
  }

  String text(String field) {
    return typed.getOrDefault(field, "").strip();
  }

  String name() {
    String name = text("name");
    if (name.isEmpty() || name.length() > 80) {
      errors.put("name", "Write the name, at most 80 characters.");
    }
    return name;
  }

  MassUnit unit() {
    return text("unit").equals("LB") ? MassUnit.LB : MassUnit.KG;
  }

  /** The unit the masses on the form were shown in; it stays when the lifter's unit is changed. */
  private MassUnit shownUnit() {
    String shown = text("shownUnit");
    return shown.isEmpty() ? unit() : shown.equals("LB") ? MassUnit.LB : MassUnit.KG;
  }

  long placeId() {
    try {
      return Long.parseLong(text("place"));
    } catch (NumberFormatException none) {
      errors.put("place", "Choose the place they train in.");
      return 0;
    }
  }

  @Nullable String sex() {
    String sex = text("sex");
    return sex.equals("F") || sex.equals("M") ? sex : null;
  }

  @Nullable Integer birthYear() {
    String year = text("birthYear");
    if (year.isEmpty()) {
      return null;
    }
    int youngest = today.getYear() - 5;
    if (!year.matches("\\d{4}") || Integer.parseInt(year) < today.getYear() - 110 || Integer.parseInt(year) > youngest) {
      errors.put("birthYear", "The birth year must be from " + (today.getYear() - 110) + " to " + youngest + ".");
      return null;
    }
    return Integer.valueOf(year);
  }

  @Nullable Mass bodyMass() {
    Mass mass = mass("bodyMass", "bodyMass");
    if (mass != null && (mass.compareTo(LEAST_BODY) < 0 || mass.compareTo(MOST_BODY) > 0)) {
      errors.put("bodyMass", "The body mass must be from 20 to 300 kg but was " + mass.text() + ". Is it kg or lb?");
      return null;
    }
    return mass;
  }

  String note() {
    String note = text("note");
    if (note.length() > 500) {
      errors.put("note", "The note may have at most 500 characters but has " + note.length() + ".");
    }
    return note;
  }

  /** Whether a lift stands on the form, or was chosen to stand there next. */
  boolean has(Lift lift) {
    return typed.containsKey(lift.key() + ".level") || text("addLift").equals(lift.key());
  }

  Level level(Lift lift) {
    return switch (text(lift.key() + ".level")) {
      case "BEGINNER" -> Level.BEGINNER;
      case "ADVANCED" -> Level.ADVANCED;
      default -> Level.INTERMEDIATE;
    };
  }

  Basis basis(Lift lift) {
    return Optional.of(text(lift.key() + ".basis")).flatMap(Basis::ofKey).filter(b -> b != Basis.TODAY)
        .orElse(Basis.ESTIMATED);
  }

  /** Reads a tested max and its date together. */
  void tested(Lift lift, BiConsumer<@Nullable Mass, @Nullable LocalDate> into) {
    String field = lift.key() + ".tested";
    Mass max = mass(field, field);
    LocalDate on = day(lift.key() + ".testedOn", field);
    if (max != null && on == null && !errors.containsKey(field)) {
      errors.put(field, "Write the day it was tested, too.");
    }
    if (on != null && on.isAfter(today)) {
      errors.put(field, "A test lies in the past: the day was " + on + ".");
    }
    into.accept(max, on);
  }

  /** Reads a goal and its date; the date may be left out. */
  void goal(Lift lift, BiConsumer<@Nullable Mass, @Nullable LocalDate> into) {
    String field = lift.key() + ".goal";
    into.accept(mass(field, field), day(lift.key() + ".goalOn", field));
  }

  private @Nullable Mass mass(String field, String errorField) {
    String text = text(field).replace(',', '.');
    if (text.isEmpty()) {
      return null;
    }
    if (!text.matches("\\d{1,4}(\\.\\d{1,3})?")) {
      errors.put(errorField, "Write the mass as a number in " + shownUnit() + ", such as 142.5.");
      return null;
    }
    Mass mass = Mass.of(new BigDecimal(text), shownUnit());
    if (mass.isZero() || mass.compareTo(MOST_LOAD) > 0) {
      errors.put(errorField, "The mass must be over 0 and at most 1000 kg but was " + mass.text() + ".");
      return null;
    }
    return mass;
  }

  private @Nullable LocalDate day(String field, String errorField) {
    String text = text(field);
    try {
      return text.isEmpty() ? null : LocalDate.parse(text);
    } catch (DateTimeParseException notADay) {
      errors.put(errorField, "Write the day as year-month-day, such as " + today + ".");
      return null;
    }
  }
}
