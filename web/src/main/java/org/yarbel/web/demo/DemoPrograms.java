package org.yarbel.web.demo;

import static java.time.DayOfWeek.FRIDAY;
import static java.time.DayOfWeek.MONDAY;
import static java.time.DayOfWeek.SATURDAY;
import static java.time.DayOfWeek.SUNDAY;
import static java.time.DayOfWeek.THURSDAY;
import static java.time.DayOfWeek.TUESDAY;
import static java.time.DayOfWeek.WEDNESDAY;

import java.util.List;
import java.util.Map;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.demo.DemoProgram.DemoLine;
import org.yarbel.web.demo.DemoProgram.DemoNumbers;
import org.yarbel.web.demo.DemoProgram.Uses;
import org.yarbel.web.plan.Details;

/** The twelve of the demo, each with what is planned for them. All of it is invented. */
final class DemoPrograms {
  private static final int HALF_A_YEAR = 25;

  private DemoPrograms() {}

  static List<DemoProgram> all() {
    return List.of(maren(), odile(), ansel(), corwin(), tamsin(), brannoc(), juno(), hal(), rosalind(), emeric(), sunniva(), leopold());
  }

  private static DemoLine main(String lift, String work) {
    return new DemoLine(SlotKind.MAIN, lift, work);
  }

  private static DemoLine second(String lift, String work) {
    return new DemoLine(SlotKind.SECOND, lift, work);
  }

  private static DemoLine assist(String lift, String work) {
    return new DemoLine(SlotKind.ASSISTANCE, lift, work);
  }

  private static DemoLine prepare(String lift, String work) {
    return new DemoLine(SlotKind.PREPARE, lift, work);
  }

  /** As it was until now, and in the strength and peak weeks that have begun: there assistance must not outnumber the main lifts. */
  private static DemoLine assist(String lift, int week, String before, String now) {
    return assist(lift, week < 0 ? before : now);
  }

  private static Details why(String reason, String cues) {
    return new Details(false, null, null, null, null, reason, cues, null, null);
  }

  private static Details leftOut() {
    return new Details(true, null, null, null, null, null, null, null, null);
  }

  /** Rotating max-effort and speed days, the variation changing every other week. */
  private static DemoProgram tamsin() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case MONDAY -> List.of(second("pin-pull-below-knee", "3x3 88% of deadlift rest 3:00"), assist("back-extension", "3x12"));
      case WEDNESDAY -> List.of(second("close-grip-bench", "density 10 78% of bench in 10:00"),
          assist("row", "3x10").in(SUPERSET), assist("face-pull", "3x15").in(SUPERSET));
      case FRIDAY -> List.of(second("squat", "8x2 52% rest 45s tempo 2-1-X-0 chains 20kg"),
          second("deadlift", "cluster 3x5 85% gap 20s rest 4:00").with(why("single strength off the floor", "wedge in, then push")));
      case SATURDAY -> List.of(second("paused-bench", "build 3 @9; 3xAMRAP -7.5% each"), assist("plank", "hold 3x45s").with(leftOut()));
      default -> List.of();
    };
    return new DemoProgram("Tamsin Rookwood", "tamsin", MassUnit.KG, Sex.FEMALE, 1991, "71.6",
        "Learns fast, gets bored faster: new variations keep her at it.", HALF_A_YEAR,
        List.of(
            new DemoNumbers("squat", Level.ADVANCED, Basis.ESTIMATED, "165", 28, "", 0, "166", 0.15),
            new DemoNumbers("bench", Level.ADVANCED, Basis.ESTIMATED, "100", 28, "", 0, "101", 0.12),
            new DemoNumbers("deadlift", Level.ADVANCED, Basis.ESTIMATED, "187.5", 28, "", 0, "188", 0.15)),
        Map.of("row", "50", "face-pull", "5", "back-extension", "25", "plank", "10"),
        List.of(Uses.of("squat", Method.ROTATION, HALF_A_YEAR, MONDAY, FRIDAY), Uses.of("bench", Method.ROTATION, HALF_A_YEAR,
            WEDNESDAY, SATURDAY)), plan);
  }

  private static final Group SUPERSET = new Group(Group.Kind.SUPERSET, null, 0, 90, null);
  private static final Group MEDLEY = new Group(Group.Kind.MEDLEY, 1, 0, null, 150);

  /** Strongman: presses, pulls and an event medley at the end of the week. */
  private static DemoProgram brannoc() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case MONDAY -> List.of(prepare("suitcase-carry", "carry 2x20m 24kg"), main("log-press", "build 3 @8; 3x5 -15%"),
          second("front-squat", "5x3 75%"), assist("farmers-hold", "hold 3x30s 90kg"));
      case WEDNESDAY -> List.of(main("axle-deadlift", "emom 8x2 72%"), second("eighteen-inch-deadlift", "3x3 108% of deadlift"));
      case SATURDAY -> List.of(main("yoke-walk", "carry 1x20m " + (200 + 10 * Math.min(Math.max(week + 4, 0), 6)) + "kg").in(MEDLEY),
          main("farmers-walk", "carry 1x20m 105kg turns 1").in(MEDLEY), main("stone-load", "series 80/100/115/130kg").in(MEDLEY),
          second("log-press", "timed 1x60s 85kg"), new DemoLine(SlotKind.CONDITIONING, "sledge-push", "carry 4x30m 100kg rest 90s")
          .with(leftOut()));
      default -> List.of();
    };
    return new DemoProgram("Brannoc Tull", "brannoc", MassUnit.KG, Sex.MALE, 1996, "121.5",
        "Events on Saturdays in the yard. Stones without tacky until the last three weeks.", HALF_A_YEAR,
        List.of(
            new DemoNumbers("log-press", Level.INTERMEDIATE, Basis.ESTIMATED, "115", 27, "", 0, "116", 0.25),
            new DemoNumbers("squat", Level.INTERMEDIATE, Basis.ESTIMATED, "220", 27, "", 0, "222", 0.2),
            new DemoNumbers("deadlift", Level.INTERMEDIATE, Basis.ESTIMATED, "270", 27, "", 0, "272", 0.2)),
        Map.of(), List.of(Uses.of("sandbag-carry", Method.EVENT_WEEKS, HALF_A_YEAR, WEDNESDAY)
            .with(Map.of("mass", "100", "metres", "30"))), plan);
  }

  /** Advanced, deadlift on a wave to a goal with a contest in five weeks. */
  private static DemoProgram maren() {
    return new DemoProgram("Maren Oakhurst", "maren", MassUnit.KG, Sex.FEMALE, 1994, "83.5",
        "Goes to the Lowmoor Open in five weeks. Slow off the floor above 200.", HALF_A_YEAR,
        List.of(
            new DemoNumbers("squat", Level.ADVANCED, Basis.ESTIMATED, "187.5", 30, "", 0, "189", 0.22),
            new DemoNumbers("bench", Level.ADVANCED, Basis.ESTIMATED, "117.5", 30, "", 0, "118", 0.2),
            new DemoNumbers("deadlift", Level.ADVANCED, Basis.GOAL, "212.5", 30, "227.5", 5, "211", 0.15)),
        Map.of("row", "75", "back-extension", "20", "paused-bench", "85"),
        List.of(Uses.of("deadlift", Method.GOAL_WAVE, 5, FRIDAY).with(Map.of("assistance", "row")),
            Uses.of("deadlift", Method.RPE_WEEKS, HALF_A_YEAR, FRIDAY).until(5)),
        (day, week) -> switch (day) {
          case MONDAY -> List.of(main("squat", "1x1 @8; 4x4 -15%"), second("paused-bench", "4x5 70% of bench"),
              assist("back-extension", week, "3x12-15", "2x10"));
          case WEDNESDAY -> List.of(main("bench", "3x4 75%; 1xAMRAP 75%"), assist("row", week, "4x8", "3x6"));
          case FRIDAY -> List.of(second("front-squat", "6x2 55% of squat rest 45s"));
          default -> List.of();
        });
  }

  /** Intermediate on RPE weeks: @7, @8, @9, deload. */
  private static DemoProgram odile() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
        case MONDAY -> List.of(second("close-grip-bench", "3x6 65% of bench"), assist("leg-curl", "3x10-12"));
        case WEDNESDAY -> List.of(assist("row", "4x8").in(SUPERSET), assist("plank", "hold 4x40s").in(SUPERSET));
        case FRIDAY -> List.of(second("front-squat", "3x3 70% of squat"), assist("chin-up", "4x5-8"));
        case SUNDAY -> List.of(main("bench", "5x3 70% rest 90s"), second("paused-squat", "3x3 68% of squat"));
        default -> List.of();
    };
    return new DemoProgram("Odile Farrant", "odile", MassUnit.KG, Sex.FEMALE, 2000, "63.2", "", HALF_A_YEAR,
        List.of(
            new DemoNumbers("squat", Level.INTERMEDIATE, Basis.ESTIMATED, "112.5", 29, "", 0, "114", 0.4),
            new DemoNumbers("bench", Level.INTERMEDIATE, Basis.ESTIMATED, "67.5", 29, "", 0, "68", 0.35),
            new DemoNumbers("deadlift", Level.INTERMEDIATE, Basis.ESTIMATED, "135", 29, "", 0, "137", 0.4)),
        Map.of("row", "50", "leg-curl", "30", "plank", "10", "chin-up", "5"),
        List.of(Uses.of("squat", Method.RPE_WEEKS, HALF_A_YEAR, MONDAY), Uses.of("bench", Method.RPE_WEEKS, HALF_A_YEAR,
            WEDNESDAY), Uses.of("deadlift", Method.RPE_WEEKS, HALF_A_YEAR, FRIDAY)), plan);
  }

  /** A novice in the third week of a straight line. */
  private static DemoProgram ansel() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case TUESDAY -> List.of(assist("back-extension", "2x10-12"));
      case SATURDAY -> List.of(assist("row", "3x8"));
      default -> List.of();
    };
    return new DemoProgram("Ansel Brightwater", "ansel", MassUnit.KG, Sex.MALE, 2006, "74",
        "New to the bar. Desk job, sleeps well.", 2,
        List.of(
            new DemoNumbers("squat", Level.BEGINNER, Basis.ESTIMATED, "", 0, "", 0, "96", 1.2),
            new DemoNumbers("bench", Level.BEGINNER, Basis.ESTIMATED, "", 0, "", 0, "67", 1),
            new DemoNumbers("deadlift", Level.BEGINNER, Basis.ESTIMATED, "", 0, "", 0, "122", 1.2)),
        Map.of("row", "40", "back-extension", "10"),
        List.of(Uses.of("squat", Method.NOVICE_LINEAR, 2, TUESDAY, THURSDAY, SATURDAY).with(Map.of("load", "60")),
            Uses.of("bench", Method.NOVICE_LINEAR, 2, TUESDAY, SATURDAY).with(Map.of("load", "42.5")),
            Uses.of("overhead-press", Method.NOVICE_LINEAR, 2, THURSDAY).with(Map.of("load", "27.5")),
            Uses.of("deadlift", Method.NOVICE_LINEAR, 2, THURSDAY).with(Map.of("load", "80"))), plan);
  }

  /** A masters lifter in pounds, stepping down a ladder of sets. */
  private static DemoProgram corwin() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case TUESDAY -> List.of(assist("leg-curl", "3x10"));
      case THURSDAY -> List.of(assist("row", "3x8-10"));
      case SATURDAY -> List.of(assist("back-extension", "2x12"));
      case SUNDAY -> List.of(main("overhead-press", "3x6"), assist("chin-up", "3x5 bw"));
      default -> List.of();
    };
    return new DemoProgram("Corwin Thackeray-Hale", "corwin", MassUnit.LB, Sex.MALE, 1968, "205",
        "Left shoulder: no wide grip. Prefers few heavy sets.", HALF_A_YEAR,
        List.of(
            new DemoNumbers("squat", Level.ADVANCED, Basis.ESTIMATED, "385", 36, "", 0, "388", 0.1),
            new DemoNumbers("bench", Level.ADVANCED, Basis.ESTIMATED, "265", 36, "", 0, "267", 0.08),
            new DemoNumbers("deadlift", Level.ADVANCED, Basis.ESTIMATED, "455", 36, "", 0, "452", 0.1)),
        Map.of("row", "135", "back-extension", "45", "leg-curl", "90", "overhead-press", "115"),
        List.of(Uses.of("squat", Method.LADDER, HALF_A_YEAR, TUESDAY), Uses.of("bench", Method.LADDER, HALF_A_YEAR, THURSDAY),
            Uses.of("deadlift", Method.LADDER, HALF_A_YEAR, SATURDAY)), plan);
  }

  /** A junior who lifts often and never hard. */
  private static DemoProgram juno() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case MONDAY, FRIDAY -> List.of(assist("chin-up", "3x5-8"));
      case WEDNESDAY -> List.of(main("deadlift", "3x3 72%"), assist("plank", "hold 3x30s"));
      default -> List.of();
    };
    return new DemoProgram("Juno Ashdown", "juno", MassUnit.KG, Sex.FEMALE, 2010, "56.8",
        "Sixteen; a parent comes along on Saturdays.", HALF_A_YEAR,
        List.of(new DemoNumbers("squat", Level.INTERMEDIATE, Basis.ESTIMATED, "82.5", 27, "", 0, "84", 0.5),
            new DemoNumbers("bench", Level.INTERMEDIATE, Basis.ESTIMATED, "47.5", 27, "", 0, "48", 0.5),
            new DemoNumbers("deadlift", Level.BEGINNER, Basis.ESTIMATED, "95", 27, "", 0, "97", 0.6)),
        Map.of("chin-up", "0", "plank", "0"),
        List.of(Uses.of("squat", Method.HIGH_FREQUENCY, HALF_A_YEAR, MONDAY, WEDNESDAY, FRIDAY),
            Uses.of("bench", Method.HIGH_FREQUENCY, HALF_A_YEAR, MONDAY, WEDNESDAY, FRIDAY, SATURDAY)), plan);
  }

  /** Night shifts and a sore knee. */
  private static DemoProgram hal() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case TUESDAY -> List.of(assist("row", "4x8"), assist("face-pull", "3x15"));
      case FRIDAY -> List.of(assist("leg-curl", "3x12"), assist("plank", "hold 3x40s"));
      default -> List.of();
    };
    return new DemoProgram("Hal Wexcombe", "hal", MassUnit.KG, Sex.MALE, 1987, "94.2",
        "Three night shifts a week; trains after sleeping.", HALF_A_YEAR,
        List.of(new DemoNumbers("bench", Level.INTERMEDIATE, Basis.ESTIMATED, "120", 28, "", 0, "121", 0.2),
            new DemoNumbers("deadlift", Level.INTERMEDIATE, Basis.ESTIMATED, "205", 28, "", 0, "206", 0.2),
            new DemoNumbers("squat", Level.INTERMEDIATE, Basis.ESTIMATED, "160", 28, "", 0, "158", 0)),
        Map.of("row", "70", "face-pull", "10", "leg-curl", "40", "plank", "10"),
        List.of(Uses.of("bench", Method.PLUS_SETS, HALF_A_YEAR, TUESDAY), Uses.of("deadlift", Method.PLUS_SETS, HALF_A_YEAR, FRIDAY),
            Uses.of("box-squat", Method.DOUBLE_PROGRESSION, HALF_A_YEAR, TUESDAY)
            .with(Map.of("load", "90", "sets", "3", "from", "6", "to", "10"))), plan);
  }

  /** The contest was put off; the jumps to it go on towards the new date. */
  private static DemoProgram rosalind() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case MONDAY -> List.of(second("front-squat", "3x5 72% of squat"), assist("row", week, "4x8", "2x6"));
      case THURSDAY -> List.of(second("close-grip-bench", "3x6 68% of bench"), assist("triceps-extension", week, "3x12", "1x8"));
      case SATURDAY -> week < -9 ? List.of(main("deadlift", "1x2 @8; 3x3 -12%"), assist("back-extension", "3x12"))
          : List.of(assist("back-extension", week, "3x12", "1x8"));
      default -> List.of();
    };
    return new DemoProgram("Rosalind Meikle", "rosalind", MassUnit.KG, Sex.FEMALE, 1989, "76.6",
        "The Fellgate Cup was put off by four weeks.", HALF_A_YEAR,
        List.of(new DemoNumbers("squat", Level.ADVANCED, Basis.ESTIMATED, "152.5", 28, "160", 5, "154", 0.2),
            new DemoNumbers("bench", Level.INTERMEDIATE, Basis.ESTIMATED, "87.5", 28, "", 0, "88", 0.2),
            new DemoNumbers("deadlift", Level.ADVANCED, Basis.ESTIMATED, "175", 28, "", 0, "177", 0.2)),
        Map.of("row", "55", "triceps-extension", "25", "back-extension", "15"),
        List.of(Uses.of("squat", Method.FALLING_BACKOFFS, HALF_A_YEAR, MONDAY).until(3),
            Uses.of("squat", Method.SHRINKING_JUMPS, 3, MONDAY),
            Uses.of("bench", Method.FALLING_BACKOFFS, HALF_A_YEAR, THURSDAY).until(9)), plan);
  }

  /** On a long plan to a contest in seven weeks. */
  private static DemoProgram emeric() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case MONDAY -> List.of(assist("leg-curl", week, "3x10", "2x8"), assist("hanging-leg-raise", week, "3x12", "1x8"));
      case WEDNESDAY -> List.of(assist("row", week, "4x10", "3x6"), assist("lateral-raise", week, "3x15", "1x10"));
      case FRIDAY -> List.of(assist("shrug", week, "3x12", "2x6"));
      default -> List.of();
    };
    return new DemoProgram("Emeric Stroud", "emeric", MassUnit.KG, Sex.MALE, 1993, "112.6",
        "Tall, slow in the middle of the bench.", HALF_A_YEAR,
        List.of(new DemoNumbers("squat", Level.ADVANCED, Basis.ESTIMATED, "245", 28, "255", 7, "247", 0.15),
            new DemoNumbers("bench", Level.INTERMEDIATE, Basis.ESTIMATED, "157.5", 28, "", 0, "159", 0.15),
            new DemoNumbers("deadlift", Level.ADVANCED, Basis.ESTIMATED, "280", 28, "", 0, "283", 0.15)),
        Map.of("leg-curl", "60", "row", "90", "lateral-raise", "12.5", "shrug", "120", "hanging-leg-raise", "0"),
        List.of(Uses.of("squat", Method.RPE_WEEKS, HALF_A_YEAR, MONDAY).until(9), Uses.of("bench", Method.RPE_WEEKS, HALF_A_YEAR,
            WEDNESDAY).until(9), Uses.of("deadlift", Method.RPE_WEEKS, HALF_A_YEAR, FRIDAY).until(9)), plan);
  }

  /** Strongwoman with cycles: singles against the clock, clusters, partials. */
  private static DemoProgram sunniva() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case MONDAY -> List.of(assist("chest-supported-row", "3x10"));
      case THURSDAY -> List.of(assist("good-morning", "3x8 45% of squat"));
      default -> List.of();
    };
    return new DemoProgram("Sunniva Garth", "sunniva", MassUnit.KG, Sex.FEMALE, 1995, "88.1",
        "Stones are her event; the log is not yet.", HALF_A_YEAR,
        List.of(new DemoNumbers("log-press", Level.INTERMEDIATE, Basis.ESTIMATED, "77.5", 26, "", 0, "78", 0.3),
            new DemoNumbers("squat", Level.ADVANCED, Basis.ESTIMATED, "165", 26, "", 0, "166", 0.2),
            new DemoNumbers("deadlift", Level.ADVANCED, Basis.ESTIMATED, "195", 26, "", 0, "197", 0.2)),
        Map.of("chest-supported-row", "20"),
        List.of(Uses.of("log-press", Method.RPE_WEEKS, HALF_A_YEAR, MONDAY).until(3),
            Uses.of("squat", Method.FALLING_BACKOFFS, HALF_A_YEAR, THURSDAY).until(3),
            Uses.of("deadlift", Method.RPE_WEEKS, HALF_A_YEAR, TUESDAY).until(3),
            Uses.of("log-press", Method.DENSITY, 3, MONDAY), Uses.of("squat", Method.CLUSTER, 3, THURSDAY), Uses.of("deadlift",
            Method.PARTIALS, 3, TUESDAY),
            Uses.of("stone-load", Method.EVENT_WEEKS, HALF_A_YEAR, SATURDAY).with(Map.of("mass", "115")),
            Uses.of("farmers-walk", Method.EVENT_WEEKS,
                HALF_A_YEAR, SATURDAY).with(Map.of("mass", "85", "every", "2"))), plan);
  }

  /** Losing weight, and wants to bench every day. */
  private static DemoProgram leopold() {
    DemoProgram.Plan plan = (day, week) -> switch (day) {
      case MONDAY -> List.of(assist("row", week, "4x8", "3x6"), assist("curl", week, "3x12", "2x8"));
      case THURSDAY -> List.of(assist("pull-down", week, "4x10", "3x6"), assist("lateral-raise", week, "3x15", "2x8"),
          assist("triceps-extension", week, "3x12", "2x8"));
      default -> List.of();
    };
    return new DemoProgram("Leopold Quince", "leopold", MassUnit.LB, Sex.MALE, 1999, "218", "Wants the class below by summer.", HALF_A_YEAR,
        List.of(new DemoNumbers("squat", Level.INTERMEDIATE, Basis.ESTIMATED, "365", 28, "", 0, "368", 0.05),
            new DemoNumbers("bench", Level.INTERMEDIATE, Basis.ESTIMATED, "255", 28, "", 0, "256", 0.05),
            new DemoNumbers("deadlift", Level.INTERMEDIATE, Basis.ESTIMATED, "440", 28, "", 0, "441", 0.05)),
        Map.of("row", "145", "curl", "65", "pull-down", "120", "lateral-raise", "20", "triceps-extension", "60"),
        List.of(Uses.of("squat", Method.PLUS_SETS, HALF_A_YEAR, THURSDAY), Uses.of("bench", Method.HIGH_FREQUENCY, HALF_A_YEAR,
            MONDAY, TUESDAY, THURSDAY, SATURDAY),
            Uses.of("deadlift", Method.RPE_WEEKS, HALF_A_YEAR, FRIDAY).until(5), Uses.of("deadlift", Method.BLOCKS, 5, FRIDAY)), plan);
  }
}
