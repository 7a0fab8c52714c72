package org.yarbel.core.watch;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Finds the move that puts the layout of a week right and breaks nothing else in it. */
final class Layout {
  private static final List<LayoutCheck> CHECKS = List.of(new ConsecutiveDays(), new SquatThenDeadlift(), new HardDaysRunning());

  private Layout() {}

  /** A check of how the days of a week follow each other. */
  interface LayoutCheck extends Check {
    /** What it finds, without a move. */
    List<Finding> faults(WatchedWeek week);

    @Override
    default List<Finding> look(WatchedWeek week) {
      return faults(week).stream().map(found -> {
        Optional<Finding.Move> move = move(week, found);
        boolean nothingElse = move.isEmpty() && !week.athlete().free().isEmpty();
        return nothingElse ? found.asNote(" The free days leave no better place.") : found.with(move.orElse(null));
      }).toList();
    }
  }

  /**
   * The move of a lift of the day a fault is about, or of the day before it, to the nearest day of the week that can be trained
   * on, after which the fault is gone and no other has come.
   */
  private static Optional<Finding.Move> move(WatchedWeek week, Finding fault) {
    LocalDate day = fault.day();
    if (day == null) {
      return Optional.empty();
    }
    Set<String> faults = keys(week);
    return List.of(day, day.minusDays(1)).stream()
        .flatMap(from -> week.hardLifts(from).stream().filter(lift -> fault.lift().isEmpty() || lift.equals(fault.lift())
        || !from.equals(day)).flatMap(lift -> days(week, lift, from).map(to -> moved(week, lift, from, to)).flatMap(Optional::stream)))
        .filter(move -> better(week.moved(move.lines(), move.to()), key(fault), faults)).findFirst();
  }

  /** The days a lift could go to, the nearest first; one on which it stands already is none, or two sessions would become one. */
  private static Stream<LocalDate> days(WatchedWeek week, String lift, LocalDate from) {
    return week.monday().datesUntil(week.monday().plusWeeks(1)).filter(to -> !to.equals(from) && !to.isBefore(week.around().today())
        && week.byDay().getOrDefault(to, List.of()).stream().noneMatch(line -> line.counted().head().key().equals(lift)
            && line.counted().kind().counts())
        && (week.athlete().free().isEmpty() || week.athlete().free().contains(to.getDayOfWeek())))
        .sorted(Comparator.comparingLong(to -> Math.abs(ChronoUnit.DAYS.between(from, to))));
  }

  private static Optional<Finding.Move> moved(WatchedWeek week, String lift, LocalDate from, LocalDate to) {
    List<WatchedLine> lines = week.byDay().getOrDefault(from, List.of()).stream().filter(line -> line.counted().head().key().equals(lift)
        && line.counted().kind().counts()).toList();
    boolean stays = lines.isEmpty() || from.isBefore(week.around().today()) || lines.stream().anyMatch(line -> line.counted().begun());
    return stays ? Optional.empty() : Optional.of(new Finding.Move(lines.stream().map(line -> line.counted().id()).toList(), from, to,
        "the " + Words.lift(lift) + " of " + Words.day(from) + " to " + Words.day(to)));
  }

  private static boolean better(WatchedWeek week, String fault, Set<String> before) {
    Set<String> after = keys(week);
    return !after.contains(fault) && before.containsAll(after);
  }

  private static Set<String> keys(WatchedWeek week) {
    return CHECKS.stream().flatMap(check -> check.faults(week).stream()).map(Layout::key).collect(Collectors.toSet());
  }

  private static String key(Finding found) {
    return found.check() + "/" + found.day() + "/" + found.lift();
  }
}
