package org.yarbel.web.program;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.Change;
import org.yarbel.web.club.ChangeRepository;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Groups;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import tools.jackson.databind.json.JsonMapper;

/** Changes whole days of a lifter's plan at once, keeping what stood before and after, so that it can be undone and redone. */
@Service
public class Days {
  public static final String SUBJECT = "days";

  /** The most lines of a day. */
  public static final int MOST_LINES = 40;

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final ChangeRepository changes;
  private final LifterRepository lifters;
  private final Setup setup;
  private final Issuing issuing;
  private final ClubClock clock;
  private final JsonMapper json = new JsonMapper();
  private final Turns turns;

  Days(TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, ChangeRepository changes, LifterRepository lifters,
      Setup setup, Issuing issuing, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.setup = setup;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.changes = changes;
    this.lifters = lifters;
    this.issuing = issuing;
    this.clock = clock;
  }

  /** A line of a day as it stands; its id and the place of the line it follows are told apart from what it says. */
  private record LineState(@Nullable Long id, SlotKind kind, String lift, String work, Details details, @Nullable Integer groupNo,
      @Nullable Integer follows,
      Slot.@Nullable Origin origin, @Nullable String written, boolean forecast, @Nullable Long trainingNg, @Nullable String remark) {
    LineState said() {
      return new LineState(null, kind, lift, work, details, groupNo, follows, null, null, false, null, null);
    }
  }

  /** A day as it stands. */
  private record DayState(String day, @Nullable Long placeId, String groups, List<LineState> lines) {
    boolean sameAs(DayState other) {
      return day.equals(other.day) && groups.equals(other.groups) && lines.stream().map(LineState::said).toList()
          .equals(other.lines.stream().map(LineState::said).toList());
    }
  }

  /**
   * Days as they stand, with what the lifter's methods and easy weeks are set to.
   *
   * @param setup null in records of old
   */
  private record State(List<DayState> days, Setup.@Nullable State setup) {}

  /** Does something to days of a lifter, in which nothing was begun or only lines not begun are touched. */
  @FunctionalInterface
  public interface Edit {
    void apply();
  }

  /**
   * Changes days and keeps the record of it.
   *
   * @return the change, to undo it by; empty when nothing was changed
   */
  @Transactional
  public Optional<Long> change(Lifter lifter, Collection<LocalDate> days, SignedIn who, Edit edit) {
    turns.ofLifter(lifter.id());
    State before = new State(states(lifter.id(), days), setup.of(lifter.id()));
    edit.apply();
    slots.flush();
    State after = new State(states(lifter.id(), days), setup.of(lifter.id()));
    List<LocalDate> changed = changed(before.days(), after.days());
    if (changed.isEmpty() && Objects.equals(before.setup(), after.setup())) {
      return Optional.empty();
    }
    issueAnew(lifter, changed);
    return Optional.of(changes.save(Change.ofDays(who.accountId(), clock.now(), lifter.id(), json.writeValueAsString(before),
        json.writeValueAsString(after)).saying(words(before, after, changed))).id());
  }

  /** What a change did: the line where it is one, else how many lines of how many days. */
  private static String words(State before, State after, List<LocalDate> changed) {
    boolean setAnew = !Objects.equals(before.setup(), after.setup());
    if (changed.isEmpty()) {
      return "methods or easy weeks";
    }
    List<LineState> out = new ArrayList<>();
    List<LineState> in = new ArrayList<>();
    for (int i = 0; i < before.days().size(); i++) {
      List<LineState> was = before.days().get(i).lines().stream().map(LineState::said).toList();
      List<LineState> is = after.days().get(i).lines().stream().map(LineState::said).toList();
      was.stream().filter(line -> !is.contains(line)).forEach(out::add);
      is.stream().filter(line -> !was.contains(line)).forEach(in::add);
    }
    String days = changed.size() == 1 ? DAY.format(changed.get(0)) : changed.size() + " days";
    int lines = Math.max(out.size(), in.size());
    String what = lines == 0 ? "order or groups" : Count.of(lines, "line");
    if (lines == 1) {
      what = Stream.concat(in.stream(), out.stream()).findFirst().map(line -> line.lift().replace('-', ' ') + " " + line.work()).orElse("");
    }
    return (setAnew ? "methods, with " : "") + what + (changed.size() == 1 ? ", " : " of ") + days;
  }

  private State read(String text) {
    return text.startsWith("[") ? new State(List.of(json.readValue(text, DayState[].class)), null) : json.readValue(text, State.class);
  }

  /** The days that are not as they were; lists of the same days. */
  private static List<LocalDate> changed(List<DayState> before, List<DayState> after) {
    return IntStream.range(0, before.size()).filter(i -> !before.get(i).sameAs(after.get(i))).mapToObj(i -> LocalDate.parse(before.get(i)
        .day())).toList();
  }

  private void issueAnew(Lifter lifter, Collection<LocalDate> days) {
    issuing.plansChanged(sessions.findByLifterIdAndDayIn(lifter.id(), days), lifter);
  }

  private List<DayState> states(long lifterId, Collection<LocalDate> days) {
    Map<LocalDate, TrainingSession> byDay = sessions.findByLifterIdAndDayIn(lifterId, days).stream()
        .collect(Collectors.toMap(TrainingSession::day, s -> s));
    Map<Long, List<Slot>> lines = slots.findBySessionIdInOrderByPositionAscIdAsc(byDay.values().stream().map(TrainingSession::id).toList()).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    List<DayState> states = new ArrayList<>();
    for (LocalDate day : new TreeSet<>(days)) {
      TrainingSession session = byDay.get(day);
      states.add(session == null ? new DayState(day.toString(), null, "[]", List.of())
          : new DayState(day.toString(), session.placeId(), session.groups().text(), lines(lines.getOrDefault(session.id(), List.of()))));
    }
    return states;
  }

  private static List<LineState> lines(List<Slot> all) {
    List<Long> ids = all.stream().map(Slot::id).toList();
    return all.stream().map(slot -> new LineState(slot.id(), slot.kind(), slot.lift(), slot.work(), slot.details(), slot.groupNo(),
        slot.linkOf() == null ? null : Integer.valueOf(ids.indexOf(slot.linkOf())), slot.origin(), slot.written(), slot.forecast(),
            slot.trainingNg(), slot.remark())).toList();
  }

  /** Puts days back as they stood before a change; a sentence says what was done, or why not. */
  @Transactional
  public String undo(Change change) {
    turns.ofLifter(change.lifterId());
    return apply(change, Objects.requireNonNull(change.after()), Objects.requireNonNull(change.before()), "The days stand as before.", Change::undo);
  }

  /** Does a change again. */
  @Transactional
  public String redo(Change change) {
    turns.ofLifter(change.lifterId());
    return apply(change, Objects.requireNonNull(change.before()), Objects.requireNonNull(change.after()), "The change is done again.", Change::redo);
  }

  private String apply(Change change, String fromText, String toText, String said, Consumer<Change> mark) {
    State was = read(fromText);
    State becomes = read(toText);
    List<DayState> from = was.days();
    List<DayState> to = becomes.days();
    Lifter lifter = lifters.findById(change.lifterId()).orElseThrow(NotFound::new);
    List<LocalDate> days = to.stream().map(state -> LocalDate.parse(state.day())).toList();
    List<DayState> now = states(lifter.id(), days);
    for (int i = 0; i < now.size(); i++) {
      if (!now.get(i).sameAs(from.get(i))) {
        return now.get(i).day() + " was changed again since, by a later change or by a method after a log: this one stays.";
      }
    }
    Set<Long> begun = new HashSet<>(begun(now.stream().flatMap(state -> state.lines().stream()).map(LineState::id).toList()));
    for (int i = 0; i < now.size(); i++) {
      List<LineState> kept = to.get(i).lines().stream().map(LineState::said).toList();
      if (now.get(i).lines().stream().anyMatch(line -> begun.contains(line.id()) && !kept.contains(line.said()))) {
        return "Sets of " + now.get(i).day() + " are logged: only what lies ahead can change.";
      }
    }
    restore(lifter, now, to);
    slots.flush();
    boolean setAnew = was.setup() != null && becomes.setup() != null && !becomes.setup().equals(was.setup());
    if (setAnew) {
      setup.restore(lifter.id(), was.setup(), becomes.setup());
    }
    mark.accept(change);
    issueAnew(lifter, changed(now, to));
    return said + (setAnew ? " Methods and easy weeks too." : "");
  }

  private void restore(Lifter lifter, List<DayState> now, List<DayState> to) {
    Map<Long, Slot> there = new HashMap<>();
    slots.findAllById(now.stream().flatMap(state -> state.lines().stream()).map(LineState::id).toList()).forEach(slot -> there.put(slot.id(), slot));
    for (DayState day : to) {
      TrainingSession session = session(lifter, LocalDate.parse(day.day()));
      session.moveTo(day.placeId());
      session.arrange(Groups.of(day.groups()));
      sessions.save(session);
      List<Slot> lines = new ArrayList<>();
      for (LineState line : day.lines()) {
        Slot kept = line.id() == null ? null : there.remove(line.id());
        Slot slot = kept != null ? kept : new Slot(session.id(), lines.size() + 1, line.kind(), line.lift(), line.work());
        slot.moveTo(session.id(), lines.size() + 1);
        slot.place(lines.size() + 1, line.groupNo());
        slot.write(line.kind(), line.lift(), line.work(), line.details());
        slot.originate(line.origin(), line.written(), line.forecast(), line.trainingNg(), line.remark());
        lines.add(slots.save(slot));
      }
      for (int i = 0; i < lines.size(); i++) {
        Integer first = day.lines().get(i).follows();
        lines.get(i).follows(first == null || first < 0 ? null : Long.valueOf(lines.get(first).id()));
      }
    }
    // what follows a line goes before it
    slots.deleteAll(there.values().stream().sorted(Comparator.comparing(slot -> slot.linkOf() == null)).toList());
  }

  /** The session of a day; made when there is none. */
  @Transactional
  public TrainingSession session(Lifter lifter, LocalDate day) {
    return sessions.findByLifterIdAndDay(lifter.id(), day).orElseGet(() -> sessions.saveAndFlush(new TrainingSession(lifter.id(), day)));
  }

  /** The lines among these that have sets logged. */
  @Transactional(readOnly = true)
  public Set<Long> begun(Collection<Long> slotIds) {
    return slotIds.isEmpty() ? Set.of() : new HashSet<>(log.begun(slotIds));
  }

  /** The lines of a day, in order. */
  @Transactional(readOnly = true)
  public List<Slot> lines(TrainingSession session) {
    return slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
  }

  /** Every line of a lifter's days, by day. */
  @Transactional(readOnly = true)
  public Map<LocalDate, List<Slot>> week(long lifterId, LocalDate from, LocalDate to) {
    Map<LocalDate, List<Slot>> days = new TreeMap<>();
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifterId, from, to);
    Map<Long, List<Slot>> lines = slots.findBySessionIdInOrderByPositionAscIdAsc(all.stream().map(TrainingSession::id).toList()).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    all.forEach(session -> days.put(session.day(), lines.getOrDefault(session.id(), List.of())));
    return days;
  }
}
