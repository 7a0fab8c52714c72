package org.yarbel.web.card;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.BackOffTable;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.card.Singles;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.notation.Reading;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.SetOrder;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.skyline.PlatePicture;
import org.yarbel.web.skyline.Skyline;

/**
 * A card as its page shows it.
 *
 * @param panels the sets in the order they are lifted
 * @param current the panel in the foreground; null when there is nothing to lift
 * @param tables what the back-offs become for every top load, for the page's script to look up without a network
 * @param paper the same on paper
 */
record CardView(
    long sessionId,
    int number,
    String lifter,
    long lifterId,
    String day,
    MassUnit unit,
    String step,
    Skyline skyline,
    List<SlotView> slots,
    List<PanelView> panels,
    @Nullable String current,
    int done,
    int total,
    Map<String, List<TableView>> tables,
    List<PaperSlot> paper) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
  private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  /** A phone's width less its margins. */
  private static final double SKYLINE_WIDTH = 358;
  /** Work of many singles, of help and of warming up: nobody asks how hard one set was. */
  private static final Set<Role> UNRATED = EnumSet.of(Role.CLUSTER, Role.DENSITY, Role.NEGATIVE, Role.SERIES, Role.WARM);
  /** More boxes for a set each do not fit beside its load. */
  private static final int MOST_BOXES = 10;

  /**
   * One line of work.
   *
   * @param words the line read out
   * @param group the group it is done in, in words; null for none
   * @param notes what is said beside the work
   */
  record SlotView(long id, String kind, String lift, String work, String words, @Nullable String basis, @Nullable String group,
      List<StepView> ramp, List<SetView> sets, List<Minded> cautions, boolean optional, List<String> notes, @Nullable String problem) {}

  /** Something to mind, with its reason. */
  record Minded(String text, @Nullable String reason, boolean hurts) {}

  /** One warm-up; one that is not below what was lifted first is not needed. */
  record StepView(String load, int reps, PlatePicture plates, String side, boolean needless) {}

  /**
   * One set in its turn.
   *
   * @param round of its group in words; null outside a group
   * @param rest seconds after it; 0 for none
   * @param usual whether the rest is the usual one and nobody said so
   * @param next what comes after it, in words; null after the last
   * @param nextPanel where that is; null after the last
   * @param skip the panel behind the line it belongs to, for a line left to the lifter; null where there is none
   */
  record PanelView(SlotView slot, SetView set, @Nullable String round, int rest, boolean usual, @Nullable String next,
      @Nullable String nextPanel, @Nullable String skip) {}

  /**
   * One set.
   *
   * @param panel its id: slot, part and set
   * @param load what to lift, empty when the lifter picks
   * @param asked the reps and RPE in words: {@code × 4 @8}
   * @param seen the version of what was logged, −1 when nothing was
   * @param clock what its clock counts; null where it has none
   */
  record SetView(String panel, long slotId, int part, int set, String title, String load, String asked,
      @Nullable String share, @Nullable PlatePicture plates, List<String> notes, boolean logged, boolean missed,
      @Nullable String doneWords, int seen, boolean dependent, Filled filled, boolean first, @Nullable ClockView clock,
      boolean countsReps, boolean asksSeconds, boolean asksMetres, boolean rated, boolean warm) {}

  /**
   * What a clock counts; 0 for what it does not.
   *
   * @param kind {@code cluster}, {@code density}, {@code emom}, {@code hold}, {@code limit} or {@code tempo}
   * @param key the clock goes on from set to set where it is the same
   * @param enough singles of a round; with fewer the advice is told
   * @param advice before or after it; empty for none
   */
  record ClockView(String kind, String key, int seconds, int gap, int every, int count, String tempo, String label, int enough,
      String advice) {
    ClockView(String kind, String key, int seconds, int gap, int every, int count, String tempo, String label) {
      this(kind, key, seconds, gap, every, count, tempo, label, 0, "");
    }
  }

  /**
   * One line on paper.
   *
   * @param ramp the warm-up in one line; empty for none
   */
  record PaperSlot(String lift, String kind, String work, @Nullable String group, String ramp, List<PaperSet> sets,
      List<String> notes, @Nullable String problem) {}

  /** Equal sets on paper: how many, the load, what is asked, and a box for each. */
  record PaperSet(int count, String load, String asked, List<Integer> boxes) {}

  /** What stands in the fields of a panel, with what is wrong beside each. */
  record Filled(String key, String load, String reps, String rpe, boolean flagged, String seconds, String metres,
      Map<String, String> errors, @Nullable String question, @Nullable String changed) {
    static Filled of(String load, String reps, String rpe, boolean flagged, String seconds, String metres) {
      return new Filled(UUID.randomUUID().toString(), load, reps, rpe, flagged, seconds, metres, Map.of(), null, null);
    }
  }

  /** A table of back-offs in the lifter's unit: reference, load and plates of each row. */
  record TableView(int part, boolean each, List<List<String>> rows) {}

  /**
   * @param open the panel asked for; null for the next one not done
   * @param refused a panel whose entry was not taken, with what was typed; null without one
   */
  static CardView of(CardService.Card card, @Nullable String open, @Nullable String refusedPanel, @Nullable Filled refused) {
    CardDocument document = card.document();
    Map<String, LoggedSetRow> rows = new HashMap<>();
    for (LoggedSetRow row : card.logged()) {
      rows.put(panel(row.slotId(), row.loggedSet().part(), row.loggedSet().set()), row);
    }
    List<SlotView> slots = new ArrayList<>();
    List<Skyline.Line> lines = new ArrayList<>();
    Map<String, List<TableView>> tables = new LinkedHashMap<>();
    for (CardDocument.CardSlot slot : document.slots()) {
      ResolvedLine line = card.lines().get(slot.slotId());
      slots.add(slot(document, slot, line, rows, refusedPanel, refused));
      tables.put(Long.toString(slot.slotId()), slot.tables().stream().map(t -> table(t, document.unit())).toList());
      if (line != null) {
        lines.add(new Skyline.Line(line, document.scale(slot), Long.toString(slot.slotId())));
      }
    }
    List<PanelView> panels = panels(document, slots);
    List<SetView> sets = panels.stream().map(PanelView::set).toList();
    String wanted = refusedPanel != null ? refusedPanel : open;
    String current = sets.stream().map(SetView::panel).filter(p -> p.equals(wanted)).findFirst()
        .or(() -> panels.stream().filter(p -> !p.set().logged() && !p.slot().optional()).map(p -> p.set().panel()).findFirst())
        .or(() -> sets.stream().filter(s -> !s.logged()).map(SetView::panel).findFirst())
        .or(() -> sets.stream().map(SetView::panel).reduce((a, b) -> b))
        .orElse(null);
    int owed = (int) panels.stream().filter(p -> p.set().logged() || !p.slot().optional()).count();
    return new CardView(card.session().id(), document.number(), card.lifter().name(), card.lifter().id(),
        DAY.format(document.day()), document.unit(), document.unit().usualStep().toPlainString(),
        Skyline.of(lines, SKYLINE_WIDTH, 56), slots, panels, current, (int) sets.stream().filter(SetView::logged).count(),
        owed, tables, slots.stream().map(slot -> paper(slot)).toList());
  }

  private static List<PanelView> panels(CardDocument document, List<SlotView> slots) {
    Map<String, SetView> sets = new HashMap<>();
    Map<String, SlotView> slotOf = new HashMap<>();
    Map<Long, Integer> rounds = new HashMap<>();
    for (SlotView slot : slots) {
      slot.sets().forEach(set -> {
        sets.put(set.panel(), set);
        slotOf.put(set.panel(), slot);
      });
    }
    List<SetOrder.Turn> turns = document.turns().stream().filter(turn -> sets.containsKey(panel(turn.line(), turn.part(), turn.set()))).toList();
    turns.forEach(turn -> rounds.merge(turn.line(), turn.round(), Math::max));
    List<PanelView> panels = new ArrayList<>();
    for (int i = 0; i < turns.size(); i++) {
      SetOrder.Turn turn = turns.get(i);
      String key = panel(turn.line(), turn.part(), turn.set());
      SetView next = i + 1 < turns.size() ? sets.get(panel(turns.get(i + 1))) : null;
      SlotView slot = Objects.requireNonNull(slotOf.get(key));
      String skip = !slot.optional() ? null : turns.subList(i, turns.size()).stream().filter(later -> later.line() != turn.line())
          .map(CardView::panel).findFirst().orElse(null);
      panels.add(new PanelView(slot, Objects.requireNonNull(sets.get(key)),
          turn.round() == 0 || rounds.get(turn.line()) == 1 ? null : "round " + turn.round() + " of " + rounds.get(turn.line()), turn.rest() == null ? 0 : turn.rest(),
          turn.usual(), next == null ? null : next(Objects.requireNonNull(slotOf.get(next.panel())), next), next == null ? null : next.panel(), skip));
    }
    return panels;
  }

  private static String next(SlotView slot, SetView set) {
    return slot.lift() + ", " + set.title() + ": " + (set.load().isEmpty() ? "you pick" : set.load()) + " " + set.asked();
  }

  private static String panel(SetOrder.Turn turn) {
    return panel(turn.line(), turn.part(), turn.set());
  }

  /** Equal sets of a part are written once, with a box each. */
  private static PaperSlot paper(SlotView slot) {
    List<PaperSet> sets = new ArrayList<>();
    SetView last = null;
    for (SetView set : slot.sets()) {
      boolean same = last != null && last.part() == set.part() && last.load().equals(set.load()) && last.asked().equals(set.asked());
      int count = same ? sets.get(sets.size() - 1).count() + 1 : 1;
      PaperSet written = new PaperSet(count, set.load(), set.asked().replace("as many as possible", "open"), IntStream.rangeClosed(1, Math.min(count, MOST_BOXES)).boxed().toList());
      if (same) {
        sets.set(sets.size() - 1, written);
      } else {
        sets.add(written);
      }
      last = set;
    }
    String ramp = slot.ramp().stream().map(step -> step.load() + "×" + step.reps()).collect(Collectors.joining("  "));
    List<String> notes = new ArrayList<>(slot.notes());
    slot.cautions().stream().filter(Minded::hurts).map(Minded::text).limit(1).forEach(notes::add);
    return new PaperSlot(slot.lift(), slot.kind(), slot.work(), slot.group(), ramp, sets, notes, slot.problem());
  }

  public boolean issued() {
    return number > 0;
  }

  public boolean finished() {
    return total > 0 && done == total;
  }

  static String panel(long slotId, int part, int set) {
    return slotId + "-" + part + "-" + set;
  }

  private static SlotView slot(CardDocument document, CardDocument.CardSlot slot, @Nullable ResolvedLine line,
      Map<String, LoggedSetRow> rows, @Nullable String refusedPanel, @Nullable Filled refused) {
    String lift = slot.name();
    List<SetView> sets = new ArrayList<>();
    if (line != null) {
      for (ResolvedSet set : line.sets()) {
        String panel = panel(slot.slotId(), set.part(), set.set());
        sets.add(set(document, slot, line, set, panel, rows.get(panel),
            panel.equals(refusedPanel) ? refused : null, sets.isEmpty()));
      }
    }
    Mass lifted = line == null ? null : line.sets().stream().filter(ResolvedSet::logged).map(ResolvedSet::load)
        .filter(Objects::nonNull).findFirst().orElse(null);
    List<StepView> ramp = slot.ramp().stream().map(s -> step(s, document.unit(), lifted)).toList();
    List<Minded> cautions = line == null ? List.of() : line.cautions().stream()
        .sorted(Comparator.comparing(caution -> !caution.hurts()))
        .map(caution -> new Minded(caution.text(), caution.reason(), caution.hurts())).toList();
    CardDocument.Notes notes = slot.notes();
    CardDocument.InGroup group = slot.group();
    return new SlotView(slot.slotId(), slot.kind().word(), lift, slot.work(),
        slot.problem() != null ? "" : Reading.text(WorkLine.parse(slot.work()).line()), basis(document, slot),
        group == null ? null : group.group().words(), ramp, sets, cautions, notes != null && notes.optional(),
        notes == null ? List.of() : words(notes), slot.problem());
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
        step.perSide().isEmpty() ? "bare bar" : Loading.sideText(step.perSide(), unit), lifted != null && step.load().compareTo(lifted) >= 0);
  }

  private static SetView set(CardDocument document, CardDocument.CardSlot slot, ResolvedLine line, ResolvedSet set,
      String panel, @Nullable LoggedSetRow row, @Nullable Filled refused, boolean first) {
    Mass load = set.load();
    String number = load == null ? "" : load.shownIn(document.unit()).number();
    boolean timed = set.role() == Role.HOLD || set.role() == Role.CARRY;
    return new SetView(panel, slot.slotId(), set.part(), set.set(), SetWords.title(line, set), number, SetWords.asked(set, document.unit()),
        share(set, slot), set.perSide() == null ? null : PlatePicture.of(set.perSide(), document.unit()), SetWords.notes(set, slot, document.unit()),
        set.logged(), row != null && row.reps() == 0, row == null ? null : row.words(),
        row == null ? -1 : row.version(), dependent(slot, set), refused != null ? refused : filled(set, row, number, slot, document.unit()), first,
        clock(slot, line, set), !timed, timed, set.role() == Role.CARRY, !UNRATED.contains(set.role()), set.role() == Role.WARM);
  }

  private static boolean dependent(CardDocument.CardSlot slot, ResolvedSet set) {
    return slot.tables().stream().anyMatch(t -> t.part() == set.part());
  }

  private static @Nullable ClockView clock(CardDocument.CardSlot slot, ResolvedLine line, ResolvedSet set) {
    ResolvedSet.Clock clock = set.clock() == null ? new ResolvedSet.Clock(null, null, null, null) : set.clock();
    String part = slot.slotId() + "-" + set.part();
    String own = part + "-" + set.set();
    int reps = set.reps() == null ? 0 : set.reps();
    CardDocument.InGroup group = slot.group();
    if (group != null && group.group().limit() != null) {
      return new ClockView("limit", "group-" + group.number(), group.group().limit(), 0, 0, 0, "", group.group().kind().word() + " clock");
    }
    return switch (set.role()) {
      case CLUSTER -> new ClockView("cluster", own, 0, or(clock.gap()), 0, reps, "", "singles, " + or(clock.gap()) + " s between",
          Singles.enough(reps), Singles.afterFew());
      case DENSITY -> new ClockView("density", own, or(clock.limit()), 0, 0, reps, "", reps + " singles wanted", 0, Singles.beforeDensity());
      case EMOM -> new ClockView("emom", part, 0, 0, or(clock.every()), line.sets().stream().filter(s -> s.part() == set.part()).toList().size(),
          "", "a start every " + or(clock.every()) + " s");
      case HOLD, TIMED -> new ClockView("hold", own, or(clock.seconds()), 0, 0, 0, "", set.role() == Role.HOLD ? "hold" : "as many as go");
      default -> clock.limit() != null ? new ClockView("limit", set.role() == Role.SERIES ? part : own, clock.limit(), 0, 0, 0, "", "time allowed")
          : set.role() == Role.CARRY ? new ClockView("limit", own, 0, 0, 0, 0, "", "time taken")
          : set.tempo() != null ? new ClockView("tempo", own, 0, 0, 0, reps, set.tempo(), "down, pause, up, pause")
          : null;
    };
  }

  private static int or(@Nullable Integer seconds) {
    return seconds == null ? 0 : seconds;
  }

  private static Filled filled(ResolvedSet set, @Nullable LoggedSetRow row, String load, CardDocument.CardSlot slot,
      MassUnit unit) {
    if (row != null) {
      return Filled.of(row.load().shownIn(unit).number(), Integer.toString(row.reps()),
          row.rpe() == null ? "" : row.rpe().toString(), row.flagged(), row.doneSeconds() == null ? "" : row.doneSeconds().toString(),
          row.doneCentimetres() == null ? "" : SetWords.plain(BigDecimal.valueOf(row.doneCentimetres(), 2)));
    }
    String start = !load.isEmpty() ? load : slot.last() == null ? "" : slot.last().shownIn(unit).number();
    boolean once = set.role() == Role.HOLD || set.role() == Role.CARRY;
    Integer seconds = set.role() == Role.HOLD && set.clock() != null ? set.clock().seconds() : null;
    return Filled.of(start, once ? "1" : set.reps() == null ? "" : set.reps().toString(), "", false,
        seconds == null ? "" : seconds.toString(), set.distance() == null ? "" : SetWords.plain(set.distance().metres()));
  }

  private static @Nullable String share(ResolvedSet set, CardDocument.CardSlot slot) {
    return set.percent() == null ? null : Math.round(set.percent()) + " % of " + slot.basis().key();
  }

  private static TableView table(BackOffTable table, MassUnit unit) {
    return new TableView(table.part(), table.each(), table.rows().stream()
        .map(row -> List.of(row.reference().shownIn(unit).number(), row.then().total().shownIn(unit).number(),
            Loading.sideText(row.then().perSide(), unit)))
        .toList());
  }
}
