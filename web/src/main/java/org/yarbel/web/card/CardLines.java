package org.yarbel.web.card;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.AfterMiss;
import org.yarbel.core.card.BackOffTable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.Ended;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.card.WhyThis;
import org.yarbel.core.card.Singles;
import org.yarbel.core.card.TodayTable;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.WornFrom;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Reading;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Group;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.SpeedTable;
import org.yarbel.web.card.CardView.AfterMissView;
import org.yarbel.web.card.CardView.ClockView;
import org.yarbel.web.card.CardView.Filled;
import org.yarbel.web.card.CardView.Minded;
import org.yarbel.web.card.CardView.SetView;
import org.yarbel.web.card.CardView.SlotView;
import org.yarbel.web.card.CardView.StepView;
import org.yarbel.web.card.CardView.TableView;
import org.yarbel.web.card.CardView.TodayView;
import org.yarbel.web.card.CardView.Wanted;
import org.yarbel.web.card.CardView.WhyView;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Opinion;
import org.yarbel.web.log.SetInWords;
import org.yarbel.web.skyline.PlatePicture;

/** The lines and sets of a card as its page shows them, each from the issued document and what was logged of it. */
final class CardLines {
  /** Work of many singles, of help and of warming up: nobody asks how hard one set was. */
  private static final Set<Role> UNRATED = EnumSet.of(Role.CLUSTER, Role.DENSITY, Role.NEGATIVE, Role.SERIES, Role.WARM);
  /** Work whose reps are counted to the last. */
  private static final Set<Role> ENDS = EnumSet.of(Role.STRAIGHT, Role.TOP, Role.BACKOFF, Role.BUILD, Role.MAX, Role.OPEN, Role.PLUS,
      Role.EMOM);
  private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

  private CardLines() {}

  /** A line with all its sets. */
  static SlotView slot(CardService.Card card, CardDocument.CardSlot slot, Map<String, LoggedSetRow> rows, Map<Integer, String> totals,
      Wanted wanted) {
    CardDocument document = card.document();
    ResolvedLine line = card.lines().get(slot.ref());
    IssuedLines.Beside beside = card.beside().get(slot.ref());
    List<SetView> sets = new ArrayList<>();
    if (line != null && beside != null) {
      int part = 0;
      for (ResolvedSet set : withAttempt(line, beside)) {
        String panel = CardView.panel(slot.ref(), set.part(), set.set());
        OfSet of = new OfSet(card, slot, line, set, beside, rows.get(panel));
        sets.add(of.view(panel.equals(wanted.panel()) ? wanted.refused() : null, sets.isEmpty(), set.part() != part));
        part = set.part();
      }
    }
    Mass lifted = line == null ? null : line.sets().stream().filter(ResolvedSet::logged).map(ResolvedSet::load)
        .filter(Objects::nonNull).findFirst().orElse(null);
    List<StepView> ramp = slot.ramp().stream().map(s -> step(s, document.unit(), lifted)).toList();
    CardDocument.Notes notes = slot.notes();
    CardDocument.InGroup group = slot.group();
    return new SlotView(slot.ref(), slot.kind().word(), slot.name(), slot.work(),
        slot.problem() != null ? "" : Reading.text(WorkLine.parse(slot.work()).line()), basis(document, slot),
        group == null ? null : group.group().words(), group == null ? null : totals.get(group.number()), ramp,
        ramp.stream().map(step -> step.load() + "×" + step.reps()).collect(Collectors.joining(" · ")),
        beside == null || !beside.begun() ? null : SetWords.todaysMax(Objects.requireNonNull(beside.day()), document.unit()), sets,
        line == null ? List.of() : line.cautions().stream().sorted(Comparator.comparing(caution -> !caution.hurts()))
        .map(CardLines::minded).toList(), notes != null && notes.optional(), notes == null ? List.of() : words(notes), slot.problem(),
        CardView.Asks.of(card.lifts().ofKey(slot.lift()), slot.worn()), SpeedTable.words(slot.barSpeeds()));
  }

  /** The sets of a line; where back-offs hang on one, with the lighter attempt that a miss of it would offer. */
  private static List<ResolvedSet> withAttempt(ResolvedLine line, IssuedLines.Beside beside) {
    List<ResolvedSet> sets = new ArrayList<>(line.sets());
    ResolvedSet attempt = beside.afterMiss() == null ? null : beside.afterMiss().attempt();
    // one that is not due yet is only there for a phone that finds out about the miss by itself
    if (attempt != null) {
      int at = 0;
      for (int i = 0; i < sets.size(); i++) {
        at = sets.get(i).part() == attempt.part() ? i + 1 : at;
      }
      sets.add(at, attempt);
    }
    return sets;
  }

  private static Minded minded(Caution caution) {
    return new Minded(caution.text(), caution.reason(), caution.hurts());
  }

  private static List<String> words(CardDocument.Notes notes) {
    List<String> words = new ArrayList<>();
    add(words, "On the ", notes.bar());
    add(words, "Gear: ", notes.gear());
    add(words, "Cues: ", notes.cues());
    add(words, "Mind: ", notes.mind());
    add(words, "Why: ", notes.reason());
    return words;
  }

  private static void add(List<String> words, String label, @Nullable String text) {
    if (text != null) {
      words.add(label + text);
    }
  }

  private static @Nullable String basis(CardDocument document, CardDocument.CardSlot slot) {
    Mass max = document.numbers().getOrDefault(slot.lift(), MaxNumbers.NONE).of(slot.basis());
    if (max == null) {
      return null;
    }
    LocalDate on = slot.basis() == Basis.ESTIMATED ? document.numbersOn().get(slot.lift()) : null;
    return slot.basis().key() + " " + max.amountIn(document.unit(), 1).toPlainString() + " " + document.unit()
        + (on == null ? "" : ", " + SHORT.format(on));
  }

  private static StepView step(RampStep step, MassUnit unit, @Nullable Mass lifted) {
    return new StepView(step.load().shownIn(unit).number(), step.reps(), PlatePicture.of(step.perSide(), unit),
        step.perSide().isEmpty() ? "bare bar" : Loading.sideText(step.perSide(), unit), lifted != null && step.load()
        .compareTo(lifted) >= 0);
  }

  /** One set of a line with all that its view is made of. */
  private record OfSet(CardService.Card card, CardDocument.CardSlot slot, ResolvedLine line, ResolvedSet set, IssuedLines.Beside beside,
      @Nullable LoggedSetRow row) {
    private CardDocument document() {
      return card.document();
    }

    /** What is said of it, was typed and refused, or is proposed by the day's check-in and what is normal at its load. */
    private BesideView said(@Nullable Filled refused) {
      Set<Gear> normal = WornFrom.at(slot.worn(), row == null ? set.load() : row.load());
      if (refused != null && refused.also() != null && refused.also().asked()) {
        return BesideView.typed(refused.also(), row == null || row.state().gear() == null ? normal : row.state().gear());
      }
      if (row != null) {
        return BesideView.of(row, card.marks().getOrDefault(row.id(), List.of()), normal, row.askedLift() == null ? "" : name(row.lift()));
      }
      Optional<Lift> lift = card.lifts().ofKey(slot.lift());
      return BesideView.proposed(card.told().contextOf(lift), normal);
    }

    /** What a coach and the bar say of the lifter's rating. */
    private CardView.@Nullable OpinionView opinion() {
      if (row == null) {
        return null;
      }
      Rpe bySpeed = row.measured().flatMap(measured -> SpeedTable.says(slot.barSpeeds(), measured)).orElse(null);
      Opinion opinion = row.opinion();
      String who = opinion == null ? "" : " (" + opinion.words() + ")";
      boolean nothing = opinion == null && bySpeed == null;
      return row.evidence(bySpeed).map(evidence -> new CardView.OpinionView(nothing ? "" : evidence.words() + who,
          opinion == null ? "" : opinion.looked().toString(), opinion == null ? null : opinion.opinionFrom())).orElse(null);
    }

    private String name(String key) {
      return card.lifts().ofKey(key).map(Lift::name).orElse(key);
    }

    SetView view(@Nullable Filled refused, boolean first, boolean firstOfPart) {
      MassUnit unit = document().unit();
      String number = set.load() == null ? "" : slot.onIt(set.load()).shownIn(unit).number();
      boolean timed = set.role() == Role.HOLD || set.role() == Role.CARRY;
      return new SetView(CardView.panel(slot.ref(), set.part(), set.set()), slot.ref(), set.part(), set.set(),
          SetWords.title(line, set), number,
          SetWords.asked(set, unit), share(), set.perSide() == null ? null : PlatePicture.of(set.perSide(), unit),
          notes(unit),
          set.logged(), row != null && row.reps() == 0, row == null ? null : SetWords.done(row, slot), row == null ? -1 : row.version(),
          dependent(slot, set), refused != null ? refused : filled(set, row, number, slot, unit), first, clock(slot, line, set), !timed,
          timed || limited() || slot.group() != null && slot.group().group().kind() == Group.Kind.MEDLEY, set.role() == Role.CARRY,
          set.role() == Role.DENSITY, !UNRATED.contains(set.role()),
          set.role() == Role.WARM, cautions(first, firstOfPart), !set.logged() && beside.needless().contains(place()),
          !set.logged() && beside.left() != null, !set.logged() && further(), afterMiss(), fromToday(), why(refused), ends(),
          said(refused), opinion(), firstOfPart ? WhyThis.of(set, card.lifts()) : "");
    }

    /** What else to know of it, with what the tracker foresees of an open set and of a single near the max. */
    private List<String> notes(MassUnit unit) {
      List<String> notes = new ArrayList<>(SetWords.notes(set, slot, unit));
      Outlook day = beside.day();
      if (day != null && !set.logged()) {
        SetWords.foreseen(set, day).ifPresent(notes::add);
      }
      return notes;
    }

    /** Several things one after another against the clock. */
    private boolean limited() {
      ResolvedSet.Clock clock = set.clock();
      return set.role() == Role.SERIES && clock != null && clock.limit() != null;
    }

    /** Whether it is offered behind what was asked. */
    private boolean further() {
      return line.sets().stream().noneMatch(set::equals);
    }

    private LoggedSet.Place place() {
      return new LoggedSet.Place(set.part(), set.set());
    }

    /** What concerns the line stands on its first set, what concerns a part on the first of that part. */
    private List<Minded> cautions(boolean first, boolean firstOfPart) {
      return line.cautions().stream().filter(caution -> caution.parts().isEmpty() ? first : firstOfPart
          && caution.parts().contains(set.part()))
          .sorted(Comparator.comparing(caution -> !caution.hurts())).map(CardLines::minded).toList();
    }

    /** The share of what was lifted or is offered, else of what is planned. */
    private @Nullable String share() {
      Mass max = document().numbers().getOrDefault(slot.lift(), MaxNumbers.NONE).of(slot.basis());
      boolean byLoad = (set.logged() || further()) && max != null && set.load() != null;
      Double percent = byLoad ? Double.valueOf(100 * set.load().ratioTo(max)) : set.percent();
      return percent == null ? null : Math.round(percent) + " % of " + slot.basis().key();
    }

    private @Nullable AfterMissView afterMiss() {
      AfterMiss ways = beside.afterMiss();
      if (ways == null || set.logged()) {
        return null;
      }
      ResolvedSet attempt = ways.attempt();
      Loading cut = ways.cut().get(place());
      boolean itself = attempt != null && attempt.part() == set.part() && attempt.set() == set.set();
      if (cut == null) {
        return itself ? new AfterMissView(null, null, null, beside.missed(), !ways.heavier()) : null;
      }
      String lighter = attempt == null ? null : Objects.requireNonNull(attempt.load()).shownIn(document().unit()).number();
      return new AfterMissView(lighter, attempt == null ? null : CardView.panel(slot.ref(), attempt.part(), attempt.set()),
          cut.total().shownIn(document().unit()).number(), beside.missed(), true);
    }

    private @Nullable String fromToday() {
      Loading beside = this.beside.today().get(set.part());
      return beside == null || set.logged() ? null : beside.total().shownIn(document().unit()).number();
    }

    /** A set whose reps are counted to the last may end early; the end of an open one is what it is done for. */
    private @Nullable WhyView why(@Nullable Filled refused) {
      if (!ENDS.contains(set.role())) {
        return null;
      }
      boolean goesOn = set.role() == Role.OPEN || set.role() == Role.PLUS;
      boolean said = row != null && row.ended() != null || refused != null && refused.ended() != null;
      Integer asked = row == null ? set.reps() : row.askedReps();
      boolean few = row != null && asked != null && row.reps() < asked;
      return new WhyView(asked, goesOn || said || few);
    }

    private String ends() {
      OptionalDouble rpe = Ended.rpe(WorkLine.parse(line.notation()).line().parts().get(set.part() - 1));
      return rpe.isEmpty() ? "" : Double.toString(rpe.getAsDouble());
    }
  }

  private static boolean dependent(CardDocument.CardSlot slot, ResolvedSet set) {
    return slot.tables().stream().anyMatch(t -> t.part() == set.part());
  }

  private static @Nullable ClockView clock(CardDocument.CardSlot slot, ResolvedLine line, ResolvedSet set) {
    ResolvedSet.Clock clock = set.clock() == null ? new ResolvedSet.Clock(null, null, null, null) : set.clock();
    String part = slot.ref() + "-" + set.part();
    String own = part + "-" + set.set();
    int reps = set.reps() == null ? 0 : set.reps();
    CardDocument.InGroup group = slot.group();
    if (group != null && group.group().limit() != null) {
      return new ClockView("limit", "group-" + group.number(), group.group().limit(), 0, 0, 0, "", group.group().kind().word() + " clock");
    }
    return switch (set.role()) {
      case CLUSTER -> new ClockView("cluster", own, 0, or(clock.gap()), 0, reps, "", "singles, " + or(clock.gap()) + " s between",
          Singles.enough(reps), Singles.afterFew());
      case DENSITY -> new ClockView("density", own, or(clock.limit()), 0, 0, reps, "", reps + " singles wanted", 0,
          Singles.beforeDensity());
      case EMOM -> new ClockView("emom", part, 0, 0, or(clock.every()), line.sets().stream().filter(s -> s.part() == set.part())
          .toList().size(), "", "a start every " + or(clock.every()) + " s");
      case HOLD, TIMED -> new ClockView("hold", own, or(clock.seconds()), 0, 0, 0, "", set.role() == Role.HOLD ? "hold" : "as many as go");
      default -> {
        if (clock.limit() != null) {
          yield new ClockView("limit", set.role() == Role.SERIES ? part : own, clock.limit(), 0, 0, 0, "", "time allowed");
        }
        if (set.role() == Role.CARRY) {
          yield new ClockView("limit", own, 0, 0, 0, 0, "", "time taken");
        }
        yield set.tempo() == null ? null : new ClockView("tempo", own, 0, 0, 0, reps, set.tempo(), "down, pause, up, pause");
      }
    };
  }

  private static int or(@Nullable Integer seconds) {
    return seconds == null ? 0 : seconds;
  }

  private static Filled filled(ResolvedSet set, @Nullable LoggedSetRow row, String load, CardDocument.CardSlot slot,
      MassUnit unit) {
    if (row != null) {
      return Filled.of(slot.onIt(row.load()).shownIn(unit).number(), Integer.toString(row.reps()),
          rating(row), row.doneTenths() == null ? ""
          : SetInWords.seconds(row.doneTenths()),
          row.doneCentimetres() == null ? "" : SetWords.plain(BigDecimal.valueOf(row.doneCentimetres(), 2)), row.stopped(),
          row.ended());
    }
    String last = slot.last() == null ? "" : slot.last().shownIn(unit).number();
    boolean once = set.role() == Role.HOLD || set.role() == Role.CARRY;
    Integer seconds = set.role() == Role.HOLD && set.clock() != null ? set.clock().seconds() : null;
    String reps = set.reps() == null ? "" : set.reps().toString();
    return Filled.of(load.isEmpty() ? last : load, once ? "1" : reps, "",
        seconds == null ? "" : seconds.toString(), set.distance() == null ? "" : SetWords.plain(set.distance().metres()), null, null);
  }

  private static String rating(LoggedSetRow row) {
    if (row.easier()) {
      return EntryForm.EASIER;
    }
    return row.rpe() == null ? "" : row.rpe().toString();
  }

  /** A table of back-offs in the lifter's unit. */
  static TableView table(BackOffTable table, CardDocument.CardSlot slot, MassUnit unit) {
    return new TableView(table.part(), table.each(), table.rows().stream()
        .map(row -> List.of(slot.onIt(row.reference()).shownIn(unit).number(), slot.onIt(row.then().total()).shownIn(unit).number(),
            Loading.sideText(row.then().perSide(), unit)))
        .toList());
  }

  /** What today's max becomes, in the lifter's unit. */
  static TodayView today(TodayTable table, CardDocument.CardSlot slot, MassUnit unit) {
    List<List<String>> rows = table.rows().stream().map(row -> {
      List<String> cells = new ArrayList<>(List.of(slot.onIt(row.load()).shownIn(unit).number(), row.rated(),
          SetWords.figure(row.today(), unit)));
      row.beside().forEach((part, load) -> cells.addAll(List.of(Integer.toString(part), load.total().shownIn(unit).number())));
      return cells;
    }).toList();
    return new TodayView(CardView.panel(slot.ref(), table.place().part(), table.place().set()), Integer.toString(table.reps()), rows);
  }
}
