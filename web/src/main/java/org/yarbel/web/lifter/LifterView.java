package org.yarbel.web.lifter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;

/**
 * A lifter as the form shows them: every field as text, by its name, with what is wrong beside it.
 *
 * @param id 0 for a new one
 * @param message above the form; null for none
 */
record LifterView(long id, int version, String name, Map<String, String> fields, Map<String, String> errors, List<LiftView> lifts,
    @Nullable String email, @Nullable String message) {
  private static final long OLD_TEST_WEEKS = 12;

  /** One lift's row: its fields are in {@link LifterView#fields()}; the tracked numbers only show. */
  record LiftView(String key, String name, @Nullable String estimate, @Nullable String training, @Nullable String age) {}

  static LifterView blank(MassUnit unit, long placeId) {
    Map<String, String> fields = new HashMap<>(Map.of("unit", unit.name(), "place", Long.toString(placeId)));
    for (Lift lift : Lift.contestLifts()) {
      fields.put(lift.key() + ".level", Level.INTERMEDIATE.name());
      fields.put(lift.key() + ".basis", Basis.ESTIMATED.key());
    }
    return new LifterView(0, 0, "", fields, Map.of(), lifts(Map.of(), unit, LocalDate.EPOCH), null, null);
  }

  static LifterView of(LifterService.Known known, @Nullable String email, LocalDate today, @Nullable String message) {
    Lifter lifter = known.lifter();
    Map<String, String> fields = new HashMap<>();
    fields.put("name", lifter.name());
    fields.put("unit", lifter.unit().name());
    fields.put("shownUnit", lifter.unit().name());
    fields.put("place", Long.toString(lifter.placeId()));
    fields.put("sex", lifter.sex() == null ? "" : lifter.sex());
    fields.put("birthYear", lifter.birthYear() == null ? "" : lifter.birthYear().toString());
    fields.put("bodyMass", number(lifter.bodyMass(), lifter.unit()));
    fields.put("note", lifter.note());
    Map<String, LiftNumbers> own = new HashMap<>();
    for (LiftNumbers numbers : known.numbers()) {
      own.put(numbers.lift(), numbers);
      fields.put(numbers.lift() + ".level", numbers.level().name());
      fields.put(numbers.lift() + ".basis", numbers.basis().key());
      fields.put(numbers.lift() + ".tested", number(numbers.tested(), lifter.unit()));
      fields.put(numbers.lift() + ".testedOn", day(numbers.testedOn()));
      fields.put(numbers.lift() + ".goal", number(numbers.goal(), lifter.unit()));
      fields.put(numbers.lift() + ".goalOn", day(numbers.goalOn()));
    }
    return new LifterView(lifter.id(), lifter.version(), lifter.name(), fields, Map.of(), lifts(own, lifter.unit(), today), email, message);
  }

  /** The same with what was typed and what is wrong with it. */
  LifterView typed(Map<String, String> typed, Map<String, String> wrong, @Nullable String said) {
    Map<String, String> all = new HashMap<>(fields);
    all.putAll(typed);
    return new LifterView(id, version, name, all, wrong, lifts, email, said);
  }

  public String field(String name) {
    return fields.getOrDefault(name, "");
  }

  public @Nullable String error(String name) {
    return errors.get(name);
  }

  private static List<LiftView> lifts(Map<String, LiftNumbers> own, MassUnit unit, LocalDate today) {
    List<LiftView> views = new ArrayList<>();
    for (Lift lift : Lift.catalogue()) {
      LiftNumbers numbers = own.get(lift.key());
      if (numbers != null || lift.contest()) {
        views.add(new LiftView(lift.key(), lift.name(), estimate(numbers, unit), training(numbers, unit), age(numbers, today)));
      }
    }
    return views;
  }

  private static @Nullable String estimate(@Nullable LiftNumbers numbers, MassUnit unit) {
    Mass estimate = numbers == null ? null : numbers.estimate(unit);
    Mass sd = numbers == null ? null : numbers.sd(unit);
    return estimate == null || sd == null ? null
        : estimate.amountIn(unit, 1).toPlainString() + " ± " + sd.amountIn(unit, 1).toPlainString();
  }

  private static @Nullable String training(@Nullable LiftNumbers numbers, MassUnit unit) {
    Mass training = numbers == null ? null : numbers.numbers(unit).training();
    return training == null ? null : training.amountIn(unit, 1).toPlainString();
  }

  private static @Nullable String age(@Nullable LiftNumbers numbers, LocalDate today) {
    LocalDate on = numbers == null ? null : numbers.testedOn();
    return on != null && on.isBefore(today.minusWeeks(OLD_TEST_WEEKS)) ? "over 12 weeks old" : null;
  }

  private static String number(@Nullable Mass mass, MassUnit unit) {
    return mass == null ? "" : mass.shownIn(unit).number();
  }

  private static String day(@Nullable LocalDate day) {
    return day == null ? "" : day.toString();
  }
}
