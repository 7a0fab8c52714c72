package org.yarbel.web.program;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.progress.Brief;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.journal.Edit;
import org.yarbel.web.journal.PlanWriter;
import org.yarbel.web.journal.Scope;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
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

  private final ProgressionRepository progressions;
  private final DeloadWeekRepository deloads;
  private final SlotRepository slots;
  private final TrainingSessionRepository sessions;
  private final SoFarReader soFars;
  private final LiftNumbersRepository numbers;
  private final LifterRepository lifters;
  private final LifterContexts contexts;
  private final PlanWriter writer;
  private final ClubClock clock;
  private final Turns turns;

  Programs(ProgressionRepository progressions, DeloadWeekRepository deloads, SlotRepository slots, TrainingSessionRepository sessions,
      SoFarReader soFars, LiftNumbersRepository numbers, LifterRepository lifters, LifterContexts contexts, PlanWriter writer,
      ClubClock clock, Turns turns) {
    this.turns = turns;
    this.progressions = progressions;
    this.deloads = deloads;
    this.slots = slots;
    this.sessions = sessions;
    this.soFars = soFars;
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
    return write(lifter, to, null, who, first);
  }

  /**
   * The same, said in words.
   *
   * @param words what the change does; null to tell it from what is different after it
   */
  @Transactional
  public Optional<Long> write(Lifter lifter, LocalDate to, @Nullable String words, SignedIn who, Edit first) {
    turns.ofLifter(lifter.id());
    LocalDate today = clock.today();
    LocalDate monday = Macrocycle.monday(today);
    int weeks = (int) Math.min(Math.max(WEEKS_AHEAD, ChronoUnit.WEEKS.between(monday, Macrocycle.monday(to)) + 1), MOST_AHEAD);
    LocalDate end = later(later(monday.plusWeeks(weeks), to), writtenTo(progressions.findByLifterIdOrderById(lifter.id()))
        .orElse(today)).plusWeeks(1);
    return writer.change(lifter, Scope.days(today.datesUntil(end).toList()).withMethods().saying(words), who, () -> {
      first.apply();
      rewrite(lifter, contexts.of(lifter, null), today, weeks);
    });
  }

  static LocalDate later(LocalDate one, LocalDate other) {
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
    LocalDate enough = Macrocycle.monday(today).plusWeeks(WEEKS_AHEAD - 1L);
    boolean runsOut = writtenTo(List.of(progression)).filter(last -> last.isBefore(enough)).isPresent();
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
    LocalDate end = Macrocycle.monday(today).plusWeeks(WEEKS_AHEAD);
    if (!progression.startsOn().isBefore(end)) {
      return Optional.of("It begins on " + progression.startsOn() + ", further ahead than the " + WEEKS_AHEAD
          + " weeks that are written: its lines come when that "
          + "week is near, or at once with “Write on to this week” on the week board.");
    }
    LocalDate first = later(progression.startsOn(), Macrocycle.monday(today));
    return Exposures.silentRemarks(List.of(progression), contexts.of(lifter, null), first).stream().findFirst()
        .map(remark -> "It writes nothing: " + remark);
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
    SoFar soFar = soFars.read(lifter, all, from);
    LocalDate written = soFar.lastDay().map(last -> Macrocycle.monday(last).plusWeeks(1)).orElse(from);
    LocalDate until = later(Macrocycle.monday(from).plusWeeks(weeks), written);
    LocalDate first = all.stream().map(Progression::startsOn).min(Comparator.naturalOrder()).orElse(from);
    Map<LocalDate, Deload> easy = deloads.findByLifterIdAndMondayBetween(lifter.id(), first, until.plusYears(1)).stream()
        .collect(Collectors.toMap(DeloadWeek::monday, DeloadWeek::kind));
    OpenDays open = new OpenDays(lifter, sessions, slots, from, until);
    for (Progression progression : all) {
      Brief brief = Exposures.brief(progression, context);
      List<Writing.Planned> planned = Exposures.planned(progression, brief, soFar, easy, from, until);
      touched.addAll(new Writing(open, progression, brief.chart(), soFar, from).write(planned));
      planned.stream().filter(p -> p.number() >= 0 && p.exposure().training() != null).findFirst()
          .ifPresent(next -> train(lifter, progression, Objects.requireNonNull(next.exposure().training())));
    }
    open.close();
    return touched;
  }

  private void train(Lifter lifter, Progression progression, Mass training) {
    numbers.findByLifterIdAndLift(lifter.id(), progression.lift()).ifPresent(own -> own.train(training));
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
}
