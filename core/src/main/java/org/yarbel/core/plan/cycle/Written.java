package org.yarbel.core.plan.cycle;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.plan.progress.Countdown;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.core.plan.progress.Occasions;
import org.yarbel.core.plan.progress.Settings;

/**
 * A line of a long plan before it stands in any day.
 *
 * @param block its number; under 0 for a contest lifted as a training day
 * @param first whether it is the first line of its exposure
 * @param deload how it was made easy; null when it was not
 * @param mark what sets it apart; null for nothing
 * @param rounds of its group, 1 without one
 * @param training the training max it is written for; null where its method keeps none
 * @param forecast whether it takes for granted that what is before it goes as planned
 */
public record Written(LocalDate day, int block, SlotKind kind, String lift, String work, int rounds, @Nullable Mass training, boolean first,
    @Nullable Deload deload, Exposure.@Nullable Mark mark, boolean forecast, List<String> remarks) {
  /** Who it is written for: the numbers and kit of a lift, with the settings of the method. */
  @FunctionalInterface
  public interface Briefs {
    /** The brief of a lift. */
    Brief of(String lift, Settings settings, int perWeek);
  }

  /** What it is worked out with. */
  public PlannedLine planned(Catalogue lifts) {
    return new PlannedLine(lifts.ofKey(lift).orElseThrow(), work, PlannedLine.Beside.NONE, rounds, training);
  }

  /** All lines from a Monday up to a day, in the order of days and lifts. */
  public static List<Written> all(Macrocycle plan, Briefs briefs, Catalogue lifts, LocalDate from, LocalDate until) {
    Map<LocalDate, Deload> easy = plan.easyWeeks();
    List<Written> all = new ArrayList<>();
    for (Macrocycle.Assigned one : plan.assigned()) {
      if (one.startsOn().isBefore(until) && (one.endsOn() == null || one.endsOn().isAfter(from))) {
        Brief brief = briefs.of(one.lift(), Settings.check(one.method(), one.settings(), lifts).settings(),
            Occasions.perWeek(one.days().size(), Occasions.Turn.EVERY));
        List<Occasions.Occasion> occasions = Macrocycle.occasions(one, easy.keySet(), until);
        List<Integer> left = daysLeft(one.contest(), occasions);
        for (int i = 0; i < occasions.size(); i++) {
          Occasions.Occasion at = occasions.get(i);
          if (!at.day().isBefore(from)) {
            Countdown countdown = left.isEmpty() ? null : new Countdown(left.get(i), left);
            write(one, brief.counting(countdown), at, easy.get(Macrocycle.monday(at.day())), all);
          }
        }
      }
    }
    all.sort(Comparator.comparing(Written::day));
    return all;
  }

  /** The days from each occasion to a contest; none without one. */
  public static List<Integer> daysLeft(@Nullable LocalDate contest, List<Occasions.Occasion> occasions) {
    return contest == null ? List.of() : occasions.stream().map(at -> (int) ChronoUnit.DAYS.between(at.day(), contest)).toList();
  }

  private static void write(Macrocycle.Assigned one, Brief brief, Occasions.Occasion at, @Nullable Deload deload, List<Written> all) {
    Exposure exposure = one.method().rule().write(brief, List.of(), at.number(), at.number());
    boolean first = true;
    for (Exposure.Line line : exposure.lines()) {
      Optional<WorkLine> work = Optional.of(line.work());
      if (deload != null && !exposure.deload()) {
        work = deload.applied(work.get(), brief.chart());
      }
      if (work.isPresent()) {
        all.add(new Written(at.day(), one.no(), line.kind(), line.lift(), work.get().toString(), line.rounds(),
            exposure.training(), first, deload, first && deload == null ? exposure.mark() : null,
            exposure.forecast(), first ? exposure.remarks() : List.of()));
        first = false;
      }
    }
  }
}
