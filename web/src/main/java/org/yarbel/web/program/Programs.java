package org.yarbel.web.program;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.plan.progress.Done;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.account.SignedIn;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.plan.Groups;
import org.yarbel.web.plan.LifterContext;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/**
 * Lets the methods of a lifter write the days ahead. What a coach edited, took out or moved stays; what is begun or behind is
 * never touched. An easy week does not count as exposures: the next week goes on where the one before ended.
 */
@Service
public class Programs {
  /** So many weeks are written, this one included. */
  public static final int WEEKS_AHEAD = 4;

  private static final int MOST_REMARK = 600;
  private static final int LOOKED_BACK = 20;

  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final SlotRepository slots;
  private final TrainingSessionRepository sessions;
  private final LoggedSetRepository log;
  private final LiftNumbersRepository numbers;
  private final LifterRepository lifters;
  private final LifterContexts contexts;
  private final Issuing issuing;
  private final Days days;
  private final ClubClock clock;

  Programs(ProgressionRepository progressions, DeloadWeekRepository deloads, SlotRepository slots, TrainingSessionRepository sessions,
      LoggedSetRepository log,
      LiftNumbersRepository numbers, LifterRepository lifters, LifterContexts contexts, Issuing issuing, Days days, ClubClock clock) {
    this.progressions = progressions;
    this.deloads = deloads;
    this.slots = slots;
    this.sessions = sessions;
    this.log = log;
    this.numbers = numbers;
    this.lifters = lifters;
    this.contexts = contexts;
    this.issuing = issuing;
    this.days = days;
    this.clock = clock;
  }

  /** What a lifter's methods write on one day: the number of the exposure, under 0 in an easy week, and what to do. */
  private record Planned(LocalDate day, int number, Exposure exposure, @Nullable Deload deload) {}

  /** Writes the weeks ahead, the change to be undone as one. */
  @Transactional
  public Optional<Long> write(Lifter lifter, SignedIn who) {
    return days.change(lifter, ahead(lifter, clock.today()), who, () -> rewrite(lifter, contexts.of(lifter, null), clock.today(), WEEKS_AHEAD));
  }

  /** Every day that a lifter's methods write on or have written on, from a day on. */
  private Set<LocalDate> ahead(Lifter lifter, LocalDate today) {
    Set<LocalDate> all = new LinkedHashSet<>();
    LocalDate monday = monday(today);
    for (LocalDate day = today; day.isBefore(monday.plusWeeks(WEEKS_AHEAD + 1L)); day = day.plusDays(1)) {
      all.add(day);
    }
    return all;
  }

  /** Writes the next exposure anew after a set of a line was logged, where a method with memory wrote the line. */
  @Transactional
  public void logged(long slotId) {
    Slot slot = slots.findById(slotId).orElse(null);
    Slot.Origin origin = slot == null ? null : slot.origin();
    if (origin == null || origin.line() > 0) {
      return;
    }
    Progression progression = progressions.findById(origin.progressionId()).orElseThrow(NotFound::new);
    if (progression.method().rule().memory()) {
      Lifter lifter = lifters.findById(progression.lifterId()).orElseThrow(NotFound::new);
      write(lifter, contexts.of(lifter, null), clock.today(), WEEKS_AHEAD);
    }
  }

  /**
   * Writes what the methods say of a number of weeks from that of a day on, touching nothing before that day.
   *
   * @param context the lifter's numbers and kit as of that day
   */
  @Transactional
  public void write(Lifter lifter, LifterContext context, LocalDate from, int weeks) {
    Set<Long> changed = rewrite(lifter, context, from, weeks);
    slots.flush();
    sessions.findAllById(changed).forEach(session -> issuing.planChanged(session, lifter));
  }

  /** Writes, and tells in which sessions something is new: only their cards are issued anew. */
  private Set<Long> rewrite(Lifter lifter, LifterContext context, LocalDate from, int weeks) {
    List<Progression> all = progressions.findByLifterIdOrderById(lifter.id());
    Set<Long> touched = new HashSet<>();
    if (all.isEmpty()) {
      return touched;
    }
    LocalDate until = monday(from).plusWeeks(weeks);
    LocalDate first = all.stream().map(Progression::startsOn).min(Comparator.naturalOrder()).orElse(from);
    Map<LocalDate, Deload> easy = deloads.findByLifterIdAndMondayBetween(lifter.id(), first, until.plusYears(1)).stream()
        .collect(Collectors.toMap(DeloadWeek::monday, DeloadWeek::kind));
    Map<Long, List<Slot>> written = slots.findByProgressionIdIn(all.stream().map(Progression::id).toList()).stream()
        .collect(Collectors.groupingBy(slot -> Objects.requireNonNull(slot.origin()).progressionId()));
    Map<Long, TrainingSession> bySlot = sessionsOf(written.values());
    Map<Long, List<LoggedSetRow>> rows = written.isEmpty() ? Map.of() : log.ofSlots(written.values().stream().flatMap(List::stream)
        .map(Slot::id).toList()).stream()
        .collect(Collectors.groupingBy(LoggedSetRow::slotId));
    for (Progression progression : all) {
      List<Slot> mine = written.getOrDefault(progression.id(), List.of());
      Brief brief = brief(progression, context);
      List<Done> done = done(mine, rows);
      List<Planned> planned = planned(progression, brief, done, easy, from, until);
      new Writing(lifter, progression, brief.chart(), mine, rows.keySet(), bySlot, from, touched).write(planned);
      planned.stream().filter(p -> p.number() >= 0 && p.exposure().training() != null).findFirst()
          .ifPresent(next -> train(lifter, progression, Objects.requireNonNull(next.exposure().training())));
    }
    return touched;
  }

  private Map<Long, TrainingSession> sessionsOf(Collection<List<Slot>> written) {
    Map<Long, TrainingSession> byId = sessions.findAllById(written.stream().flatMap(List::stream).map(Slot::sessionId).distinct().toList()).stream()
        .collect(Collectors.toMap(TrainingSession::id, session -> session));
    Map<Long, TrainingSession> bySlot = new HashMap<>();
    written.forEach(all -> all.forEach(slot -> bySlot.put(slot.id(), byId.get(slot.sessionId()))));
    return bySlot;
  }

  private void train(Lifter lifter, Progression progression, Mass training) {
    numbers.findByLifterIdAndLift(lifter.id(), progression.lift()).ifPresent(own -> own.train(training));
  }

  private static Brief brief(Progression progression, LifterContext context) {
    Lift lift = context.lift(progression.lift());
    LifterContext.Known known = context.known().get(lift.key());
    return new Brief(lift, context.unit(), context.numbers(lift), known == null ? EffortChart.HOUSE : known.chart(),
        context.kit().of(lift, null).map(context.kit()::search).orElse(null),
        Settings.check(progression.method(), progression.settings(), context.lifts()).settings(), progression.perWeek(), context.lifts());
  }

  /** The exposures behind with every set of the first line logged. */
  private static List<Done> done(List<Slot> mine, Map<Long, List<LoggedSetRow>> rows) {
    List<Done> done = new ArrayList<>();
    for (Slot slot : mine) {
      Slot.Origin origin = Objects.requireNonNull(slot.origin());
      List<LoggedSetRow> sets = rows.getOrDefault(slot.id(), List.of());
      int asked = WorkLine.parse(slot.work()).line().parts().stream().mapToInt(part -> part.work().sets()).sum();
      if (origin.line() == 0 && origin.exposure() >= 0 && sets.size() >= asked) {
        done.add(new Done(origin.exposure(), slot.lift(), sets.stream()
            .map(row -> new Done.DoneSet(row.loggedSet().place().part(), row.load(), row.reps(), row.askedReps(), row.askedReps() == null))
                .toList()));
      }
    }
    done.sort(Comparator.comparingInt(Done::number));
    return done;
  }

  /** The exposures of the days from one to another. */
  private static List<Planned> planned(Progression progression, Brief brief, List<Done> done, Map<LocalDate, Deload> easy, LocalDate from,
      LocalDate until) {
    List<Planned> planned = new ArrayList<>();
    Set<Integer> lifted = done.stream().map(Done::number).collect(Collectors.toSet());
    int number = 0;
    int occurrence = 0;
    int ahead = 0;
    int easyDay = 0;
    for (LocalDate monday = progression.startsOn(); monday.isBefore(until); monday = monday.plusWeeks(1)) {
      Deload deload = easy.get(monday);
      int inWeek = number;
      for (DayOfWeek of : progression.days()) {
        LocalDate day = monday.plusDays(of.getValue() - 1L);
        boolean turn = progression.turn() == Progression.Turn.EVERY || occurrence % 2 == (progression.turn() == Progression.Turn.FIRST ? 0 : 1);
        occurrence++;
        if (!turn || progression.endsOn() != null && !day.isBefore(progression.endsOn())) {
          continue;
        }
        int at = deload == null ? number++ : inWeek++;
        int key = deload == null ? at : -++easyDay;
        if (!day.isBefore(from) && day.isBefore(until) && !(deload == null && lifted.contains(at))) {
          Exposure exposure = progression.method().rule().write(brief, done, at, ahead);
          planned.add(new Planned(day, key, exposure, deload));
          ahead += deload == null ? 1 : 0;
        }
      }
    }
    return planned;
  }

  /** One method while it is written into the days. */
  private final class Writing {
    private final Lifter lifter;
    private final Progression progression;
    private final EffortChart chart;
    private final Map<String, Slot> open = new LinkedHashMap<>();
    private final Set<String> closed = new HashSet<>();
    private final Set<Long> touched;
    private final Map<Long, TrainingSession> bySlot;

    Writing(Lifter lifter, Progression progression, EffortChart chart, List<Slot> mine, Set<Long> begun, Map<Long, TrainingSession> bySlot,
        LocalDate from, Set<Long> touched) {
      this.lifter = lifter;
      this.progression = progression;
      this.chart = chart;
      this.touched = touched;
      this.bySlot = bySlot;
      for (Slot slot : mine) {
        Slot.Origin origin = Objects.requireNonNull(slot.origin());
        String key = origin.exposure() + "." + origin.line();
        boolean ahead = !Objects.requireNonNull(bySlot.get(slot.id())).day().isBefore(from);
        if (ahead && !begun.contains(slot.id())) {
          open.put(key, slot);
        } else {
          closed.add(key);
        }
      }
      closed.addAll(progression.leftOut());
    }

    void write(List<Planned> planned) {
      for (Planned exposure : planned) {
        int line = 0;
        Group above = null;
        Integer groupNo = null;
        for (Exposure.Line next : exposure.exposure().lines()) {
          groupNo = next.group() == null ? null : next.group().equals(above) ? groupNo : null;
          groupNo = write(exposure, line++, next, groupNo);
          above = next.group();
        }
      }
      open.values().forEach(this::giveUp);
    }

    private @Nullable Integer write(Planned planned, int number, Exposure.Line line, @Nullable Integer groupNo) {
      Slot.Origin origin = new Slot.Origin(progression.id(), planned.number(), number, planned.day());
      String key = origin.exposure() + "." + origin.line();
      Optional<String> work = Optional.of(normal(line.work()));
      if (planned.deload() != null && !planned.exposure().deload()) {
        work = planned.deload().applied(work.get(), chart);
      }
      if (closed.contains(key) && !open.containsKey(key) || work.isEmpty()) {
        return groupNo;
      }
      Slot slot = open.remove(key);
      if (slot == null) {
        TrainingSession session = days.session(lifter, planned.day());
        if (days.lines(session).size() >= Days.MOST_LINES) {
          return groupNo;
        }
        slot = new Slot(session.id(), 0, line.kind(), line.lift(), work.get());
        Integer group = line.group() == null ? null : groupNo != null ? groupNo : grouped(session, line.group());
        slot.place(0, group);
        days.insert(session, slot);
        touched.add(session.id());
      } else {
        followDay(slot, planned.day());
        String before = Slot.said(slot.lift(), slot.work()) + slot.trainingNg();
        if (!slot.edited()) {
          slot.write(slot.kind(), line.lift(), work.get(), slot.details());
        }
        Mass training = planned.exposure().training();
        if (!before.equals(Slot.said(slot.lift(), slot.work()) + (training == null ? null : Long.valueOf(training.nanograms())))) {
          touched.add(slot.sessionId());
        }
      }
      say(slot, origin, line, work.get(), planned);
      slots.save(slot);
      return slot.groupNo();
    }

    /** An exposure that is put off takes its line along, unless somebody moved the line. */
    private void followDay(Slot slot, LocalDate day) {
      LocalDate written = Objects.requireNonNull(slot.origin()).day();
      TrainingSession stands = Objects.requireNonNull(bySlot.get(slot.id()));
      if (!written.equals(day) && stands.day().equals(written)) {
        TrainingSession target = days.session(lifter, day);
        touched.addAll(List.of(stands.id(), target.id()));
        Integer group = slot.groupNo();
        slot.moveTo(target.id(), 0);
        if (group != null) {
          stands.groups().numbered(group).ifPresent(numbered -> slot.place(0, target.groups().all().stream()
              .filter(g -> g.group().equals(numbered.group()) && g.again() == null).map(Groups.Numbered::number).findFirst()
                  .orElseGet(() -> grouped(target, numbered.group()))));
        }
        days.insert(target, slot);
      }
    }

    private Integer grouped(TrainingSession session, Group group) {

      Groups groups = session.groups();
      int number = groups.free();
      session.arrange(groups.with(new Groups.Numbered(number, group, null)));
      sessions.save(session);
      return number;
    }

    private void say(Slot slot, Slot.Origin origin, Exposure.Line line, String work, Planned planned) {
      Mass training = planned.exposure().training();
      String own = planned.exposure().deload() ? "The method's own easy week: " + Deload.HALF_LOAD.ceiling() + ". " : "";
      String remark = origin.line() > 0 ? "" : own + String.join(" ", planned.exposure().remarks());
      slot.originate(origin, Slot.said(line.lift(), work), planned.exposure().forecast(), training == null ? null : training.nanograms(),
          remark.isEmpty() ? null : remark.strip().substring(0, Math.min(MOST_REMARK, remark.strip().length())));
    }

    /** What the method writes no longer goes; what somebody edited stays as their own line. */
    private void giveUp(Slot slot) {
      touched.add(slot.sessionId());
      if (slot.edited()) {
        slot.originate(null, null, false, null, null);
        slots.save(slot);
      } else {
        slots.delete(slot);
      }
      slots.flush();
    }
  }

  private static String normal(String work) {
    return WorkLine.parse(work).line().toString();
  }

  /** The Monday of a day's week. */
  public static LocalDate monday(LocalDate day) {
    return day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY));
  }

  /** A line a coach takes out is not written again; called before it goes. */
  @Transactional
  public void takenOut(Slot slot, boolean out) {
    Slot.Origin origin = slot.origin();
    if (origin != null) {
      progressions.findById(origin.progressionId()).ifPresent(progression -> {
        progression.leaveOut(origin.exposure(), origin.line(), out);
        progressions.save(progression);
      });
    }
  }

  /** The last easy week before a Monday, placed or a method's own; empty when there was none. */
  @Transactional(readOnly = true)
  public Optional<LocalDate> lastEasyWeek(Lifter lifter, List<Progression> all, LocalDate before) {
    Optional<LocalDate> placed = deloads.findFirstByLifterIdAndMondayLessThanOrderByMondayDesc(lifter.id(), before).map(DeloadWeek::monday);
    Optional<LocalDate> own = all.stream().map(p -> lastOwn(p, before)).flatMap(Optional::stream).max(Comparator.naturalOrder());
    return placed.isPresent() && own.isPresent() ? Optional.of(placed.get().isAfter(own.get()) ? placed.get() : own.get()) : placed.or(() -> own);
  }

  private static Optional<LocalDate> lastOwn(Progression progression, LocalDate before) {
    return IntStream.rangeClosed(1, LOOKED_BACK).mapToObj(before::minusWeeks).filter(week -> ownEasyWeek(List.of(progression), week)).findFirst();
  }

  /** Whether a week is an easy one of a method's own. */
  public static boolean ownEasyWeek(List<Progression> methods, LocalDate monday) {
    return methods.stream().anyMatch(progression -> {
      int week = (int) ChronoUnit.WEEKS.between(progression.startsOn(), monday);
      Settings settings = Settings.check(progression.method(), progression.settings(), Catalogue.standard()).settings();
      return week >= 0 && progression.method().rule().easy(settings, week);
    });
  }

  /** What methods say of a week where they have nothing to do, such as a week off. */
  public static List<String> silentRemarks(List<Progression> methods, LifterContext context, LocalDate monday) {
    List<String> remarks = new ArrayList<>();
    for (Progression progression : methods) {
      planned(progression, brief(progression, context), List.of(), Map.of(), monday, monday.plusWeeks(1)).stream()
          .filter(planned -> planned.exposure().lines().isEmpty()).findFirst()
          .ifPresent(planned -> remarks.add(context.lift(progression.lift()).name() + ": " + String.join(" ", planned.exposure().remarks())));
    }
    return remarks;
  }
}
