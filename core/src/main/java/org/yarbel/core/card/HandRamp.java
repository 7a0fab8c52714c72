package org.yarbel.core.card;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.mass.Refused;

/**
 * A warm-up written by hand, such as '20x10 60x5 100x3 kg'. Its steps stand as they are; when the top load moves, those
 * at or over it fall away, and worked-out ones come on top where it ends too low.
 *
 * @param steps 1 to 12, rising
 */
public record HandRamp(List<Step> steps) {
  private static final int MOST_STEPS = 12;
  private static final Pattern STEP = Pattern.compile("(\\d{1,4}(?:[.,]\\d{1,2})?)\\s*[x×]\\s*(\\d{1,3})");

  /** One step. */
  public record Step(Mass load, int reps) {}

  public HandRamp {
    steps = List.copyOf(steps);
    if (steps.isEmpty() || steps.size() > MOST_STEPS) {
      throw new Refused("A warm-up must have 1 to 12 steps but had " + steps.size());
    }
    for (int i = 0; i < steps.size(); i++) {
      Step step = steps.get(i);
      if (step.reps() < 1 || step.reps() > 100 || step.load().isZero()) {
        throw new Refused("A warm-up step must have a load and 1 to 100 reps but was "
            + step.load().number() + "x" + step.reps());
      }
      if (i > 0 && step.load().compareTo(steps.get(i - 1).load()) <= 0) {
        throw new Refused("The warm-up must rise, but " + step.load().number() + " follows "
            + steps.get(i - 1).load().number());
      }
    }
  }

  /**
   * Reads steps with blanks or commas between them, and a unit at the end if it is not the lifter's.
   *
   * @throws Refused with a sentence that says what would be right
   */
  public static HandRamp parse(String typed, MassUnit unit) {
    String text = typed.strip().toLowerCase(Locale.ROOT);
    MassUnit kilograms = text.endsWith("kg") ? MassUnit.KG : unit;
    MassUnit read = text.endsWith("lb") ? MassUnit.LB : kilograms;
    String rest = text.replaceFirst("\\s*(kg|lb)$", "");
    List<Step> steps = new ArrayList<>();
    int at = 0;
    Matcher step = STEP.matcher(rest);
    while (step.find() && rest.substring(at, step.start()).matches("[\\s,;]*")) {
      steps.add(new Step(Mass.of(step.group(1).replace(',', '.'), read), Integer.parseInt(step.group(2))));
      at = step.end();
    }
    if (steps.isEmpty() || !rest.substring(at).isBlank()) {
      throw new Refused("A warm-up is written load x reps, such as 20x10 60x5 100x3, but '"
          + rest.substring(Math.min(at, rest.length())).strip() + "' is not");
    }
    return new HandRamp(steps);
  }

  /** What {@link #parse} reads back. */
  @Override
  public String toString() {
    return steps.stream().map(step -> step.load().number() + "x" + step.reps()).collect(Collectors.joining(" "))
        + " " + steps.get(0).load().unit();
  }
}
