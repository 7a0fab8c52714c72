package org.yarbel.web.edit;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.Arrangement;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.club.Turns;
import org.yarbel.web.journal.PlanWriter;
import org.yarbel.web.journal.Scope;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.Programs;
import org.yarbel.web.who.SignedIn;

/** Copies, moves, fills down and writes many lines at once; every batch is one change that can be undone. */
@Service
public class Batches {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final PlanWriter writer;
  private final Sessions sessions;
  private final Programs programs;
  private final SlotRepository slots;
  private final TrainingSessionRepository rows;
  private final LifterRepository lifters;
  private final Turns turns;

  Batches(PlanWriter writer, Sessions sessions, Programs programs, SlotRepository slots, TrainingSessionRepository rows,
      LifterRepository lifters, Turns turns) {
    this.writer = writer;
    this.sessions = sessions;
    this.programs = programs;
    this.slots = slots;
    this.rows = rows;
    this.lifters = lifters;
    this.turns = turns;
  }

  /**
   * What came of writing lines.
   *
   * @param change to undo it by; empty when nothing was changed
   */
  public record BatchWritten(int lines, Optional<Long> change) {}

  /** Moves a line to another day; a sentence says what was done. */
  @Transactional
  public String move(Slot slot, LocalDate to, SignedIn who) {
    turns.ofLine(slot.id());
    return stays(List.of(slot)) ? "It stays: sets of it are logged, or it follows another line."
        : shift(List.of(slot), to, who).map(id -> "Moved to " + DAY.format(to) + ".").orElse("It stands there already.");
  }

  /** Moves the lines of a day to another as one change; a sentence says what was done. */
  @Transactional
  public String moveAll(List<Slot> lines, LocalDate to, SignedIn who) {
    turns.ofLine(lines.isEmpty() ? 0 : lines.get(0).id());
    return stays(lines) ? "They stay: sets are logged, or they follow another line."
        : shift(lines, to, who).map(id -> "Moved to " + DAY.format(to) + "; Undo takes it back.").orElse("They stand there already.");
  }

  private boolean stays(List<Slot> lines) {
    return lines.isEmpty() || lines.stream().anyMatch(slot -> slot.linkOf() != null) || !sessions.begun(lines).isEmpty();
  }

  private Optional<Long> shift(List<Slot> lines, LocalDate to, SignedIn who) {
    TrainingSession from = session(lines.get(0));
    Lifter lifter = lifter(from);
    return writer.change(lifter, Scope.days(List.of(from.day(), to)), who, () -> {
      TrainingSession target = sessions.session(lifter, to);
      int position = sessions.lines(target).size();
      for (Slot slot : lines) {
        slot.moveTo(target.id(), ++position);
        slots.save(slot);
      }
    });
  }

  /** Copies a line to another day. */
  @Transactional
  public String copy(Slot slot, LocalDate to, SignedIn who) {
    turns.ofLine(slot.id());
    return add(lifter(session(slot)), List.of(NewLine.copied(slot, to)), who).lines() > 0 ? "Copied to " + DAY.format(to) + "."
        : "Nothing copied: " + DAY.format(to) + " has " + Sessions.MOST_LINES + " lines already.";
  }

  /** Copies a line to the same day of so many weeks to come; where the lift stands already it is written over when it can. */
  @Transactional
  public String fillDown(Slot slot, int weeks, SignedIn who) {
    turns.ofLine(slot.id());
    TrainingSession from = session(slot);
    Lifter lifter = lifter(from);
    List<LocalDate> targets = new ArrayList<>();
    for (int week = 1; week <= weeks; week++) {
      targets.add(from.day().plusWeeks(week));
    }
    List<LocalDate> kept = new ArrayList<>();
    writer.change(lifter, Scope.days(targets), who, () -> targets.stream()
        .filter(day -> !filled(slot, sessions.session(lifter, day))).forEach(kept::add));
    String stay = kept.isEmpty() ? "" : " " + kept.size() + " begun or full ones stay.";
    return "Filled down " + Count.of(weeks - kept.size(), "week") + "." + stay;
  }

  /** Lets a session have the line; false where it is begun there, or the session is full. */
  private boolean filled(Slot slot, TrainingSession target) {
    List<Slot> there = sessions.lines(target);
    Slot same = there.stream().filter(other -> other.lift().equals(slot.lift()) && other.kind() == slot.kind()).findFirst().orElse(null);
    if (same != null && !sessions.begun(List.of(same)).isEmpty() || there.size() >= Sessions.MOST_LINES) {
      return false;
    }
    if (same == null) {
      put(target, there.size() + 1, NewLine.copied(slot, target.day()), null);
    } else {
      same.write(slot.kind(), slot.lift(), slot.work(), slot.details());
      slots.save(same);
    }
    return true;
  }

  /** Copies all lines of a day to another. */
  @Transactional
  public String copyDay(Lifter lifter, LocalDate day, LocalDate to, SignedIn who) {
    turns.ofLifter(lifter.id());
    List<NewLine> lines = copied(lifter, Map.of(day, to));
    return lines.isEmpty() ? "Nothing copied: that day has no lines."
        : "Copied " + Count.of(add(lifter, lines, who).lines(), "line") + " to " + DAY.format(to) + ".";
  }

  /** The lines of days as they would stand on other days. */
  private List<NewLine> copied(Lifter lifter, Map<LocalDate, LocalDate> to) {
    List<NewLine> lines = new ArrayList<>();
    new TreeMap<>(to).forEach((from, day) -> rows.findByLifterIdAndDay(lifter.id(), from)
        .ifPresent(session -> lines.addAll(NewLine.copied(session, sessions.lines(session), day))));
    return lines;
  }

  /** Writes a day's lines on the same day of so many weeks to come; what is begun there stays, what stands there is taken out. */
  @Transactional
  public String repeatDay(Lifter lifter, LocalDate day, int weeks, SignedIn who) {
    turns.ofLifter(lifter.id());
    List<NewLine> lines = new ArrayList<>();
    for (int week = 1; week <= weeks; week++) {
      lines.addAll(copied(lifter, Map.of(day, day.plusWeeks(week))));
    }
    int written = lines.isEmpty() ? 0 : replace(lifter, lines, who).lines();
    return written == 0 ? "Nothing written: that day has no lines." : "Written for " + Count.of(weeks, "week")
        + " to come, in place of what stood there and was not begun. Undo takes it back.";
  }

  /** Takes out the lines of a day that are not begun; a sentence says what was done. */
  @Transactional
  public String clear(Lifter lifter, LocalDate day, SignedIn who) {
    turns.ofLifter(lifter.id());
    Optional<TrainingSession> session = rows.findByLifterIdAndDay(lifter.id(), day);
    if (session.isEmpty()) {
      return "Nothing stands on " + DAY.format(day);
    }
    return writer.change(lifter, Scope.days(Set.of(day)).withMethods(), who, () -> takeOut(session.get())).isPresent()
        ? "Taken out (Undo brings it back): the lines of " + DAY.format(day) : "Nothing to take out on " + DAY.format(day);
  }

  private void takeOut(TrainingSession session) {
    List<Slot> all = sessions.lines(session);
    Set<Long> begun = sessions.begun(all);
    List<Slot> out = all.stream().filter(slot -> !begun.contains(slot.id())
        && (slot.linkOf() == null || !begun.contains(slot.linkOf()))).toList();
    out.forEach(programs::takenOut);
    slots.deleteAll(out.stream().filter(slot -> slot.linkOf() != null).toList());
    slots.deleteAll(out.stream().filter(slot -> slot.linkOf() == null).toList());
  }

  /** Writes lines behind what stands on their days. */
  @Transactional
  public BatchWritten add(Lifter lifter, List<NewLine> lines, SignedIn who) {
    return write(lifter, lines, false, who);
  }

  /** Writes lines in place of what stands on their days and is not begun. */
  @Transactional
  public BatchWritten replace(Lifter lifter, List<NewLine> lines, SignedIn who) {
    return write(lifter, lines, true, who);
  }

  private BatchWritten write(Lifter lifter, List<NewLine> lines, boolean replace, SignedIn who) {
    turns.ofLifter(lifter.id());
    Map<LocalDate, List<NewLine>> byDay = lines.stream()
        .collect(Collectors.groupingBy(NewLine::day, LinkedHashMap::new, Collectors.toList()));
    Scope days = Scope.days(byDay.keySet());
    int[] written = {0};
    Optional<Long> change = writer.change(lifter, replace ? days.withMethods() : days, who, () -> byDay.forEach((day, all) -> {
      TrainingSession session = sessions.session(lifter, day);
      if (replace) {
        takeOut(session);
        slots.flush();
      }
      written[0] += put(session, all);
    }));
    return new BatchWritten(written[0], change);
  }

  private int put(TrainingSession session, List<NewLine> lines) {
    int position = sessions.lines(session).size() + 1;
    Group above = null;
    Integer number = null;
    int written = 0;
    Map<Integer, SlotKind> twice = new TreeMap<>();
    for (NewLine line : lines) {
      if (position > Sessions.MOST_LINES) {
        break;
      }
      if (line.group() == null) {
        number = null;
      } else if (!line.group().equals(above)) {
        number = session.groups().free();
        session.arrange(session.groups().with(new Groups.Numbered(number, line.group(), null)));
      }
      above = line.group();
      put(session, position++, line, number);
      written++;
      if (line.again() != null && number != null) {
        twice.putIfAbsent(number, line.again());
      }
    }
    rows.saveAndFlush(session);
    twice.forEach((group, kind) -> again(session, group, kind));
    return written;
  }

  private void again(TrainingSession session, int group, SlotKind kind) {
    List<Slot> lines = sessions.lines(session);
    Optional<Arrangement> twice = Sessions.arrangement(session, lines).again(group, kind);
    twice.ifPresent(arrangement -> sessions.arrange(session, lines, arrangement));
  }

  private void put(TrainingSession session, int position, NewLine line, @Nullable Integer groupNo) {
    Slot slot = new Slot(session.id(), position, line.kind(), line.lift(), line.work());
    slot.write(line.kind(), line.lift(), line.work(), line.details());
    slot.place(position, groupNo);
    slots.save(slot);
  }

  private TrainingSession session(Slot slot) {
    return rows.findById(slot.sessionId()).orElseThrow(NotFound::new);
  }

  private Lifter lifter(TrainingSession session) {
    return lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
  }
}
