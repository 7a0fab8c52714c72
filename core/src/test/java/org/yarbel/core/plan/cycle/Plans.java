package org.yarbel.core.plan.cycle;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.kit.Kit;
import org.yarbel.core.kit.Loadables;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.progress.Brief;

/** Long plans for tests, a word a block: {@code volume 5 easy, strength 4, peak 3, taper 2}. */
final class Plans {
  static final Catalogue LIFTS = Catalogue.standard();
  /** A Monday. */
  static final LocalDate MONDAY = LocalDate.of(2026, 3, 2);

  private static final Loadables KG = Loadables.of(Kit.standard(MassUnit.KG));
  private static final Map<String, String> MAXES = Map.of("squat", "200", "bench", "140", "deadlift", "240", "log-press", "110");

  private Plans() {}

  static Lift lift(String key) {
    return LIFTS.ofKey(key).orElseThrow();
  }

  /** From the Monday on, to a Saturday so many weeks on, its own week counted; 0 for open-ended. Squats on Mondays, pulls on Fridays. */
  static Macrocycle plan(int weeksToContest, String blocks) {
    List<Use> none = List.of();
    int[] no = {1};
    List<Block> all = Arrays.stream(blocks.split(",")).map(String::strip).map(text -> {
      String[] words = text.split(" ");
      Purpose purpose = Purpose.valueOf(words[0].toUpperCase(Locale.ROOT));
      int weeks = Integer.parseInt(words[1]);
      List<Use> uses = purpose == Purpose.OFF ? none
          : List.of(purpose.usual(lift("squat"), EnumSet.of(DayOfWeek.MONDAY, DayOfWeek.THURSDAY)),
          purpose.usual(lift("deadlift"), EnumSet.of(DayOfWeek.FRIDAY)));
      return new Block(no[0]++, purpose, weeks, words.length > 2 ? weeks - 1 : 0, Deload.HALF_LOAD, null, uses);
    }).toList();
    return new Macrocycle(MONDAY, weeksToContest == 0 ? null : saturday(weeksToContest), all, List.of(), List.of());
  }

  /** The Saturday of the week so many weeks on, this one counted. */
  static LocalDate saturday(int weeks) {
    return MONDAY.plusWeeks(weeks - 1L).plusDays(5);
  }

  /** As it is written for {@link #plan}. */
  static String text(Macrocycle plan) {
    return text(plan.blocks());
  }

  static String text(List<Block> blocks) {
    return blocks.stream().map(block -> block.purpose().word() + " " + block.weeks() + (block.endsEasy() ? " easy" : ""))
        .collect(Collectors.joining(", "));
  }

  /** What is written from the Monday on: {@code 2 Mar squat 4x8 65%}. */
  static List<Written> written(Macrocycle plan) {
    return Written.all(plan, briefs(), LIFTS, plan.startsOn(), plan.end().plusWeeks(1));
  }

  static Written.Briefs briefs() {
    return (key, settings, perWeek) -> {
      Mass max = MAXES.containsKey(key) ? Mass.of(MAXES.get(key), MassUnit.KG) : null;
      Lift lift = lift(key);
      return new Brief(lift, MassUnit.KG, new MaxNumbers(null, max, null, null), EffortChart.HOUSE, lift.onBar() ? KG
          : null, settings, perWeek, LIFTS);
    };
  }

  static Proposal proposed(Level level, int weeks, int days) {
    return Proposal.of(request(level, weeks, days));
  }

  static Proposal.Request request(Level level, int weeks, int days) {
    List<DayOfWeek> week = List.of(DayOfWeek.MONDAY, DayOfWeek.WEDNESDAY, DayOfWeek.FRIDAY, DayOfWeek.SATURDAY, DayOfWeek.TUESDAY,
        DayOfWeek.THURSDAY, DayOfWeek.SUNDAY);
    return new Proposal.Request(level, List.of(lift("squat"), lift("bench"), lift("deadlift")), List.of(),
        EnumSet.copyOf(week.subList(0, days)),
        weeks == 0 ? null : saturday(weeks), MONDAY, false, Deload.HALF_LOAD, MassUnit.KG, List.of());
  }
}
