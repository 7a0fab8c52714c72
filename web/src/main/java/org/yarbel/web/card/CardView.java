package org.yarbel.web.card;

import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.BodyPlace;
import org.yarbel.core.log.MarkList;
import org.yarbel.core.log.TechniqueMark;
import org.yarbel.core.log.WornFrom;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.plan.Group;
import org.yarbel.web.form.Shown;
import org.yarbel.web.log.LeftSets;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Opinion;
import org.yarbel.web.log.SetInWords;
import org.yarbel.web.log.Stopped;
import org.yarbel.web.page.Choice;
import org.yarbel.web.skyline.PlatePicture;
import org.yarbel.web.skyline.Skyline;

/**
 * A card as its page shows it.
 *
 * @param panels the sets in the order they are lifted
 * @param current the panel in the foreground; null when there is nothing to lift
 * @param tables what the back-offs become for every top load, for the page's script to look up without a network
 * @param paper the same on paper
 * @param open lines with sets that nobody has tried, which a session can be ended with
 * @param ended what was left when it was ended; empty while it goes on
 * @param gone what was done of lines that were taken out since
 * @param ahead whether its day is to come
 * @param around what stands around the sets
 * @param easy an easier session for a low day; null where none is offered
 */
public record CardView(
    long sessionId,
    int number,
    String lifter,
    long lifterId,
    String day,
    String date,
    MassUnit unit,
    String step,
    Skyline skyline,
    List<SlotView> slots,
    List<PanelView> panels,
    @Nullable String current,
    int done,
    int total,
    Map<String, LookUp> tables,
    List<PaperSlot> paper,
    List<OpenLine> open,
    List<String> ended,
    List<String> gone,
    boolean ahead,
    CardAround around,
    @Nullable EasyView easy) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
  /** A phone's width less its margins. */
  private static final double SKYLINE_WIDTH = 358;
  private static final double SKYLINE_HEIGHT = 56;

  /**
   * One line of work.
   *
   * @param words the line read out
   * @param group the group it is done in, in words; null for none
   * @param total what the times of its group come to so far; null where they are not told together
   * @param warm the warm-up in one line; empty for none
   * @param todaysMax today's max after what was lifted of the lift today, in words; null before
   * @param notes what is said beside the work
   * @param asks what may be said of its sets
   * @param speeds at which speeds the bar came before, by rating; empty where nothing was measured
   */
  public record SlotView(UUID ref, String kind, String lift, String work, String words, @Nullable String basis, @Nullable String group,
      @Nullable String total,
      List<StepView> ramp, String warm, @Nullable String todaysMax, List<SetView> sets, List<Minded> cautions, boolean optional,
      List<String> notes, @Nullable String problem, Asks asks, String speeds) {}

  /**
   * What may be said of the sets of a line.
   *
   * @param marks of technique
   * @param gear the pieces that are worn for it
   * @param loads the places of the body it loads, by their names
   */
  public record Asks(List<TechniqueMark> marks, List<Gear> gear, String loads) {
    /** The pieces to choose from. */
    public List<Choice> pieces() {
      return Choice.of(gear, Gear::word);
    }

    /** Nothing said, to be filled by a script. */
    public BesideView nothing() {
      return BesideView.NOTHING;
    }

    static Asks of(Optional<Lift> lift, List<WornFrom> normal) {
      Set<Gear> worn = normal.stream().map(WornFrom::gear).collect(Collectors.toSet());
      return new Asks(lift.map(MarkList::of).orElse(MarkList.ASSISTANCE).marks(),
          Arrays.stream(Gear.values()).filter(piece -> worn.contains(piece) || lift.filter(piece::serves).isPresent()).toList(),
          Arrays.stream(BodyPlace.values()).filter(place -> lift.filter(place::loadedBy).isPresent()).map(Enum::name)
              .collect(Collectors.joining(" ")));
    }
  }

  /** A line with sets that nobody has tried: how many of how many. */
  public record OpenLine(UUID ref, String lift, long owed, int sets, boolean begun) {}

  /**
   * The ways to go on after a miss of what back-offs hang on.
   *
   * @param lighter the load of a lighter attempt; null on the attempt itself, and where none is offered any more
   * @param panel where that is; null where there is none
   * @param cut the load of a back-off that is cut; null on the attempt itself
   * @param due whether they are to be shown
   * @param first whether the attempt comes before what else waits: not where a max was made
   */
  public record AfterMissView(@Nullable String lighter, @Nullable String panel, @Nullable String cut, boolean due, boolean first) {}

  /**
   * Asks why a set had no more reps.
   *
   * @param asked the least reps that were asked; null for as many as go
   * @param open whether it stands open: reps are missing, or the end of the set says most of it
   */
  public record WhyView(@Nullable Integer asked, boolean open) {}

  /**
   * What others say of a rating.
   *
   * @param words all of it; empty where nobody and nothing says anything
   * @param rpe how hard it looked to a coach, as it is chosen; empty where none said
   * @param from what that comes from; null where none said
   */
  public record OpinionView(String words, String rpe, Opinion.@Nullable From from) {}

  /** Something to mind, with its reason. */
  public record Minded(String text, @Nullable String reason, boolean hurts) {}

  /** One warm-up; one that is not below what was lifted first is not needed. */
  public record StepView(String load, int reps, PlatePicture plates, String side, boolean needless) {}

  /**
   * One set in its turn.
   *
   * @param round of its group in words; null outside a group
   * @param rest seconds after it; 0 for none
   * @param usual whether the rest is the usual one and nobody said so
   * @param next what comes after it; null after the last
   * @param skip the panel behind the line it belongs to, for a line left to the lifter; null where there is none
   */
  public record PanelView(SlotView slot, SetView set, @Nullable String round, int rest, boolean usual, @Nullable NextView next,
      @Nullable String skip) {}

  /**
   * What comes after a set, such as "Squat, back-off 1 of 4: 155 × 4".
   *
   * @param load by itself, since it may follow what is logged
   */
  public record NextView(String panel, String what, String load, String asked) {
    static NextView of(SlotView slot, SetView set) {
      return new NextView(set.panel(), slot.lift() + ", " + set.title(), set.load().isEmpty() ? "you pick" : set.load(), set.asked());
    }
  }

  /**
   * One set.
   *
   * @param panel its id: slot, part and set
   * @param load what to lift, empty when the lifter picks
   * @param asked the reps and RPE in words: {@code × 4 @8}
   * @param seen the version of what was logged, −1 when nothing was
   * @param clock what its clock counts; null where it has none
   * @param cautions what to mind, on the first set of the line and of the part it is about
   * @param needless whether nobody needs to do it any more
   * @param left whether the session was ended before it
   * @param attempt whether it is a further attempt behind what was asked
   * @param afterMiss the ways to go on after a miss; null where none is to be shown
   * @param fromToday the load worked from today's max, where it stands beside; null where it does not
   * @param why how its reps ended may be asked; null where reps are not counted to the last
   * @param ends the RPE that ends its part once a set is rated so; empty where none does
   * @param beside what stands beside its figures
   * @param opinion what others say of its rating; null where it is not rated
   * @param from why it weighs what it does, on the first set of a part; else empty
   */
  public record SetView(String panel, UUID ref, int part, int set, String title, String load, String asked,
      @Nullable String share, @Nullable PlatePicture plates, List<String> notes, boolean logged, boolean missed,
      @Nullable String doneWords, int seen, boolean dependent, Filled filled, boolean first, @Nullable ClockView clock,
      boolean countsReps, boolean asksSeconds, boolean asksMetres, boolean asksEnd, boolean rated, boolean warm,
          List<Minded> cautions, boolean needless,
      boolean left, boolean attempt, @Nullable AfterMissView afterMiss, @Nullable String fromToday, @Nullable WhyView why, String ends,
      BesideView beside, @Nullable OpinionView opinion, String from) {
    /** What became of it, in a word; empty while it is to be done. */
    public String state() {
      if (logged) {
        return missed ? "missed" : "done";
      }
      if (needless) {
        return "not needed";
      }
      if (left) {
        return "left";
      }
      return attempt ? "if you like" : "";
    }

    /** Whether it is an attempt that comes before what else waits. */
    boolean comesFirst() {
      return attempt && afterMiss != null && afterMiss.due() && afterMiss.first();
    }

    /** Whether it waits to be lifted. */
    boolean waits() {
      return !logged && !needless && !left && !attempt;
    }
  }

  /**
   * What a clock counts; 0 for what it does not.
   *
   * @param kind {@code cluster}, {@code density}, {@code emom}, {@code hold}, {@code limit} or {@code tempo}
   * @param key the clock goes on from set to set where it is the same
   * @param enough singles of a round; with fewer the advice is told
   * @param advice before or after it; empty for none
   */
  public record ClockView(String kind, String key, int seconds, int gap, int every, int count, String tempo, String label, int enough,
      String advice) {
    ClockView(String kind, String key, int seconds, int gap, int every, int count, String tempo, String label) {
      this(kind, key, seconds, gap, every, count, tempo, label, 0, "");
    }
  }

  /**
   * What stands in the fields of a panel, with what is wrong beside each.
   *
   * @param also what was tapped beside the figures and not taken; null where nothing was refused
   */
  public record Filled(String key, String load, String reps, String rpe, String seconds, String metres,
      @Nullable Stopped stopped, @Nullable HowEnded ended, Map<String, String> errors, @Nullable EntryQuestion question,
      @Nullable String changed, @Nullable SaidForm also) {
    static Filled of(String load, String reps, String rpe, String seconds, String metres, @Nullable Stopped stopped,
        @Nullable HowEnded ended) {
      return new Filled(UUID.randomUUID().toString(), load, reps, rpe, seconds, metres, stopped, ended, Map.of(), null, null, null);
    }
  }

  /**
   * A question about an entry.
   *
   * @param instead the load that may have been meant; null where nothing tells
   * @param was the outcome that was pressed
   */
  public record EntryQuestion(String text, @Nullable String instead, String was) {}

  /** A table of back-offs in the lifter's unit: reference, load and plates of each row. */
  public record TableView(int part, boolean each, List<List<String>> rows) {}

  /**
   * What today's max becomes by the top set, in the lifter's unit.
   *
   * @param panel of the top set
   * @param rows load, rating, words, and what back-offs weigh from it: part and load by turns
   */
  public record TodayView(String panel, String reps, List<List<String>> rows) {}

  /** All that a phone looks up of a line. */
  public record LookUp(List<TableView> backOffs, @Nullable TodayView today) {}

  /**
   * Which panel is to stand open.
   *
   * @param panel the one asked for; null for the next one not done
   * @param after the one just logged, behind which the next is looked for first; null for none
   * @param refused what was typed into the panel asked for and was not taken; null without such
   * @param forms what was typed into the forms around the sets and was not taken, by the name of the form
   */
  public record Wanted(@Nullable String panel, @Nullable String after, @Nullable Filled refused, Map<String, Shown> forms) {
    /** Of a card that is simply opened. */
    static final Wanted NEXT = new Wanted(null, null, null);

    /** Of its sets alone. */
    Wanted(@Nullable String panel, @Nullable String after, @Nullable Filled refused) {
      this(panel, after, refused, Map.of());
    }

    private static final Pattern PANEL = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}(-\\d{1,10}){2}");

    public Wanted {
      // both come out of addresses, and go into the next one: what can be no panel is none
      panel = panel != null && PANEL.matcher(panel).matches() ? panel : null;
      after = after != null && PANEL.matcher(after).matches() ? after : null;
    }
  }

  static CardView of(CardService.Card card, Wanted wanted) {
    CardDocument document = card.document();
    List<SlotView> slots = slots(card, wanted);
    CardPanels turns = CardPanels.of(document, slots);
    List<SetView> sets = turns.panels().stream().map(PanelView::set).toList();
    return new CardView(card.session().id(), document.number(), card.lifter().name(), card.lifter().id(),
        DAY.format(document.day()), document.day().toString(), document.unit(), document.unit().usualStep().toPlainString(),
        skyline(card), slots, turns.panels(), turns.current(wanted).orElse(null), (int) sets.stream().filter(SetView::logged).count(),
        turns.owed(), tables(card), slots.stream().map(PaperSlot::of).toList(), open(card, slots), ended(card, slots),
        card.gone(), card.ahead(), CardAround.of(card, wanted),
        EasyView.of(card));
  }

  private static List<SlotView> slots(CardService.Card card, Wanted wanted) {
    Map<String, LoggedSetRow> rows = new HashMap<>();
    for (LoggedSetRow row : card.logged()) {
      rows.put(panel(row.line(), row.loggedSet().part(), row.loggedSet().set()), row);
    }
    Map<Integer, String> totals = totals(card);
    return card.document().slots().stream().map(slot -> CardLines.slot(card, slot, rows, totals, wanted)).toList();
  }

  private static Map<String, LookUp> tables(CardService.Card card) {
    Map<String, LookUp> tables = new LinkedHashMap<>();
    MassUnit unit = card.document().unit();
    card.document().slots().forEach(slot -> {
      IssuedLines.Beside beside = card.beside().get(slot.ref());
      tables.put(slot.ref().toString(), new LookUp(slot.tables().stream().map(table -> CardLines.table(table, slot, unit)).toList(),
          beside == null || beside.table() == null ? null : CardLines.today(beside.table(), slot, unit)));
    });
    return tables;
  }

  private static Skyline skyline(CardService.Card card) {
    List<Skyline.SkylineLine> lines = new ArrayList<>();
    for (CardDocument.CardSlot slot : card.document().slots()) {
      ResolvedLine line = card.lines().get(slot.ref());
      if (line != null) {
        lines.add(new Skyline.SkylineLine(line, card.document().scale(slot), slot.ref().toString()));
      }
    }
    return Skyline.of(lines, SKYLINE_WIDTH, SKYLINE_HEIGHT);
  }

  /** What the times of each medley come to, by the number of its group. */
  private static Map<Integer, String> totals(CardService.Card card) {
    Map<UUID, Integer> medleys = new HashMap<>();
    card.document().slots().stream().filter(slot -> slot.group() != null && slot.group().group().kind() == Group.Kind.MEDLEY)
        .forEach(slot -> medleys.put(slot.ref(), slot.group().number()));
    Map<Integer, Integer> tenths = new HashMap<>();
    card.logged().stream().filter(row -> row.doneTenths() != null && medleys.containsKey(row.line()))
        .forEach(row -> tenths.merge(medleys.get(row.line()), row.doneTenths(), Integer::sum));
    Map<Integer, String> totals = new HashMap<>();
    tenths.forEach((group, sum) -> totals.put(group, SetInWords.seconds(sum) + " s in all"));
    return totals;
  }

  private static List<OpenLine> open(CardService.Card card, List<SlotView> slots) {
    return slots.stream().filter(slot -> card.owed(slot.ref()) > 0 && card.beside().get(slot.ref()).left() == null)
        .map(slot -> new OpenLine(slot.ref(), slot.lift(), card.owed(slot.ref()), (int) slot.sets().stream()
            .filter(set -> !set.attempt()).count(), slot.sets().stream().anyMatch(SetView::logged))).toList();
  }

  private static List<String> ended(CardService.Card card, List<SlotView> slots) {
    List<String> ended = new ArrayList<>();
    slots.forEach(slot -> {
      LeftSets.Why why = card.beside().containsKey(slot.ref()) ? card.beside().get(slot.ref()).left() : null;
      if (why != null) {
        ended.add(slot.lift() + ": " + card.owed(slot.ref()) + " of " + slot.sets().size() + " " + why.word());
      }
    });
    return ended;
  }

  public boolean issued() {
    return number > 0;
  }

  /** Whether it can be taken: its day is there, and it was not issued yet. */
  public boolean due() {
    return !issued() && !ahead && !slots.isEmpty();
  }

  public boolean finished() {
    return total > 0 && done == total;
  }

  /** How many sets were asked: those that are done or owed, and those the session was ended before. */
  public long asked() {
    return total + panels.stream().map(PanelView::set).filter(set -> set.left() && !set.logged()).count();
  }

  /** What stands beside the figures of each set, for the page's script to fill fields with. */
  Map<String, BesideView.State> besides() {
    Map<String, BesideView.State> besides = new LinkedHashMap<>();
    panels.forEach(panel -> besides.put(panel.set().panel(), panel.set().beside().state()));
    return besides;
  }

  static String panel(UUID line, int part, int set) {
    return line + "-" + part + "-" + set;
  }
}
