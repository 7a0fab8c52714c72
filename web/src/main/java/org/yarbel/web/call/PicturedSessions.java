package org.yarbel.web.call;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.yarbel.core.call.Picture;
import org.yarbel.core.card.Chosen;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.Work;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;

/**
 * Makes sessions of a picture of their rows.
 *
 * @param methods those at work, by their ref
 * @param done what was lifted, by the ref of the line
 * @param marks by the id of the set
 * @param ended the sessions that were said to be over
 * @param liftedOn the day, where it is not the planned one
 */
record PicturedSessions(LifterContext context, Map<UUID, Picture.AtWork> methods, Map<UUID, List<LoggedSetRow>> done,
    Map<Long, List<TechniqueMark>> marks, Set<Long> ended, Map<Long, LocalDate> liftedOn) {
  Picture.Session session(TrainingSession row, List<Slot> slots) {
    List<Picture.Line> lines = new ArrayList<>();
    Set<UUID> refs = new HashSet<>();
    for (Slot slot : slots) {
      refs.add(slot.ref());
      if (slot.linkOf() == null) {
        lines.add(line(row, slot));
      }
    }
    done.values().stream().flatMap(Collection::stream).filter(set -> set.sessionId() == row.id() && !refs.contains(set.line()))
        .collect(Collectors.groupingBy(LoggedSetRow::lift)).forEach((lift, sets) -> extra(lift, sets).ifPresent(lines::add));
    return new Picture.Session(row.id(), liftedOn.getOrDefault(row.id(), row.day()), ended.contains(row.id()),
        row.easier() != null, lines);
  }

  private Picture.Line line(TrainingSession row, Slot slot) {
    Slot.Origin origin = slot.origin();
    List<Part> parts = parts(slot.work());
    return new Picture.Line(slot.ref(), slot.kind(), PlannedLines.of(context, slot, row.groups()),
        origin == null ? null : methods.get(origin.progression()), slot.edited(), slot.remark() == null ? "" : slot.remark(),
        done.getOrDefault(slot.ref(), List.of()).stream().map(set -> lifted(set, parts)).toList());
  }

  private static List<Part> parts(String work) {
    try {
      return WorkLine.parse(work).line().parts();
    } catch (NotationException old) {
      return List.of();
    }
  }

  /** What was done beside the lines is on record as no exposure of its own. */
  private Optional<Picture.Line> extra(String key, List<LoggedSetRow> sets) {
    return context.lifts().ofKey(key).map(lift -> new Picture.Line(sets.get(0).line(), SlotKind.ASSISTANCE, PlannedLine.of(lift, "1x1"),
        null,
        false, "", sets.stream().map(set -> lifted(set, List.of())).toList()));
  }

  private Picture.Lifted lifted(LoggedSetRow set, List<Part> parts) {
    LoggedSet logged = set.loggedSet();
    Chosen chosen = set.state().chosen();
    // what was planned is not what an easier session asked
    boolean asPlanned = chosen == null || !chosen.easierDay();
    Part part = asPlanned && logged.part() >= 1 && logged.part() <= parts.size() ? parts.get(logged.part() - 1) : null;
    boolean open = part != null && part.work() instanceof Work.SetsOfReps sets && sets.open(logged.set());
    return new Picture.Lifted(set.id(), context.lift(set.lift()), logged.part(), set.load(), set.reps(), set.askedReps(), set.asked(),
        part == null || part.rpe() == null ? null : Double.valueOf(part.rpe().middle()), open, set.ratingTaken(), set.easier(),
            set.ended(),
        set.state().contexts(), marks.getOrDefault(set.id(), List.of()), set.state().repSpeeds(), set.extra());
  }
}
