package org.yarbel.web.platform;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.contest.AttemptPlan;
import org.yarbel.core.contest.DayOdds;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.RuleSet;
import org.yarbel.core.contest.TotalAim;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.Prepared;

/** The plan of attempts before a lift begins, towards what somebody aims at. */
final class Plans {
  private static final int PLANNED = 3;

  private Plans() {}

  /** The plan of a lift for three days, towards what somebody aims at. */
  static AthleteView.PlanView of(Day day, ContestAthlete athlete, String lift, Map<String, OurOdds.Known> known) {
    RuleSet rules = day.rules();
    Aimed aimed = aimed(day, athlete, known);
    AttemptPlan plan = AttemptPlan.of(Objects.requireNonNull(known.get(lift)).odds(), rules, aimed.thirds().get(lift));
    List<AthleteView.PlanRow> rows = new ArrayList<>();
    for (int number = 1; number <= PLANNED; number++) {
      List<String> loads = new ArrayList<>();
      for (AttemptPlan.Day how : AttemptPlan.Day.values()) {
        AttemptPlan.Planned planned = plan.at(how, number);
        loads.add(planned.load().number() + (how == AttemptPlan.Day.EXPECTED ? " · " + AthletePages.percent(planned.chance()) : ""));
      }
      rows.add(new AthleteView.PlanRow(number, loads));
    }
    return new AthleteView.PlanView(rows, aimed.words());
  }

  /**
   * What somebody aims at, as third attempts.
   *
   * @param words null where they aim at nothing but what the day allows
   */
  record Aimed(Map<String, Mass> thirds, @Nullable String words) {
    static final Aimed NONE = new Aimed(Map.of(), null);
  }

  /** The thirds that come to what somebody aims at. */
  static Aimed aimed(Day day, ContestAthlete athlete, Map<String, OurOdds.Known> known) {
    Prepared.Aim aim = athlete.prepared().aim();
    if (aim == null) {
      return Aimed.NONE;
    }
    if (aim.kind() == Prepared.AimKind.RECORD) {
      Mass record = Objects.requireNonNull(aim.load());
      OurOdds.Known lift = known.get(aim.lift());
      return new Aimed(Map.of(aim.lift(), record), "A record of " + record.text() + " in the " + day.lift(aim.lift())
          .toLowerCase(Locale.ROOT)
          + (lift == null ? "" : ": " + AthletePages.percent(lift.odds().chance(record))));
    }
    Mass total = aim.kind() == Prepared.AimKind.TOTAL ? aim.load() : forPlace(day, athlete, aim.place());
    if (total == null) {
      return new Aimed(Map.of(), "Place " + aim.place() + ": nobody of the class has an expected total yet.");
    }
    Map<String, DayOdds> open = new LinkedHashMap<>();
    Mass done = Mass.ofNanograms(0, MassUnit.KG);
    for (String lift : day.rules().platform().lifts()) {
      LiftDay lifted = day.liftDay(athlete, lift);
      OurOdds.Known odds = known.get(lift);
      if (lifted.lifted().isEmpty() && odds != null) {
        open.put(lift, odds.odds());
      } else {
        done = done.plus(lifted.best().orElse(Mass.ofNanograms(0, MassUnit.KG)));
      }
    }
    String what = (aim.kind() == Prepared.AimKind.TOTAL ? "A total of " : AthletePages.nth(aim.place()) + " in class with ") + total.text();
    if (open.isEmpty()) {
      return new Aimed(Map.of(), what);
    }
    TotalAim spread = TotalAim.of(open, done, total, day.rules());
    return new Aimed(spread.thirds(), what + ": all of its thirds " + AthletePages.percent(spread.chance()));
  }

  /** What puts somebody on a place, by what the others are expected to total; null where nobody knows. */
  private static @Nullable Mass forPlace(Day day, ContestAthlete athlete, int place) {
    List<Mass> others = day.of(athlete.said().category()).stream().filter(other -> other.id() != athlete.id() && !other.said().withdrawn())
        .map(other -> other.said().expected()).filter(Objects::nonNull).sorted(Comparator.reverseOrder()).toList();
    return others.size() < place ? null : others.get(place - 1).plus(day.rules().attempts().step());
  }
}
