package org.yarbel.web.board;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Groups;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.Days;
import org.yarbel.web.program.Programs;

/** Copies, moves, fills down and writes many lines at once; every batch is one change that can be undone. */
@Service
public class Batches {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final Days days;
  private final Programs programs;
  private final SlotRepository slots;
  private final TrainingSessionRepository sessions;
  private final LifterRepository lifters;
  private final Turns turns;

  Batches(Days days, Programs programs, SlotRepository slots, TrainingSessionRepository sessions, LifterRepository lifters, Turns turns) {
    this.turns = turns;
    this.days = days;
    this.programs = programs;
    this.slots = slots;
    this.sessions = sessions;
    this.lifters = lifters;
  }

  /**
   * A line to write into a day.
   *
   * @param group of equal ones, one after another, a group is made; null for none
   * @param again how the group is called where it is done a second time at the end of the session; null where it is not
   */
  public record NewLine(LocalDate day, SlotKind kind, String lift, String work, Details details, @Nullable Group group, @Nullable SlotKind again) {
    /** One whose group is done once. */
    public NewLine(LocalDate day, SlotKind kind, String lift, String work, Details details, @Nullable Group group) {
      this(day, kind, lift, work, details, group, null);
    }
  }

  /**
   * What came of writing lines.
   *
   * @param change to undo it by; empty when nothing was changed
   */
  public record Written(int lines, Optional<Long> change) {}

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
    return lines.isEmpty() || lines.stream().anyMatch(slot -> slot.linkOf() != null) || !days.begun(lines.stream().map(Slot::id).toList()).isEmpty();
  }

  private Optional<Long> shift(List<Slot> lines, LocalDate to, SignedIn who) {
    TrainingSession from = session(lines.get(0));
    Lifter lifter = lifter(from);
    return days.change(lifter, Set.of(from.day(), to), who, () -> {
      TrainingSession target = days.session(lifter, to);
      int position = days.lines(target).size();
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
    return add(lifter(session(slot)), List.of(copied(slot, to)), who).lines() == 0 ? full(to) : "Copied to " + DAY.format(to) + ".";
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
    int[] kept = {0};
    days.change(lifter, targets, who, () -> targets.forEach(day -> {
      TrainingSession target = days.session(lifter, day);
      List<Slot> there = days.lines(target);
      Slot same = there.stream().filter(other -> other.lift().equals(slot.lift()) && other.kind() == slot.kind()).findFirst().orElse(null);
      if (same != null && days.begun(List.of(same.id())).contains(same.id()) || there.size() >= Days.MOST_LINES) {
        kept[0]++;
      } else if (same != null) {
        same.write(slot.kind(), slot.lift(), slot.work(), slot.details());
        slots.save(same);
      } else {
        put(target, there.size() + 1, copied(slot, day), null);
      }
    }));
    return "Filled down " + (weeks - kept[0]) + (weeks - kept[0] == 1 ? " week." : " weeks.") + (kept[0] == 0 ? "" : " " + kept[0]
        + " begun or full ones stay.");
  }

  /** Copies all lines of a day to another. */
  @Transactional
  public String copyDay(Lifter lifter, LocalDate day, LocalDate to, SignedIn who) {
    turns.ofLifter(lifter.id());
    List<NewLine> lines = copied(lifter, Map.of(day, to));
    return lines.isEmpty() ? "Nothing copied: that day has no lines." : "Copied " + Count.of(add(lifter, lines, who).lines(), "line") + " to " + DAY.format(to) + ".";
  }

  /** The lines of days as they would stand on other days. */
  List<NewLine> copied(Lifter lifter, Map<LocalDate, LocalDate> to) {
    List<NewLine> lines = new ArrayList<>();
    for (Map.Entry<LocalDate, LocalDate> pair : new TreeMap<>(to).entrySet()) {
      sessions.findByLifterIdAndDay(lifter.id(), pair.getKey()).ifPresent(session -> {
        List<Slot> all = days.lines(session);
        all.stream().filter(slot -> slot.linkOf() == null).forEach(slot -> lines.add(new NewLine(pair.getValue(), slot.kind(), slot.lift(), slot.work(),
            slot.details(), session.groups().group(slot.groupNo()), again(slot, all))));
      });
    }
    return lines;
  }

  /** What the line is when it is done a second time; null where it is not. */
  public static @Nullable SlotKind again(Slot slot, List<Slot> all) {
    return all.stream().filter(other -> Objects.equals(other.linkOf(), slot.id())).map(Slot::kind).findFirst().orElse(null);
  }

  /** Writes a day's lines on the same day of so many weeks to come; what is begun there stays, what stands there is taken out. */
  @Transactional
  public String repeatDay(Lifter lifter, LocalDate day, int weeks, SignedIn who) {
    turns.ofLifter(lifter.id());
    List<NewLine> lines = new ArrayList<>();
    for (int week = 1; week <= weeks; week++) {
      lines.addAll(copied(lifter, Map.of(day, day.plusWeeks(week))));
    }
    Written written = lines.isEmpty() ? new Written(0, Optional.empty()) : replace(lifter, lines, who);
    return written.lines() == 0 ? "Nothing written: that day has no lines." : "Written for " + Count.of(weeks, "week")
        + " to come, in place of what stood there and was not begun. Undo takes it back.";
  }

  private static NewLine copied(Slot slot, LocalDate day) {
    return new NewLine(day, slot.kind(), slot.lift(), slot.work(), slot.details(), null);
  }

  /** Takes out the lines of a day that are not begun. */
  @Transactional
  public String clear(Lifter lifter, LocalDate day, SignedIn who) {
    turns.ofLifter(lifter.id());
    TrainingSession session = sessions.findByLifterIdAndDay(lifter.id(), day).orElse(null);
    return session == null ? "Nothing stands on" : days.change(lifter, Set.of(day), who, () -> takeOut(session))
        .map(id -> "Taken out (Undo brings it back): the lines of").orElse("Nothing to take out on");
  }

  private void takeOut(TrainingSession session) {
    List<Slot> all = days.lines(session);
    Set<Long> begun = days.begun(all.stream().map(Slot::id).toList());
    List<Slot> out = all.stream().filter(slot -> !begun.contains(slot.id()) && (slot.linkOf() == null || !begun.contains(slot.linkOf()))).toList();
    out.forEach(slot -> programs.takenOut(slot, true));
    slots.deleteAll(out.stream().filter(slot -> slot.linkOf() != null).toList());
    slots.deleteAll(out.stream().filter(slot -> slot.linkOf() == null).toList());
  }

  /** Writes lines behind what stands on their days. */
  @Transactional
  public Written add(Lifter lifter, List<NewLine> lines, SignedIn who) {
    turns.ofLifter(lifter.id());
    return write(lifter, lines, false, who);
  }

  /** Writes lines in place of what stands on their days and is not begun. */
  @Transactional
  public Written replace(Lifter lifter, List<NewLine> lines, SignedIn who) {
    turns.ofLifter(lifter.id());
    return write(lifter, lines, true, who);
  }

  private Written write(Lifter lifter, List<NewLine> lines, boolean replace, SignedIn who) {
    Map<LocalDate, List<NewLine>> byDay = lines.stream().collect(Collectors.groupingBy(NewLine::day, LinkedHashMap::new, Collectors.toList()));
    int[] written = {0};
    Optional<Long> change = days.change(lifter, new LinkedHashSet<>(byDay.keySet()), who, () -> byDay.forEach((day, all) -> {
      TrainingSession session = days.session(lifter, day);
      if (replace) {
        takeOut(session);
        slots.flush();
      }
      written[0] += put(session, all);
    }));
    return new Written(written[0], change);
  }

  private int put(TrainingSession session, List<NewLine> lines) {
    int position = days.lines(session).size() + 1;
    Group above = null;
    Integer number = null;
    int written = 0;
    Map<Integer, List<Second>> seconds = new TreeMap<>();
    for (NewLine line : lines) {
      if (position > Days.MOST_LINES) {
        break;
      }
      if (line.group() == null) {
        number = null;
      } else if (!line.group().equals(above)) {
        Groups groups = session.groups();
        number = groups.free();
        session.arrange(groups.with(new Groups.Numbered(number, line.group(), null)));
        sessions.save(session);
      }
      above = line.group();
      Slot slot = put(session, position++, line, number);
      written++;
      if (line.again() != null && number != null) {
        seconds.computeIfAbsent(number, first -> new ArrayList<>()).add(new Second(slot, line.again()));
      }
    }
    slots.flush();
    for (Map.Entry<Integer, List<Second>> second : seconds.entrySet()) {
      Groups groups = session.groups();
      int again = groups.free();
      session.arrange(groups.with(new Groups.Numbered(again, Objects.requireNonNull(groups.group(second.getKey())), second.getKey())));
      sessions.save(session);
      for (Second one : second.getValue()) {
        slots.save(Slot.again(one.slot(), position++, one.kind(), again));
      }
    }
    return written;
  }

  /** A line that is done a second time. */
  private record Second(Slot slot, SlotKind kind) {}

  private Slot put(TrainingSession session, int position, NewLine line, @Nullable Integer groupNo) {
    Slot slot = new Slot(session.id(), position, line.kind(), line.lift(), line.work());
    slot.write(line.kind(), line.lift(), line.work(), line.details());
    slot.place(position, groupNo);
    return slots.save(slot);
  }

  private static String full(LocalDate day) {
    return "Nothing copied: " + DAY.format(day) + " has " + Days.MOST_LINES + " lines already.";
  }

  private TrainingSession session(Slot slot) {
    return sessions.findById(slot.sessionId()).orElseThrow(NotFound::new);
  }

  private Lifter lifter(TrainingSession session) {
    return lifters.findById(session.lifterId()).orElseThrow(NotFound::new);
  }
}
