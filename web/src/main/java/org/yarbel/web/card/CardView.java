package org.yarbel.web.card;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.BackOffTable;
import org.yarbel.core.card.Caution;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.card.RampStep;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.kit.Loading;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.skyline.PlatePicture;
import org.yarbel.web.skyline.Skyline;

/**
 * A card as its page shows it.
 *
 * @param current the panel in the foreground; null when there is nothing to lift
 * @param tables what the back-offs become for every top load, for the page's script to look up without a network
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
    @Nullable String current,
    int done,
    int total,
    Map<String, List<TableView>> tables) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
  private static final DateTimeFormatter SHORT = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  /** A phone's width less its margins. */
  private static final double SKYLINE_WIDTH = 358;

  /** One line of work. */
  record SlotView(long id, String kind, String lift, String work, @Nullable String basis, List<StepView> ramp,
      List<SetView> sets, List<String> cautions, @Nullable String problem) {}

  /** One warm-up. */
  record StepView(String load, int reps, PlatePicture plates) {}

  /**
   * One set.
   *
   * @param panel its id: slot, part and set
   * @param load what to lift, empty when the lifter picks
   * @param asked the reps and RPE in words: {@code × 4 @8}
   * @param seen the version of what was logged, −1 when nothing was
   */
  record SetView(String panel, long slotId, int part, int set, String title, String load, String asked,
      @Nullable String share, @Nullable PlatePicture plates, List<String> notes, boolean logged, boolean missed,
      @Nullable String doneWords, int seen, boolean dependent, Filled filled, boolean first) {}

  /** What stands in the fields of a panel, with what is wrong beside each. */
  record Filled(String key, String load, String reps, String rpe, boolean flagged, Map<String, String> errors,
      @Nullable String question, @Nullable String changed) {
    static Filled of(String load, String reps, String rpe, boolean flagged) {
      return new Filled(UUID.randomUUID().toString(), load, reps, rpe, flagged, Map.of(), null, null);
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
        Mass max = document.numbers().getOrDefault(slot.lift(), MaxNumbers.NONE).of(slot.basis());
        lines.add(new Skyline.Line(line, max, Long.toString(slot.slotId())));
      }
    }
    List<SetView> sets = slots.stream().flatMap(s -> s.sets().stream()).toList();
    String wanted = refusedPanel != null ? refusedPanel : open;
    String current = sets.stream().map(SetView::panel).filter(p -> p.equals(wanted)).findFirst()
        .or(() -> sets.stream().filter(s -> !s.logged()).map(SetView::panel).findFirst())
        .or(() -> sets.stream().map(SetView::panel).reduce((a, b) -> b))
        .orElse(null);
    return new CardView(card.session().id(), document.number(), card.lifter().name(), card.lifter().id(),
        DAY.format(document.day()), document.unit(), document.unit().usualStep().toPlainString(),
        Skyline.of(lines, SKYLINE_WIDTH, 56), slots, current, (int) sets.stream().filter(SetView::logged).count(),
        sets.size(), tables);
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
    List<StepView> ramp = slot.ramp().stream().map(s -> step(s, document.unit())).toList();
    List<String> cautions = line == null ? List.of() : line.cautions().stream().map(Caution::text).toList();
    return new SlotView(slot.slotId(), slot.kind().word(), lift, slot.work(), basis(document, slot), ramp, sets, cautions,
        slot.problem());
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

  private static StepView step(RampStep step, MassUnit unit) {
    return new StepView(step.load().shownIn(unit).number(), step.reps(), PlatePicture.of(step.perSide(), unit));
  }

  private static SetView set(CardDocument document, CardDocument.CardSlot slot, ResolvedLine line, ResolvedSet set,
      String panel, @Nullable LoggedSetRow row, @Nullable Filled refused, boolean first) {
    Mass load = set.load();
    String number = load == null ? "" : load.shownIn(document.unit()).number();
    return new SetView(panel, slot.slotId(), set.part(), set.set(), title(line, set), number, asked(set),
        share(set, slot), set.perSide() == null ? null : PlatePicture.of(set.perSide(), document.unit()), notes(set, slot, document.unit()),
        set.logged(), row != null && row.reps() == 0, row == null ? null : row.words(),
        row == null ? -1 : row.version(), dependent(slot, set), refused != null ? refused : filled(set, row, number, slot, document.unit()), first);
  }

  private static boolean dependent(CardDocument.CardSlot slot, ResolvedSet set) {
    return slot.tables().stream().anyMatch(t -> t.part() == set.part());
  }

  private static Filled filled(ResolvedSet set, @Nullable LoggedSetRow row, String load, CardDocument.CardSlot slot,
      MassUnit unit) {
    if (row != null) {
      return Filled.of(row.load().shownIn(unit).number(), Integer.toString(row.reps()),
          row.rpe() == null ? "" : row.rpe().toString(), row.flagged());
    }
    String start = !load.isEmpty() ? load : slot.last() == null ? "" : slot.last().shownIn(unit).number();
    return Filled.of(start, set.reps() == null ? "" : set.reps().toString(), "", false);
  }

  private static String title(ResolvedLine line, ResolvedSet set) {
    long inPart = line.sets().stream().filter(s -> s.part() == set.part()).count();
    String count = inPart == 1 ? "" : " " + set.set() + " of " + inPart;
    return switch (set.role()) {
      case TOP -> (set.reps() != null && set.reps() == 1 ? "top single" : "top set") + count;
      case BACKOFF -> "back-off" + count;
      case OPEN -> "open set" + count;
      case PLUS -> "last set, open";
      case STRAIGHT -> inPart == 1 ? "one set" : "set" + count;
    };
  }

  private static String asked(ResolvedSet set) {
    String reps = set.reps() == null ? "as many as possible"
        : set.reps() + (set.repsTo() == null ? "" : "–" + set.repsTo()) + (set.role() == Role.PLUS && !set.logged() ? "+" : "");
    String rpe = set.rpe() == null ? "" : " @" + set.rpe() + (set.rpeTo() == null ? "" : "–" + set.rpeTo());
    return "× " + reps + rpe;
  }

  private static @Nullable String share(ResolvedSet set, CardDocument.CardSlot slot) {
    return set.percent() == null ? null : Math.round(set.percent()) + " % of " + slot.basis().key();
  }

  private static List<String> notes(ResolvedSet set, CardDocument.CardSlot slot, MassUnit unit) {
    List<String> notes = new ArrayList<>();
    if (set.load() == null) {
      notes.add(slot.last() == null ? "you pick the load" : "last time " + slot.last().shownIn(unit).text());
    }
    if (set.restSeconds() != null) {
      notes.add("rest " + set.restSeconds() / 60 + ":" + String.format(Locale.ROOT, "%02d", set.restSeconds() % 60) + " after");
    }
    if (set.tempo() != null) {
      notes.add("tempo " + set.tempo());
    }
    if (set.stop() != null) {
      notes.add(set.stop().equals("form") ? "stop when form goes" : "stop at " + set.stop());
    }
    return notes;
  }

  private static TableView table(BackOffTable table, MassUnit unit) {
    return new TableView(table.part(), table.each(), table.rows().stream()
        .map(row -> List.of(row.reference().shownIn(unit).number(), row.then().total().shownIn(unit).number(),
            Loading.sideText(row.then().perSide(), unit)))
        .toList());
  }
}
