package org.yarbel.web.demo;

import static java.util.Map.entry;

import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.yarbel.core.card.RampStyle;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.lifter.Lifter.Diet;
import org.yarbel.web.lifter.Lifter.WorkLoad;

/**
 * How the made-up lifters of the demo live. All of it is invented.
 *
 * @param monthsTraining how long they have trained
 * @param drift of the body mass a week, in the lifter's unit
 */
record DemoLife(int heightMm, int monthsTraining, WorkLoad workLoad, Diet diet, Set<DayOfWeek> free, Set<Gear> gear,
    RampStyle ramp, double drift, List<Pain> pains) {
  /** Where it hurts; without a score a constraint. */
  record Pain(String place, int weeksAgo, Integer score, String aggravates) {}

  private static final Map<String, DemoLife> BY_EMAIL = Map.ofEntries(
      entry("maren", new DemoLife(1710, 98, WorkLoad.SEATED, Diet.HOLDING, EnumSet.allOf(DayOfWeek.class),
          EnumSet.of(Gear.BELT, Gear.KNEE_SLEEVES), RampStyle.SHRINKING, 0.02, List.of())),
      entry("odile", new DemoLife(1645, 30, WorkLoad.ON_FEET, Diet.DIETING, EnumSet.complementOf(EnumSet.of(DayOfWeek.THURSDAY)),
          EnumSet.of(Gear.BELT), RampStyle.SHRINKING, -0.2, List.of(new Pain("right elbow", 3, 2, "close-grip pressing")))),
      entry("ansel", new DemoLife(1820, 1, WorkLoad.SEATED, Diet.GAINING,
          EnumSet.of(DayOfWeek.TUESDAY, DayOfWeek.THURSDAY, DayOfWeek.SATURDAY), EnumSet.noneOf(Gear.class), RampStyle.SHRINKING, 0.15,
          List.of())),
      entry("corwin", new DemoLife(1780, 260, WorkLoad.PHYSICAL, Diet.HOLDING, EnumSet.complementOf(EnumSet.of(DayOfWeek.MONDAY)),
          EnumSet.of(Gear.BELT, Gear.KNEE_SLEEVES, Gear.WRIST_WRAPS), new RampStyle(Mass.of("90", MassUnit.LB)), 0,
          List.of(new Pain("left shoulder", 40, 3, "wide grip, deep dips"), new Pain("no pressing behind the neck", 40, null, "")))),
      entry("tamsin", new DemoLife(1680, 74, WorkLoad.SEATED, Diet.HOLDING, EnumSet.allOf(DayOfWeek.class),
          EnumSet.of(Gear.BELT, Gear.WRIST_WRAPS, Gear.KNEE_SLEEVES), new RampStyle(null, 5), 0, List.of())),
      entry("brannoc", new DemoLife(1860, 41, WorkLoad.PHYSICAL, Diet.GAINING, EnumSet.complementOf(EnumSet.of(DayOfWeek.SUNDAY)),
          EnumSet.of(Gear.BELT, Gear.STRAPS, Gear.KNEE_SLEEVES), RampStyle.SHRINKING, 0.1, List.of())),
      entry("juno", new DemoLife(1620, 20, WorkLoad.SEATED, Diet.HOLDING, EnumSet.complementOf(EnumSet.of(DayOfWeek.SUNDAY)),
          EnumSet.noneOf(Gear.class), RampStyle.SHRINKING, 0, List.of())),
      entry("hal", new DemoLife(1800, 60, WorkLoad.SHIFTS, Diet.HOLDING, EnumSet.of(DayOfWeek.TUESDAY, DayOfWeek.FRIDAY, DayOfWeek.SUNDAY),
          EnumSet.of(Gear.BELT, Gear.KNEE_SLEEVES), RampStyle.SHRINKING, 0, List.of(new Pain("left knee", 6, 5, "deep squats, lunges")))),
      entry("rosalind", new DemoLife(1700, 110, WorkLoad.ON_FEET, Diet.HOLDING, EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY,
          DayOfWeek.SATURDAY), EnumSet.of(Gear.BELT, Gear.WRIST_WRAPS), RampStyle.SHRINKING, 0, List.of())),
      entry("emeric", new DemoLife(1940, 90, WorkLoad.SEATED, Diet.GAINING, EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY,
          DayOfWeek.FRIDAY, DayOfWeek.SATURDAY), EnumSet.of(Gear.BELT, Gear.KNEE_SLEEVES), RampStyle.SHRINKING, 0.1, List.of())),
      entry("sunniva", new DemoLife(1760, 70, WorkLoad.PHYSICAL, Diet.HOLDING, EnumSet.allOf(DayOfWeek.class),
          EnumSet.of(Gear.BELT, Gear.STRAPS), RampStyle.SHRINKING, 0, List.of())),
      entry("leopold", new DemoLife(1770, 40, WorkLoad.SEATED, Diet.DIETING, EnumSet.allOf(DayOfWeek.class),
          EnumSet.of(Gear.BELT), RampStyle.SHRINKING, -0.6, List.of())));

  static DemoLife of(DemoProgram program) {
    return of(program.email());
  }

  static DemoLife of(String email) {
    return BY_EMAIL.get(email);
  }
}
