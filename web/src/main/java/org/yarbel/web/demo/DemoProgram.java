package org.yarbel.web.demo;

import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Group;
import org.yarbel.web.plan.Details;
import org.yarbel.core.plan.SlotKind;

/**
 * The made-up lifters of the demo and what is planned for them. All of it is invented.
 *
 * @param email what they sign in with, before the at sign
 * @param weeksBack how many weeks of training lie behind
 */
record DemoProgram(String name, String email, MassUnit unit, Sex sex, int born, String bodyMass, String note,
    int weeksBack, List<Numbers> numbers, Map<String, String> picks, Plan plan) {
  /**
   * What is known, and what is true, of a lift.
   *
   * @param tested max, so many weeks ago
   * @param truth the true max on the first day of the log, in the lifter's unit
   * @param gainPerWeek in % of the max
   */
  record Numbers(String lift, Level level, Basis basis, String tested, int testedWeeksAgo, String goal, int goalInWeeks,
      String truth, double gainPerWeek) {}

  /**
   * One line of a day.
   *
   * @param group lines one after another with the same are done by turns; null for none
   */
  record Line(SlotKind kind, String lift, String work, @Nullable Group group, Details details) {
    Line(SlotKind kind, String lift, String work) {
      this(kind, lift, work, null, Details.NONE);
    }

    Line in(Group by) {
      return new Line(kind, lift, work, by, details);
    }

    Line with(Details said) {
      return new Line(kind, lift, work, group, said);
    }
  }

  /** What is planned on a day of a week; week 0 is this one, earlier ones are negative. */
  interface Plan {
    List<Line> on(DayOfWeek day, int week);
  }

  static List<DemoProgram> all() {
    return List.of(maren(), odile(), ansel(), corwin(), tamsin(), brannoc());
  }

  private static Line main(String lift, String work) {
    return new Line(SlotKind.MAIN, lift, work);
  }

  private static Line second(String lift, String work) {
    return new Line(SlotKind.SECOND, lift, work);
  }

  private static Line assist(String lift, String work) {
    return new Line(SlotKind.ASSISTANCE, lift, work);
  }

  private static Line prepare(String lift, String work) {
    return new Line(SlotKind.PREPARE, lift, work);
  }

  private static Details why(String reason, String cues) {
    return new Details(false, null, null, null, null, reason, cues, null, null);
  }

  private static Details leftOut() {
    return new Details(true, null, null, null, null, null, null, null, null);
  }

  /** Rotating max-effort and speed days, the variation changing every other week. */
  private static DemoProgram tamsin() {
    Plan plan = (day, week) -> {
      boolean odd = Math.floorMod(week, 4) < 2;
      int share = 50 + 5 * Math.floorMod(week, 3);
      return switch (day) {
        case MONDAY -> List.of(
            main(odd ? "box-squat" : "safety-bar-squat", "max 1; 1xAMRAP 80% top; 4x3 80% top")
                .with(why("a new variation every other week", "brace before you unrack, chest first out of the hole")),
            second("pin-pull-below-knee", "3x3 88% of deadlift rest 3:00"), assist("back-extension", "3x12"));
        case WEDNESDAY -> List.of(main("bench", "9x3 " + share + "% rest 45s bands 5>20kg"),
            second("close-grip-bench", "density 10 78% of bench in 10:00"),
            assist("row", "3x10").in(SUPERSET), assist("face-pull", "3x15").in(SUPERSET));
        case FRIDAY -> List.of(main("squat", "10x2 " + share + "% rest 45s tempo 2-1-X-0 chains 20kg"),
            second("deadlift", "cluster 3x5 85% gap 20s rest 4:00"));
        case SATURDAY -> List.of(main(odd ? "paused-bench" : "floor-press", "build 3 @9; 3xAMRAP -7.5% each"),
            assist("plank", "hold 3x45s").with(leftOut()));
        default -> List.of();
      };
    };
    return new DemoProgram("Tamsin Rookwood", "tamsin", MassUnit.KG, Sex.FEMALE, 1991, "71.6",
        "Learns fast, gets bored faster: new variations keep her at it.", 9,
        List.of(
            new Numbers("squat", Level.ADVANCED, Basis.ESTIMATED, "165", 12, "", 0, "166", 0.15),
            new Numbers("bench", Level.ADVANCED, Basis.ESTIMATED, "100", 12, "", 0, "101", 0.12),
            new Numbers("deadlift", Level.ADVANCED, Basis.ESTIMATED, "187.5", 12, "", 0, "188", 0.15)),
        Map.of("row", "50", "face-pull", "5", "back-extension", "25", "plank", "10"), plan);
  }

  private static final Group SUPERSET = new Group(Group.Kind.SUPERSET, null, 0, 90, null);
  private static final Group MEDLEY = new Group(Group.Kind.MEDLEY, 1, 0, null, 150);

  /** Strongman: presses, pulls and an event medley at the end of the week. */
  private static DemoProgram brannoc() {
    Plan plan = (day, week) -> switch (day) {
      case MONDAY -> List.of(prepare("suitcase-carry", "carry 2x20m 24kg"), main("log-press", "build 3 @8; 3x5 -15%"),
          second("front-squat", "5x3 75%"), assist("farmers-hold", "hold 3x30s 90kg"));
      case WEDNESDAY -> List.of(main("axle-deadlift", "emom 8x2 72%"), second("eighteen-inch-deadlift", "3x3 108% of deadlift"),
          assist("sandbag-carry", "carry 3x30m 90kg rest 2:00"));
      case SATURDAY -> List.of(main("yoke-walk", "carry 1x20m " + (200 + 10 * Math.min(week + 4, 6)) + "kg").in(MEDLEY),
          main("farmers-walk", "carry 1x20m 105kg turns 1").in(MEDLEY), main("stone-load", "series 80/100/115/130kg").in(MEDLEY),
          second("log-press", "timed 1x60s 85kg"), new Line(SlotKind.CONDITIONING, "sledge-push", "carry 4x30m 100kg rest 90s").with(leftOut()));
      default -> List.of();
    };
    return new DemoProgram("Brannoc Tull", "brannoc", MassUnit.KG, Sex.MALE, 1996, "121.5",
        "Events on Saturdays in the yard. Stones without tacky until the last three weeks.", 9,
        List.of(
            new Numbers("log-press", Level.INTERMEDIATE, Basis.ESTIMATED, "115", 11, "", 0, "116", 0.25),
            new Numbers("squat", Level.INTERMEDIATE, Basis.ESTIMATED, "220", 11, "", 0, "222", 0.2),
            new Numbers("deadlift", Level.INTERMEDIATE, Basis.ESTIMATED, "270", 11, "", 0, "272", 0.2)),
        Map.of(), plan);
  }

  /** Advanced, deadlift on a wave to a goal with a contest in five weeks. */
  private static DemoProgram maren() {
    return new DemoProgram("Maren Oakhurst", "maren", MassUnit.KG, Sex.FEMALE, 1994, "83.5",
        "Goes to the Lowmoor Open in five weeks. Slow off the floor above 200.", 9,
        List.of(
            new Numbers("squat", Level.ADVANCED, Basis.ESTIMATED, "187.5", 14, "", 0, "189", 0.22),
            new Numbers("bench", Level.ADVANCED, Basis.ESTIMATED, "117.5", 14, "", 0, "118", 0.2),
            new Numbers("deadlift", Level.ADVANCED, Basis.GOAL, "212.5", 14, "230", 5, "211", 0.15)),
        Map.of("row", "75", "back-extension", "20", "paused-bench", "85"),
        (day, week) -> switch (day) {
          case MONDAY -> List.of(main("squat", "1x1 @8; 4x4 -15%"), second("paused-bench", "4x5 70% of bench"),
              assist("back-extension", "3x12-15"));
          case WEDNESDAY -> List.of(main("bench", "3x4 75%; 1xAMRAP 75%"), assist("row", "4x8"));
          case FRIDAY -> List.of(main("deadlift", wave(week + 6)), second("front-squat", "6x2 55% of squat rest 45s"));
          default -> List.of();
        });
  }

  private static String wave(int week) {
    if (week < 1) {
      return "4x5 68% goal";
    }
    long halves = Math.round(2 * (75 + 22.0 * (Math.min(week, 10) - 1) / 9));
    String percent = halves % 2 == 0 ? Long.toString(halves / 2) : halves / 2 + ".5";
    int reps = week <= 4 ? 3 : week <= 9 ? 2 : 1;
    return "1x" + reps + " " + percent + "% goal; 5x3 65% goal rest 90s";
  }

  /** Intermediate on RPE weeks: @7, @8, @9, deload. */
  private static DemoProgram odile() {
    Plan plan = (day, week) -> {
      int step = Math.floorMod(week + 1, 4);
      String work = step == 3 ? "3x5 60%" : "3x5 @" + (7 + step);
      return switch (day) {
        case MONDAY -> List.of(main("squat", work), second("close-grip-bench", "3x6 65% of bench"), assist("leg-curl", "3x10-12"));
        case WEDNESDAY -> List.of(main("bench", work), assist("row", "4x8").in(SUPERSET), assist("plank", "hold 4x40s").in(SUPERSET));
        case FRIDAY -> List.of(main("deadlift", work), second("front-squat", "3x3 70% of squat"), assist("chin-up", "4x5-8"));
        case SUNDAY -> List.of(main("bench", "5x3 70% rest 90s"), second("paused-squat", "3x3 68% of squat"));
        default -> List.of();
      };
    };
    return new DemoProgram("Odile Farrant", "odile", MassUnit.KG, Sex.FEMALE, 2000, "63.2", "", 9,
        List.of(
            new Numbers("squat", Level.INTERMEDIATE, Basis.ESTIMATED, "112.5", 13, "", 0, "114", 0.4),
            new Numbers("bench", Level.INTERMEDIATE, Basis.ESTIMATED, "67.5", 13, "", 0, "68", 0.35),
            new Numbers("deadlift", Level.INTERMEDIATE, Basis.ESTIMATED, "135", 13, "", 0, "137", 0.4)),
        Map.of("row", "50", "leg-curl", "30", "plank", "10", "chin-up", "5"), plan);
  }

  /** A novice in the third week of a straight line. */
  private static DemoProgram ansel() {
    Plan plan = (day, week) -> {
      int lift = (week + 2) * 3;
      return switch (day) {
        case TUESDAY -> List.of(main("squat", line(60, lift)), main("bench", line(42.5, (week + 2) * 2)), assist("back-extension", "2x10-12"));
        case THURSDAY -> List.of(main("squat", line(60, lift + 1)), main("overhead-press", line(27.5, week + 2)),
            main("deadlift", "1x5 " + kilograms(80 + 5 * (week + 2))));
        case SATURDAY -> List.of(main("squat", line(60, lift + 2)), main("bench", line(42.5, (week + 2) * 2 + 1)), assist("row", "3x8"));
        default -> List.of();
      };
    };
    return new DemoProgram("Ansel Brightwater", "ansel", MassUnit.KG, Sex.MALE, 2006, "74",
        "New to the bar. Desk job, sleeps well.", 2,
        List.of(
            new Numbers("squat", Level.BEGINNER, Basis.ESTIMATED, "", 0, "", 0, "96", 1.2),
            new Numbers("bench", Level.BEGINNER, Basis.ESTIMATED, "", 0, "", 0, "67", 1),
            new Numbers("deadlift", Level.BEGINNER, Basis.ESTIMATED, "", 0, "", 0, "122", 1.2)),
        Map.of("row", "40", "back-extension", "10"), plan);
  }

  private static String line(double start, int steps) {
    return "5x5+ " + kilograms(start + 2.5 * Math.max(steps, 0));
  }

  private static String kilograms(double load) {
    return java.math.BigDecimal.valueOf(load).stripTrailingZeros().toPlainString() + "kg";
  }

  /** A masters lifter in pounds, stepping down a ladder of sets. */
  private static DemoProgram corwin() {
    Plan plan = (day, week) -> {
      int rung = Math.floorMod(week + 9, 9);
      int reps = rung < 3 ? 8 : rung < 6 ? 5 : 3;
      int sets = 3 - rung % 3;
      return switch (day) {
        case TUESDAY -> List.of(main("squat", ladder(sets, reps, 255 + 10 * rung)), assist("leg-curl", "3x10"));
        case THURSDAY -> List.of(main("bench", ladder(sets, reps, 185 + 5 * rung)), assist("row", "3x8-10"));
        case SATURDAY -> List.of(main("deadlift", ladder(sets, reps, 305 + 10 * rung)), assist("back-extension", "2x12"));
        case SUNDAY -> List.of(main("overhead-press", "3x6"), assist("chin-up", "3x5 bw"));
        default -> List.of();
      };
    };
    return new DemoProgram("Corwin Thackeray-Hale", "corwin", MassUnit.LB, Sex.MALE, 1968, "205",
        "Left shoulder: no wide grip. Prefers few heavy sets.", 9,
        List.of(
            new Numbers("squat", Level.ADVANCED, Basis.ESTIMATED, "385", 20, "", 0, "388", 0.1),
            new Numbers("bench", Level.ADVANCED, Basis.ESTIMATED, "265", 20, "", 0, "267", 0.08),
            new Numbers("deadlift", Level.ADVANCED, Basis.ESTIMATED, "455", 20, "", 0, "452", 0.1)),
        Map.of("row", "135", "back-extension", "45", "leg-curl", "90", "overhead-press", "115"), plan);
  }

  private static String ladder(int sets, int reps, int pounds) {
    return sets + "x" + reps + " " + pounds + "lb rest 4:00";
  }
}
