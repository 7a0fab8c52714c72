package org.yarbel.web.program;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Written;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.core.plan.progress.Countdown;
import org.yarbel.core.plan.progress.Done;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.core.plan.progress.Occasions;
import org.yarbel.core.plan.progress.Settings;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.journal.Edit;
import org.yarbel.web.journal.PlanWriter;
import org.yarbel.web.journal.Scope;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LeftSetsRepository;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/**
 * Lets the methods of a lifter write the days ahead. What a coach edited, took out or moved stays; what is begun or behind is
 * never touched. An easy week does not count as exposures: the next week goes on where the one before ended.
 */
@Service
public class Programs {
  /** So many weeks are written, this one included. */
  public static final int WEEKS_AHEAD = 4;

  /** The most that are written when a coach wants to see further. */
  public static final int MOST_AHEAD = 26;

  private static final SoFar NOTHING = new SoFar(Map.of(), Map.of(), Map.of(), Map.of());

  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final SlotRepository slots;
  private final TrainingSessionRepository sessions;
  private final LoggedSetRepository log;
  private final LeftSetsRepository left;
  private final LiftNumbersRepository numbers;
  private final LifterRepository lifters;
  private final LifterContexts contexts;
  private final PlanWriter writer;
  private final ClubClock clock;
  private final Turns turns;

  Programs(ProgressionRepository progressions, DeloadWeekRepository deloads, SlotRepository slots, TrainingSessionRepository sessions,
      LoggedSetRepository log, LeftSetsRepository left,
      LiftNumbersRepository numbers, LifterRepository lifters, LifterContexts contexts, PlanWriter writer, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.progressions = progressions;
    this.deloads = deloads;
    this.slots = slots;
    this.sessions = sessions;
    this.log = log;
    this.left = left;
    this.numbers = numbers;
    this.lifters = lifters;
    this.contexts = contexts;
    this.writer = writer;
    this.clock = clock;
  }

  /**
   * Writes the weeks ahead, the change to be undone as one.
   *
   * @param first what is set otherwise before they are written, and undone with them
   */
  @Transactional
  public Optional<Long> write(Lifter lifter, SignedIn who, Edit first) {
    return write(lifter, clock.today(), who, first);
  }

  /** The same at least to the week of a day; {@link #MOST_AHEAD} weeks are the most. */
  @Transactional
  public Optional<Long> write(Lifter lifter, LocalDate to, SignedIn who) {
    return write(lifter, to, who, () -> { });
  }

  /** The same with something set otherwise before, on days up to one. */
  @Transactional
  public Optional<Long> write(Lifter lifter, LocalDate to, SignedIn who, Edit first) {
    turns.ofLifter(lifter.id());
    LocalDate today = clock.today();
    LocalDate monday = monday(today);
    int weeks = (int) Math.min(Math.max(WEEKS_AHEAD, ChronoUnit.WEEKS.between(monday, monday(to)) + 1), MOST_AHEAD);
    LocalDate end = later(later(monday.plusWeeks(weeks), to), writtenTo(progressions.findByLifterIdOrderById(lifter.id())).orElse(today)).plusWeeks(1);
    return writer.change(lifter, Scope.days(today.datesUntil(end).toList()).withMethods(), who, () -> {
      first.apply();
      rewrite(lifter, contexts.of(lifter, null), today, weeks);
    });
  }

  private static LocalDate later(LocalDate one, LocalDate other) {
    return one.isAfter(other) ? one : other;
  }

  /** The last day that methods have written a line for; empty when there is none. */
  @Transactional(readOnly = true)
  public Optional<LocalDate> writtenTo(List<Progression> methods) {
    return methods.isEmpty() ? Optional.empty() : Optional.ofNullable(slots.lastPlanned(methods.stream().map(Progression::ref).toList()));
  }

  /**
   * Goes on after a set was logged of a line that a method wrote: those with memory write the next exposure anew, all of them
   * go on when the weeks that are written run out.
   */
  @Transactional
  public void logged(UUID line) {
    turns.ofLine(line);
    Slot slot = slots.findByRef(line).orElse(null);
    Slot.Origin origin = slot == null ? null : slot.origin();
    if (origin == null || origin.line() > 0) {
      return;
    }
    Progression progression = progressions.findByRef(origin.progression()).orElseThrow(NotFound::new);
    LocalDate today = clock.today();
    boolean runsOut = writtenTo(List.of(progression)).filter(last -> last.isBefore(monday(today).plusWeeks(WEEKS_AHEAD - 1L))).isPresent();
    if (progression.method().rule().memory() || runsOut) {
      Lifter lifter = lifters.findById(progression.lifterId()).orElseThrow(NotFound::new);
      write(lifter, contexts.of(lifter, null), today, WEEKS_AHEAD);
    }
  }

  /** Writes the weeks ahead anew after numbers or goals were written down: a wave that waited for its goal gets it. */
  @Transactional
  public void numbersChanged(long lifterId) {
    turns.ofLifter(lifterId);
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    LocalDate today = clock.today();
    if (progressions.findByLifterIdOrderById(lifterId).stream().anyMatch(progression -> progression.runsOn(today))) {
      write(lifter, contexts.of(lifter, null), today, WEEKS_AHEAD);
    }
  }

  /** Why a method has written nothing yet, in a sentence; empty when it has. */
  @Transactional(readOnly = true)
  public Optional<String> silent(Lifter lifter, Progression progression) {
    LocalDate today = clock.today();
    if (writtenTo(List.of(progression)).filter(last -> !last.isBefore(today)).isPresent()) {
      return Optional.empty();
    }
    LocalDate end = monday(today).plusWeeks(WEEKS_AHEAD);
    if (!progression.startsOn().isBefore(end)) {
      return Optional.of("It begins on " + progression.startsOn() + ", further ahead than the " + WEEKS_AHEAD + " weeks that are written: its lines come when that "
          + "week is near, or at once with “Write on to this week” on the week board.");
    }
    LocalDate first = later(progression.startsOn(), monday(today));
    return silentRemarks(List.of(progression), contexts.of(lifter, null), first).stream().findFirst().map(remark -> "It writes nothing: " + remark);
  }

  /**
   * Writes what the methods say of a number of weeks from that of a day on, or as far as they have written, touching nothing
   * before that day.
   *
   * @param context the lifter's numbers and kit as of that day
   */
  @Transactional
  public void write(Lifter lifter, LifterContext context, LocalDate from, int weeks) {
    writer.follow(lifter, () -> rewrite(lifter, context, from, weeks));
  }

  /** Writes, and tells in which sessions something is new: only their cards are issued anew. */
  private Set<Long> rewrite(Lifter lifter, LifterContext context, LocalDate from, int weeks) {
    List<Progression> all = progressions.findByLifterIdOrderById(lifter.id());
    Set<Long> touched = new HashSet<>();
    if (all.isEmpty()) {
      return touched;
    }
    SoFar soFar = soFar(lifter, all, from);
    LocalDate until = later(monday(from).plusWeeks(weeks), soFar.lastDay().map(last -> monday(last).plusWeeks(1)).orElse(from));
    LocalDate first = all.stream().map(Progression::startsOn).min(Comparator.naturalOrder()).orElse(from);
    Map<LocalDate, Deload> easy = deloads.findByLifterIdAndMondayBetween(lifter.id(), first, until.plusYears(1)).stream()
        .collect(Collectors.toMap(DeloadWeek::monday, DeloadWeek::kind));
    OpenDays open = new OpenDays(lifter, sessions, slots, from, until);
    for (Progression progression : all) {
      Brief brief = brief(progression, context);
      List<Writing.Planned> planned = planned(progression, brief, soFar, easy, from, until);
      touched.addAll(new Writing(open, progression, brief.chart(), soFar, from).write(planned));
      planned.stream().filter(p -> p.number() >= 0 && p.exposure().training() != null).findFirst()
          .ifPresent(next -> train(lifter, progression, Objects.requireNonNull(next.exposure().training())));
    }
    open.close();
    return touched;
  }

  /** Only methods that remember are read from their first exposure on. */
  private SoFar soFar(Lifter lifter, List<Progression> all, LocalDate from) {
    Map<Boolean, List<UUID>> refs = all.stream().collect(Collectors.partitioningBy(p -> p.method().rule().memory() && p.runsOn(from),
        Collectors.mapping(Progression::ref, Collectors.toList())));
    List<Slot> lines = new ArrayList<>(refs.get(true).isEmpty() ? List.of() : slots.findByProgressionIn(refs.get(true)));
    lines.addAll(slots.writtenFrom(lifter.id(), refs.get(false), monday(from), from));
    Map<Long, TrainingSession> byId = sessions.findAllById(lines.stream().map(Slot::sessionId).distinct().toList()).stream()
        .collect(Collectors.toMap(TrainingSession::id, session -> session));
    Map<Long, TrainingSession> bySlot = new HashMap<>();
    lines.forEach(slot -> bySlot.put(slot.id(), byId.get(slot.sessionId())));
    Map<UUID, List<LoggedSetRow>> sets = lines.isEmpty() ? Map.of() : log.ofLines(lines.stream().map(Slot::ref).toList()).stream()
        .collect(Collectors.groupingBy(LoggedSetRow::line));
    Map<UUID, LeftSets.Why> why = sets.isEmpty() ? Map.of() : left.findByLineIn(sets.keySet()).stream().collect(Collectors.toMap(LeftSets::line, LeftSets::why));
    return new SoFar(lines.stream().collect(Collectors.groupingBy(slot -> Objects.requireNonNull(slot.origin()).progression())), bySlot, sets, why);
  }

  private void train(Lifter lifter, Progression progression, Mass training) {
    numbers.findByLifterIdAndLift(lifter.id(), progression.lift()).ifPresent(own -> own.train(training));
  }

  private static Brief brief(Progression progression, LifterContext context) {
    return brief(progression.lift(), Settings.check(progression.method(), progression.settings(), context.lifts()).settings(), progression.perWeek(), context);
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
  private static List<Writing.Planned> planned(Progression progression, Brief brief, SoFar soFar, Map<LocalDate, Deload> easy, LocalDate from,
      LocalDate until) {
    List<Writing.Planned> planned = new ArrayList<>();
    List<Done> done = soFar.done(progression, from);
    Set<Integer> lifted = soFar.lifted(progression, from);
    int ahead = (int) soFar.of(progression).stream().filter(slot -> Objects.requireNonNull(slot.origin()).line() == 0 && soFar.waits(slot, from)).count();
    List<Occasions.Occasion> occasions = progression.occasions(easy::containsKey, progression.contestOn() == null ? until : later(until, progression.contestOn()));
    List<Integer> left = Written.daysLeft(progression.contestOn(), occasions);
    for (int i = 0; i < occasions.size(); i++) {
      Occasions.Occasion at = occasions.get(i);
      if (!at.day().isBefore(from) && at.day().isBefore(until) && !(!at.easy() && lifted.contains(at.number()))) {
        Countdown countdown = left.isEmpty() ? null : new Countdown(left.get(i), left);
        Exposure exposure = progression.method().rule().next(brief.counting(countdown), done, at.number(), ahead);
        planned.add(new Writing.Planned(at.day(), at.key(), exposure, at.easy() ? easy.get(monday(at.day())) : null));
        ahead += at.easy() ? 0 : 1;
      }
    }
    return planned;
  }

  /** The Monday of a day's week. */
  public static LocalDate monday(LocalDate day) {
    return Macrocycle.monday(day);
  }

  /** A line a coach takes out is not written again; called before it goes. */
  @Transactional
  public void takenOut(Slot slot) {
    Slot.Origin origin = slot.origin();
    if (origin != null) {
      progressions.findByRef(origin.progression()).ifPresent(progression -> {
        progression.leaveOut(origin.exposure(), origin.line());
        progressions.save(progression);
      });
    }
  }

  /** What methods say of a week where they have nothing to do, such as a week off. */
  public static List<String> silentRemarks(List<Progression> methods, LifterContext context, LocalDate monday) {
    List<String> remarks = new ArrayList<>();
    for (Progression progression : methods) {
      planned(progression, brief(progression, context), NOTHING, Map.of(), monday, monday.plusWeeks(1)).stream()
          .filter(planned -> planned.exposure().lines().isEmpty()).findFirst()
          .ifPresent(planned -> remarks.add(context.lift(progression.lift()).name() + ": " + String.join(" ", planned.exposure().remarks())));
    }
    return remarks;
  }
}
