package org.yarbel.web.journal;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.plan.Arrangement;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;

/** A lifter's sessions as rows: found or made, read as an {@link Arrangement}, and put into one. */
@Component
public class Sessions {
  /** The most lines of a day. */
  public static final int MOST_LINES = 40;

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final Places places;

  Sessions(TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, Places places) {
    this.places = places;
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
  }

  /** The session of a day; made when there is none. */
  @Transactional
  public TrainingSession session(Lifter lifter, LocalDate day) {
    return sessions.findByLifterIdAndDay(lifter.id(), day).orElseGet(() -> sessions.saveAndFlush(new TrainingSession(lifter.id(), day)));
  }

  /** The lines of a day, in order. */
  @Transactional(readOnly = true)
  public List<Slot> lines(TrainingSession session) {
    return slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
  }

  /** Every line of a lifter's days, by day. */
  @Transactional(readOnly = true)
  public Map<LocalDate, List<Slot>> days(long lifterId, LocalDate from, LocalDate to) {
    Map<LocalDate, List<Slot>> days = new TreeMap<>();
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifterId, from, to);
    Map<Long, List<Slot>> lines = lines(all);
    all.forEach(session -> days.put(session.day(), lines.getOrDefault(session.id(), List.of())));
    return days;
  }

  private Map<Long, List<Slot>> lines(Collection<TrainingSession> all) {
    return all.isEmpty() ? Map.of() : slots.findBySessionIdInOrderByPositionAscIdAsc(all.stream().map(TrainingSession::id).toList())
        .stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
  }

  /** The lines among these that have sets logged. */
  @Transactional(readOnly = true)
  public Set<Long> begun(Collection<Slot> lines) {
    Set<UUID> begun = lines.isEmpty() ? Set.of() : new HashSet<>(log.begun(lines.stream().map(Slot::ref).toList()));
    return lines.stream().filter(line -> begun.contains(line.ref())).map(Slot::id).collect(Collectors.toSet());
  }

  /** Those of a session's lines of which sets are logged, or of what does them again. */
  @Transactional(readOnly = true)
  public Set<Long> begunOrAgain(List<Slot> lines) {
    Set<Long> begun = new HashSet<>(begun(lines));
    lines.stream().filter(line -> line.linkOf() != null && begun.contains(line.id())).map(Slot::linkOf).toList().forEach(begun::add);
    return begun;
  }

  /** How the lines of a session stand together. */
  public static Arrangement arrangement(TrainingSession session, List<Slot> lines) {
    Map<Long, Slot> byId = lines.stream().collect(Collectors.toMap(Slot::id, Function.identity()));
    return new Arrangement(lines.stream().map(line -> {
      Slot first = line.linkOf() == null ? null : byId.getOrDefault(line.linkOf(), line);
      return new Arrangement.Line(line.ref(), line.kind(), line.groupNo(), first == null ? null : first.ref());
    }).toList(), session.groups());
  }

  /** Days of a lifter as they stand. */
  List<PlanState.DayState> states(long lifterId, Collection<LocalDate> days) {
    List<TrainingSession> all = sessions.findByLifterIdAndDayIn(lifterId, days);
    Map<LocalDate, TrainingSession> byDay = all.stream().collect(Collectors.toMap(TrainingSession::day, Function.identity()));
    Map<Long, List<Slot>> lines = lines(all);
    List<PlanState.DayState> states = new ArrayList<>();
    for (LocalDate day : new TreeSet<>(days)) {
      TrainingSession session = byDay.get(day);
      states.add(session == null ? PlanState.DayState.empty(day)
          : PlanState.DayState.of(session, place(session), lines.getOrDefault(session.id(), List.of())));
    }
    return states;
  }

  private @Nullable UUID place(TrainingSession session) {
    return session.placeId() == null ? null : places.one(session.placeId()).ref();
  }

  /** The sessions there are of these days. */
  List<TrainingSession> of(long lifterId, Collection<LocalDate> days) {
    return days.isEmpty() ? List.of() : sessions.findByLifterIdAndDayIn(lifterId, days);
  }

  /** Lets a session be where it was. */
  void place(TrainingSession session, @Nullable UUID place) {
    session.moveTo(place == null ? null : Long.valueOf(places.known(place).id()));
  }

  /** Puts sessions in order after their lines changed; true when something was new. */
  boolean settle(Collection<TrainingSession> all) {
    Map<Long, List<Slot>> lines = lines(all);
    boolean anew = false;
    for (TrainingSession session : all) {
      List<Slot> there = lines.getOrDefault(session.id(), List.of());
      Set<Long> begun = begun(there.stream().filter(line -> line.linkOf() != null).toList());
      Set<UUID> stay = there.stream().filter(line -> begun.contains(line.id())).map(Slot::ref).collect(Collectors.toSet());
      anew |= arrange(session, there, arrangement(session, there).settled(stay::contains));
    }
    return anew;
  }

  /** Lets the lines of a session stand in an arrangement: they are placed, what is done again is added, and what is in it no more goes. */
  public boolean arrange(TrainingSession session, List<Slot> there, Arrangement arrangement) {
    boolean anew = !session.groups().equals(arrangement.groups());
    session.arrange(arrangement.groups());
    Map<UUID, Slot> byRef = new HashMap<>();
    there.forEach(line -> byRef.put(line.ref(), line));
    Map<Long, Slot> byId = there.stream().collect(Collectors.toMap(Slot::id, Function.identity()));
    List<Slot> order = new ArrayList<>();
    for (Arrangement.Line line : arrangement.lines()) {
      Slot slot = byRef.remove(line.ref());
      if (slot == null) {
        slot = Slot.again(line.ref(), byRef(there, line.again()), line.kind(), Objects.requireNonNull(line.group()));
        slot.place(order.isEmpty() ? 1 : order.get(order.size() - 1).position() + 1, line.group());
        anew = true;
      } else if (slot.linkOf() != null && byId.containsKey(slot.linkOf())) {
        anew |= slot.follow(byId.get(slot.linkOf()));
      }
      anew |= !Objects.equals(slot.groupNo(), line.group());
      slot.place(slot.position(), line.group());
      order.add(slot);
    }
    anew |= number(order) || !byRef.isEmpty();
    // what follows a line goes before it
    slots.deleteAll(byRef.values().stream().sorted(Comparator.comparing(slot -> slot.linkOf() == null)).toList());
    slots.saveAll(order);
    sessions.save(session);
    slots.flush();
    return anew;
  }

  private static Slot byRef(List<Slot> all, @Nullable UUID ref) {
    return all.stream().filter(slot -> slot.ref().equals(ref)).findFirst().orElseThrow();
  }

  /** Numbers lines in their order, those that stand in it already not anew; true when something was new. */
  private static boolean number(List<Slot> order) {
    boolean stands = true;
    for (int i = 1; i < order.size(); i++) {
      stands &= order.get(i).position() > order.get(i - 1).position();
    }
    for (int i = 0; !stands && i < order.size(); i++) {
      order.get(i).place(i + 1, order.get(i).groupNo());
    }
    return !stands;
  }
}
