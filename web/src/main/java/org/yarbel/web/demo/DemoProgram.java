package org.yarbel.web.demo;

import java.time.DayOfWeek;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Sex;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.progress.Method;
import org.yarbel.web.plan.Details;

/**
 * The made-up lifters of the demo and what is planned for them. All of it is invented.
 *
 * @param email what they sign in with, before the at sign
 * @param weeksBack how many weeks of training lie behind
 */
record DemoProgram(String name, String email, MassUnit unit, Sex sex, int born, String bodyMass, String note,
    int weeksBack, List<DemoNumbers> numbers, Map<String, String> picks, List<Uses> methods, Plan plan) {
  private static final int EASY_EVERY = 6;

  /**
   * A method that writes a lift.
   *
   * @param since how many weeks ago it started
   * @param until how many weeks ago it ended; 0 while it goes on
   */
  record Uses(String lift, Method method, int since, int until, Map<String, String> settings, Set<DayOfWeek> days) {
    static Uses of(String lift, Method method, int since, DayOfWeek first, DayOfWeek... more) {
      return new Uses(lift, method, since, 0, Map.of(), EnumSet.of(first, more));
    }

    Uses with(Map<String, String> set) {
      return new Uses(lift, method, since, until, set, days);
    }

    Uses until(int weeksAgo) {
      return new Uses(lift, method, since, weeksAgo, settings, days);
    }
  }

  /**
   * What is known, and what is true, of a lift.
   *
   * @param tested max, so many weeks ago
   * @param truth the true max on the first day of the log, in the lifter's unit
   * @param gainPerWeek in % of the max
   */
  record DemoNumbers(String lift, Level level, Basis basis, String tested, int testedWeeksAgo, String goal, int goalInWeeks,
      String truth, double gainPerWeek) {}

  /**
   * One line of a day.
   *
   * @param group lines one after another with the same are done by turns; null for none
   */
  record DemoLine(SlotKind kind, String lift, String work, @Nullable Group group, Details details) {
    DemoLine(SlotKind kind, String lift, String work) {
      this(kind, lift, work, null, Details.NONE);
    }

    DemoLine in(Group by) {
      return new DemoLine(kind, lift, work, by, details);
    }

    DemoLine with(Details said) {
      return new DemoLine(kind, lift, work, group, said);
    }
  }

  /** What is planned on a day of a week; week 0 is this one, earlier ones are negative. */
  interface Plan {
    List<DemoLine> on(DayOfWeek day, int week);
  }

  /** So many weeks ago some of them took an easy one; the others are due. */
  List<Integer> easyWeeksAgo() {
    Integer last = Map.of("maren", 7, "corwin", 6, "tamsin", 3, "brannoc", 2, "juno", 4, "emeric", 5, "rosalind", 4, "sunniva", 1)
        .get(email);
    return last == null ? List.of() : IntStream.iterate(last, ago -> ago < weeksBack, ago -> ago + EASY_EVERY).boxed().toList();
  }
}
