package org.yarbel.web.board;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.Complaint;
import org.yarbel.web.lifter.ComplaintRepository;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.Weeks;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.program.Exposures;
import org.yarbel.web.program.Programs;
import org.yarbel.web.program.Progression;
import org.yarbel.web.watch.RecoveryPicture;
import org.yarbel.web.watch.Silence;
import org.yarbel.web.watch.Silences;
import org.yarbel.web.watch.WeekWatch;

/** Reads a lifter's week: issued cards as they were issued, the rest worked out with the numbers of today. */
@Service
class BoardService {
  private static final Limit SHOWN_PAINS = Limit.of(6);

  private final LifterRepository lifters;
  private final LiftNumbersRepository numbers;
  private final ComplaintRepository complaints;
  private final WeekReader weeks;
  private final WeekWatch watch;
  private final Silences silences;
  private final Programs programs;
  private final Undo undo;
  private final ClubClock clock;

  BoardService(LifterRepository lifters, LiftNumbersRepository numbers, ComplaintRepository complaints, WeekReader weeks,
      WeekWatch watch, Silences silences, Programs programs, Undo undo, ClubClock clock) {
    this.lifters = lifters;
    this.numbers = numbers;
    this.complaints = complaints;
    this.weeks = weeks;
    this.watch = watch;
    this.silences = silences;
    this.programs = programs;
    this.undo = undo;
    this.clock = clock;
  }

  private Lifter lifter(long lifterId) {
    return lifters.findById(lifterId).orElseThrow(NotFound::new);
  }

  /** The week that a day is in; today's without one. */
  @Transactional(readOnly = true)
  BoardView week(long lifterId, @Nullable LocalDate of) {
    LocalDate today = clock.today();
    LocalDate from = Macrocycle.monday(of == null ? today : of);
    Looked looked = look(lifter(lifterId), from);
    Lifter lifter = looked.lifter();
    List<LiftNumbers> known = looked.known();
    LoadedDays loaded = looked.loaded();
    List<Complaint> hurts = looked.hurts();
    List<Silence> record = looked.record();
    Set<String> quiet = Silences.quiet(record);
    WeekWatch.SeenWeek seen = looked.seen();
    WeekPanel panel = WeekPanel.of(lifter, loaded.usual(), seen, record, Exposures.silentRemarks(seen.methods(), loaded.usual(), from),
        unwritten(seen.methods(), from, today), loaded.quick());
    List<BoardView.DayView> days = loaded.views(lifter.id(), today, quiet, seen.week().deload());
    return new BoardView(lifter.id(), lifter.name(), lifter.unit().symbol(),
        BoardView.numbers(known, lifter, today), hurts.stream().map(Complaint::words).toList(),
        Weeks.label(from),
        from.toString(), from.minusWeeks(1).toString(), from.plusWeeks(1).toString(), days, panel, undo.of(lifterId));
  }

  /** A week with what the checks see in it. */
  private record Looked(Lifter lifter, List<LiftNumbers> known, LoadedDays loaded, List<Complaint> hurts, List<Silence> record,
      WeekWatch.SeenWeek seen) {}

  private Looked look(Lifter lifter, LocalDate from) {
    List<LiftNumbers> known = numbers.findByLifterIdIn(List.of(lifter.id()));
    LoadedDays loaded = weeks.load(lifter, known, from, 7, WeekWatch.WEEKS_BACK);
    List<Complaint> hurts = complaints.present(lifter.id(), SHOWN_PAINS);
    List<Silence> record = silences.record(lifter.id());
    return new Looked(lifter, known, loaded, hurts, record,
        watch.look(lifter, from, known, hurts, Silences.quiet(record), loaded.before(), loaded.watched()));
  }

  /** How each main lift dips and comes back over a week. */
  @Transactional(readOnly = true)
  RecoveryPicture recovery(long lifterId, LocalDate of) {
    Looked looked = look(lifter(lifterId), Macrocycle.monday(of));
    return RecoveryPicture.of(looked.lifter(), looked.loaded().usual().bodyMass(), looked.seen());
  }

  /** How far the methods have written where that is not as far as a week to come; null where it is. */
  private @Nullable LocalDate unwritten(List<Progression> methods, LocalDate monday, LocalDate today) {
    boolean canBe = monday.isAfter(today) && monday.isBefore(Macrocycle.monday(today).plusWeeks(Programs.MOST_AHEAD));
    return canBe ? programs.writtenTo(methods).filter(last -> last.isBefore(monday)).orElse(null) : null;
  }

  /** What is seen in a week, to be drawn anew after a change. */
  @Transactional(readOnly = true)
  BoardView.Panel panel(long lifterId, LocalDate of) {
    BoardView week = week(lifterId, of);
    return new BoardView.Panel(week.panel(), week.days(), week.history(), week.lifterId(), week.monday());
  }

  /** One day of a lifter. */
  @Transactional(readOnly = true)
  BoardView.DayView day(long lifterId, LocalDate date) {
    Lifter lifter = lifter(lifterId);
    return weeks.load(lifter, numbers.findByLifterIdIn(List.of(lifterId)), date, 1, 0)
        .views(lifterId, clock.today(), silences.quiet(lifterId), watch.easy(lifterId, date)).get(0);
  }

  /** One stored line with its loads. */
  @Transactional(readOnly = true)
  BoardView.SlotView slot(Slot slot) {
    TrainingSession session = weeks.session(slot);
    return day(session.lifterId(), session.day()).slots().stream().filter(view -> view.id() == slot.id()).findFirst()
        .orElseThrow(NotFound::new);
  }
}
