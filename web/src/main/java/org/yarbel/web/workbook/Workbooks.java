package org.yarbel.web.workbook;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Load;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.Option;
import org.yarbel.core.notation.Part;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.cycle.GoalCourse;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Written;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.journal.PlanWriter;
import org.yarbel.web.journal.Scope;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.LongPlans;
import org.yarbel.web.who.SignedIn;

/** Weeks of a lifter out as a workbook, and what was changed in it back in. */
@Service
public class Workbooks {
  /** The most weeks of a workbook. */
  public static final int MOST_WEEKS = 26;

  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LiftNumbersRepository numbers;
  private final LifterContexts contexts;
  private final LongPlans plans;
  private final Sessions days;
  private final PlanWriter writer;
  private final ClubClock clock;
  private final Turns turns;
  private final TransactionTemplate transaction;

  Workbooks(TrainingSessionRepository sessions, SlotRepository slots, LiftNumbersRepository numbers, LifterContexts contexts,
      LongPlans plans, Sessions days, PlanWriter writer, ClubClock clock, Turns turns, TransactionTemplate transaction) {
    this.turns = turns;
    this.transaction = transaction;
    this.sessions = sessions;
    this.slots = slots;
    this.numbers = numbers;
    this.contexts = contexts;
    this.plans = plans;
    this.days = days;
    this.writer = writer;
    this.clock = clock;
  }

  /** The weeks from a Monday on as an XLSX file. */
  @Transactional(readOnly = true)
  public byte[] write(Lifter lifter, LocalDate from, int count) {
    LifterContext usual = contexts.of(lifter, null);
    List<SheetLine.OfWeek> weeks = weeks(lifter, usual, from, count);
    String title = Count.of(count, "week") + " from " + DAY.format(from);
    return WorkbookWriter.write(new WorkbookWriter.Cover(lifter.ref(), lifter.name(), lifter.unit(), usual.bodyMass(), title), weeks);
  }

  /** The lines of each week: those that stand, of weeks nothing is written for those of the long plan. */
  List<SheetLine.OfWeek> weeks(Lifter lifter, LifterContext usual, LocalDate from, int count) {
    LocalDate until = from.plusWeeks(count);
    LocalDate today = clock.today();
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from, until.minusDays(1));
    Map<Long, List<Slot>> bySession = slots.findBySessionIdInOrderByPositionAscIdAsc(all.stream().map(TrainingSession::id).toList())
        .stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Set<Long> begun = days.begun(bySession.values().stream().flatMap(List::stream).toList());
    Map<Long, LifterContext> elsewhere = new HashMap<>();
    Map<LocalDate, List<SheetLine>> byWeek = new TreeMap<>();
    Set<LocalDate> written = new LinkedHashSet<>();
    for (TrainingSession session : all) {
      LifterContext context = session.placeId() == null ? usual
          : elsewhere.computeIfAbsent(session.placeId(), id -> contexts.of(lifter, id));
      for (Slot slot : bySession.getOrDefault(session.id(), List.of())) {
        boolean fixed = session.day().isBefore(today) || begun.contains(slot.id()) || slot.linkOf() != null;
        LocalDate monday = Macrocycle.monday(session.day());
        byWeek.computeIfAbsent(monday, week -> new ArrayList<>()).add(line(context, session, slot, fixed));
        if (slot.origin() != null) {
          written.add(monday);
        }
      }
    }
    plans.of(lifter.id()).ifPresent(kept -> LongPlans.ahead(kept.plan(), usual, from.isAfter(today) ? from : today, until, written)
        .forEach(line -> byWeek.computeIfAbsent(Macrocycle.monday(line.day()), week -> new ArrayList<>()).add(planned(usual, line))));
    List<SheetLine.OfWeek> weeks = new ArrayList<>();
    for (LocalDate monday = from; monday.isBefore(until); monday = monday.plusWeeks(1)) {
      List<SheetLine> lines = byWeek.getOrDefault(monday, List.of());
      weeks.add(new SheetLine.OfWeek(monday, "Week of " + DAY.format(monday) + (lines.isEmpty() ? ": nothing is written" : ""), lines));
    }
    return weeks;
  }

  private static SheetLine line(LifterContext context, TrainingSession session, Slot slot, boolean fixed) {
    SheetLine unread = new SheetLine(session.day(), new SheetLine.Known(slot.ref(), fixed), context.lift(slot.lift()), slot.work(),
        null, null);
    return resolved(unread, context, () -> PlannedLines.of(context, slot, session.groups()));
  }

  private static SheetLine planned(LifterContext context, Written line) {
    SheetLine unread = new SheetLine(line.day(), SheetLine.Known.AHEAD, context.lift(line.lift()), line.work(), null, null);
    return resolved(unread, context, () -> line.planned(context.lifts()));
  }

  private static SheetLine resolved(SheetLine line, LifterContext context, Supplier<PlannedLine> planned) {
    try {
      Resolver.Request request = new SessionResolver(context).planned(planned.get());
      return new SheetLine(line.day(), line.known(), line.lift(), line.work(), request, Resolver.resolve(request));
    } catch (NotationException wrong) {
      return line;
    }
  }

  /**
   * What came of a workbook that came back.
   *
   * @param edits what was taken, a sentence each
   * @param problems what stood against it, each with its place; then nothing was taken
   * @param change to undo it by; empty when nothing was changed, or only numbers were
   */
  public record Taken(List<String> edits, List<String> problems, Optional<Long> change) {}

  /** Takes what was changed in a workbook, all of it or nothing. */
  @Transactional
  public Taken take(Lifter lifter, byte[] file, SignedIn who) {
    // a file is read before anything of the database is held
    WorkbookReader.WorkbookRead read = WorkbookReader.read(file);
    return Objects.requireNonNull(transaction.execute(status -> take(lifter, read, who)));
  }

  private Taken take(Lifter lifter, WorkbookReader.WorkbookRead read, SignedIn who) {
    turns.ofLifter(lifter.id());
    List<String> problems = new ArrayList<>(read.problems());
    if (problems.isEmpty() && !lifter.ref().equals(read.lifter())) {
      problems.add("This workbook is another lifter's: send it in on their page.");
    }
    Map<Slot, ChangedLine> lines = new LinkedHashMap<>();
    Map<LiftNumbers, WorkbookReader.NumberEdit> sums = new LinkedHashMap<>();
    List<String> said = new ArrayList<>();
    if (problems.isEmpty()) {
      LifterContext context = contexts.of(lifter, null);
      for (WorkbookReader.CellEdit edit : read.edits()) {
        Optional<String> wrong = edit instanceof WorkbookReader.NumberEdit number ? number(lifter, number, sums, said)
            : line(lifter, context, (WorkbookReader.LineEdit) edit, lines, said);
        wrong.ifPresent(sentence -> problems.add(edit.place() + ": " + sentence));
      }
    }
    if (!problems.isEmpty()) {
      return new Taken(List.of(), problems, Optional.empty());
    }
    sums.forEach((own, edit) -> {
      Mass value = Mass.of(edit.value(), lifter.unit());
      if (edit.kind().equals("goal")) {
        own.aim(value, own.goalOn());
      } else {
        own.train(value);
      }
      numbers.save(own);
    });
    Set<LocalDate> concerned = lines.values().stream().map(ChangedLine::day).collect(Collectors.toSet());
    Optional<Long> change = lines.isEmpty() ? Optional.empty()
        : writer.change(lifter, Scope.days(concerned), who, () -> lines.forEach((slot, changed) -> {
      slot.write(slot.kind(), slot.lift(), changed.work(), slot.details());
      slots.save(slot);
    }));
    return new Taken(said, List.of(), change);
  }

  /** A line as it becomes. */
  private record ChangedLine(String work, LocalDate day) {}

  /** Takes an edit of a line in; a sentence tells why it cannot be. */
  private Optional<String> line(Lifter lifter, LifterContext context, WorkbookReader.LineEdit edit, Map<Slot, ChangedLine> lines,
      List<String> said) {
    Slot slot = slots.findByRef(edit.line()).orElse(null);
    TrainingSession session = slot == null ? null : sessions.findById(slot.sessionId()).filter(own -> own.lifterId() == lifter.id())
        .orElse(null);
    if (slot == null || session == null) {
      return Optional.of("the line is not there any more. Export the weeks anew.");
    }
    if (!slot.work().equals(edit.was())) {
      return Optional.of("meanwhile the line was changed on the board to '" + slot.work() + "'. Export the weeks anew.");
    }
    if (session.day().isBefore(clock.today()) || days.begun(List.of(slot)).contains(slot.id())) {
      return Optional.of("its day is behind, or sets of it are logged: only what lies ahead can change.");
    }
    String before = lines.containsKey(slot) ? lines.get(slot).work() : slot.work();
    String text = edit instanceof WorkbookReader.LoadEdit load ? withLoad(before, load, lifter.unit())
        : ((WorkbookReader.WorkEdit) edit).now();
    Lift lift = context.lift(slot.lift());
    SessionResolver.Worked worked = new SessionResolver(context).alone(PlannedLines.of(context, slot, session.groups()).saying(text));
    if (worked.wrong() != null) {
      return Optional.of("'" + text + "': " + worked.wrong().problems().get(0).message());
    }
    String normal = WorkLine.parse(text).line().toString();
    lines.put(slot, new ChangedLine(normal, session.day()));
    said.add(edit.place() + ": " + lift.name() + " on " + DAY.format(session.day()) + ", " + before + " → " + normal);
    return Optional.empty();
  }

  private static String withLoad(String work, WorkbookReader.LoadEdit edit, MassUnit unit) {
    List<Part> parts = new ArrayList<>(WorkLine.parse(work).line().parts());
    Part part = parts.get(edit.part() - 1);
    // a load that was written down says nothing of a point of the way
    parts.set(edit.part() - 1, new Part(part.work(), new Load.OfMass(Mass.of(edit.load(), unit)), part.rpe(), part.options().stream()
        .filter(option -> !(option instanceof Option.At)).toList()));
    return new WorkLine(parts).toString();
  }

  private Optional<String> number(Lifter lifter, WorkbookReader.NumberEdit edit, Map<LiftNumbers, WorkbookReader.NumberEdit> sums,
      List<String> said) {
    LiftNumbers own = numbers.findByLifterIdAndLift(lifter.id(), edit.lift()).orElse(null);
    Mass best = own == null ? null : own.numbers(lifter.unit(), clock.today()).best();
    if (own == null || best == null) {
      return Optional.of("no numbers of that lift are known any more.");
    }
    if (edit.value().compareTo(BigDecimal.ONE) < 0 || edit.value().compareTo(BigDecimal.valueOf(2200)) > 0) {
      return Optional.of("a max must be from 1 to 2200 but was " + edit.value().toPlainString() + ".");
    }
    Mass value = Mass.of(edit.value(), lifter.unit());
    if (edit.kind().equals("goal")) {
      Optional<String> wrong = GoalCourse.wrong(value, own.tested() != null
          ? Objects.requireNonNull(own.tested()).shownIn(lifter.unit()) : best);
      if (wrong.isPresent()) {
        return wrong;
      }
    } else if (value.ratioTo(best) > MaxNumbers.MOST_TRAINING_SHARE) {
      return Optional.of("a training max is at most 95 % of the estimated one, " + best.scaled(MaxNumbers.MOST_TRAINING_SHARE)
          .amountIn(lifter.unit(), 1) + " "
          + lifter.unit() + ".");
    }
    sums.put(own, edit);
    said.add(edit.place() + ": " + edit.kind() + " max of " + edit.lift() + " " + edit.value().toPlainString() + " " + lifter.unit());
    return Optional.empty();
  }
}
