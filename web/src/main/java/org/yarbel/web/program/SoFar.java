package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.yarbel.core.card.Ended;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Done;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;

/**
 * What methods have written so far, where it stands, and what was logged of it.
 *
 * @param lines by method; of those without memory only those of the week and later
 * @param sessions by line
 * @param sets by the ref of their line, in order
 * @param left why sets of a line were not tried when its session was ended, by its ref
 */
record SoFar(Map<UUID, List<Slot>> lines, Map<Long, TrainingSession> sessions, Map<UUID, List<LoggedSetRow>> sets,
    Map<UUID, LeftSets.Why> left) {
  List<Slot> of(Progression progression) {
    return lines.getOrDefault(progression.ref(), List.of());
  }

  /** The last day that something is written for. */
  Optional<LocalDate> lastDay() {
    return lines.values().stream().flatMap(List::stream).map(slot -> Objects.requireNonNull(slot.origin()).day())
        .max(Comparator.naturalOrder());
  }

  boolean begun(Slot slot) {
    return sets.containsKey(slot.ref());
  }

  /** The day a line stands on, wherever its method put it. */
  LocalDate day(Slot slot) {
    return session(slot).day();
  }

  TrainingSession session(Slot slot) {
    return Objects.requireNonNull(sessions.get(slot.id()));
  }

  /** Whether a line that was planned for a day behind was moved to one ahead and waits there. */
  boolean waits(Slot slot, LocalDate from) {
    return Objects.requireNonNull(slot.origin()).day().isBefore(from) && !day(slot).isBefore(from) && !begun(slot);
  }

  /** The exposures that were lifted, in order. */
  List<Done> done(Progression progression, LocalDate from) {
    return of(progression).stream().map(slot -> done(slot, from)).flatMap(Optional::stream)
        .sorted(Comparator.comparingInt(Done::number)).toList();
  }

  /** The numbers of those that were planned for the week of a day or later: what was lifted earlier may bear an older number. */
  Set<Integer> lifted(Progression progression, LocalDate from) {
    return of(progression).stream().filter(slot -> recent(slot, from)).map(slot -> done(slot, from)).flatMap(Optional::stream)
        .map(Done::number)
        .collect(Collectors.toSet());
  }

  /** Whether a line was planned for the week of a day or later. Other days of the week number the exposures anew. */
  boolean recent(Slot slot, LocalDate from) {
    return !Objects.requireNonNull(slot.origin()).day().isBefore(Macrocycle.monday(from));
  }

  /**
   * What was lifted of the first line of an exposure: every set that was needed is logged, or the session was ended, or the day
   * is over and something of it was missed. Sets that would not have gone count as missed, and so do those nobody said
   * anything of after a miss; sets that were left out are neither made nor missed.
   */
  private Optional<Done> done(Slot slot, LocalDate from) {
    Slot.Origin origin = Objects.requireNonNull(slot.origin());
    if (origin.line() > 0 || origin.exposure() < 0 || !begun(slot)) {
      return Optional.empty();
    }
    WorkLine work = WorkLine.parse(slot.work()).line();
    List<LoggedSet> logged = sets.get(slot.ref()).stream().map(LoggedSetRow::loggedSet).toList();
    int asked = work.parts().stream().mapToInt(part -> part.work().sets()).sum() - Ended.needless(work, logged).size();
    List<Done.DoneSet> lifted = new ArrayList<>(sets.get(slot.ref()).stream().map(SoFar::set).toList());
    LeftSets.Why why = left.get(slot.ref());
    boolean over = why != null || day(slot).isBefore(from) && lifted.stream().anyMatch(Done.DoneSet::missed);
    if (lifted.size() < asked && !over) {
      return Optional.empty();
    }
    if (sets.get(slot.ref()).stream().anyMatch(row -> row.askedLift() != null)) {
      return Optional.of(new Done(origin.exposure(), slot.lift(), lifted, Done.Aside.OTHER_LIFT, null));
    }
    if (lifted.size() < asked && why == LeftSets.Why.LEFT_OUT) {
      return Optional.of(new Done(origin.exposure(), slot.lift(), lifted, Done.Aside.CUT, null));
    }
    Done.DoneSet last = lifted.get(lifted.size() - 1);
    while (lifted.size() < asked) {
      lifted.add(new Done.DoneSet(last.part(), last.load(), 0, last.asked(), last.open(), last.flagged()));
    }
    return Optional.of(new Done(origin.exposure(), slot.lift(), lifted));
  }

  private static Done.DoneSet set(LoggedSetRow row) {
    // of another lift no reps were asked that could be missed
    Integer asked = row.askedLift() == null ? row.askedReps() : null;
    return new Done.DoneSet(row.loggedSet().place().part(), row.load(), row.reps(), asked, row.askedReps() == null, row.flagged());
  }
}
