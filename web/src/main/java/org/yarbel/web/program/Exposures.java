package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Written;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.plan.progress.Countdown;
import org.yarbel.core.plan.progress.Done;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.core.plan.progress.Occasions;
import org.yarbel.core.plan.progress.Settings;

/** What the methods of a lifter say of the days ahead, before anything of it is written. */
public final class Exposures {
  private static final SoFar NOTHING = new SoFar(Map.of(), Map.of(), Map.of(), Map.of());

  private Exposures() {}

  static Brief brief(Progression progression, LifterContext context) {
    return brief(progression.lift(), Settings.check(progression.method(), progression.settings(), context.lifts()).settings(),
        progression.perWeek(), context);
  }

  /** Whom a method writes a lift for. */
  public static Brief brief(String key, Settings settings, int perWeek, LifterContext context) {
    Lift lift = context.lift(key);
    LifterContext.Known known = context.known().get(lift.key());
    return new Brief(lift, context.unit(), context.numbers(lift), known == null ? EffortChart.HOUSE : known.chart(),
        context.kit().of(lift, null).map(context.kit()::search).orElse(null),
        settings, perWeek, context.lifts());
  }

  /** The exposures of the days from one to another. */
  static List<Writing.Planned> planned(Progression progression, Brief brief, SoFar soFar, Map<LocalDate, Deload> easy,
      LocalDate from, LocalDate until) {
    List<Writing.Planned> planned = new ArrayList<>();
    List<Done> done = soFar.done(progression, from);
    Set<Integer> lifted = soFar.lifted(progression, from);
    int ahead = (int) soFar.of(progression).stream().filter(slot -> Objects.requireNonNull(slot.origin()).line() == 0
        && soFar.waits(slot, from)).count();
    List<Occasions.Occasion> occasions = progression.occasions(easy::containsKey, progression.contestOn() == null ? until
        : Programs.later(until, progression.contestOn()));
    List<Integer> left = Written.daysLeft(progression.contestOn(), occasions);
    for (int i = 0; i < occasions.size(); i++) {
      Occasions.Occasion at = occasions.get(i);
      if (!at.day().isBefore(from) && at.day().isBefore(until) && !(!at.easy() && lifted.contains(at.number()))) {
        Countdown countdown = left.isEmpty() ? null : new Countdown(left.get(i), left);
        Exposure exposure = progression.method().rule().next(brief.counting(countdown), done, at.number(), ahead);
        planned.add(new Writing.Planned(at.day(), at.key(), exposure, at.easy() ? easy.get(Macrocycle.monday(at.day())) : null));
        ahead += at.easy() ? 0 : 1;
      }
    }
    return planned;
  }

  /** What methods say of a week where they have nothing to do, such as a week off. */
  public static List<String> silentRemarks(List<Progression> methods, LifterContext context, LocalDate monday) {
    List<String> remarks = new ArrayList<>();
    for (Progression progression : methods) {
      planned(progression, brief(progression, context), NOTHING, Map.of(), monday, monday.plusWeeks(1)).stream()
          .filter(planned -> planned.exposure().lines().isEmpty()).findFirst()
          .ifPresent(planned -> remarks.add(context.lift(progression.lift()).name() + ": "
              + String.join(" ", planned.exposure().remarks())));
    }
    return remarks;
  }
}
