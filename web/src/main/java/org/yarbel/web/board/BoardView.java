package org.yarbel.web.board;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.track.Estimate;
import org.yarbel.web.journal.Undo;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.line.LineView;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;

/**
 * A lifter's week as the board shows it. Days that stand in addresses are ISO text: a template would write a date as the
 * visitor's language does.
 *
 * @param pains what hurts or holds back, to have in sight while writing
 */
public record BoardView(long lifterId, String lifter, String unit, List<NumberView> numbers, List<String> pains, String week,
    String monday, String before, String after, List<DayView> days, WeekPanel panel, Undo.Steps history) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
  private static final DateTimeFormatter NAME = DateTimeFormatter.ofPattern("EEE", Locale.ENGLISH);

  /** What is drawn anew after a change: the sums and findings of the week. */
  public record Panel(WeekPanel panel, List<DayView> days, Undo.Steps history, long lifterId, String monday) {}

  /** A main lift's number in the head of the board. */
  public record NumberView(String lift, String number, @Nullable String sd, String basis) {}

  /** A place to train in; the usual one stands for itself. */
  public record PlaceView(long id, String name, boolean usual) {}

  /**
   * A day with its lines, or a day of rest.
   *
   * @param placeId where it is not the usual place
   * @param places to choose from; none when there is only one
   */
  public record DayView(long lifterId, String date, String name, String label, boolean today, @Nullable Long sessionId, long logged,
      List<SlotView> slots, @Nullable Long placeId, List<PlaceView> places) {
    /** What a further line most likely is: the main lift first, then a second one, then assistance. */
    public String nextKind() {
      return switch (slots.size()) {
        case 0 -> SlotKind.MAIN.name();
        case 1 -> SlotKind.SECOND.name();
        default -> SlotKind.ASSISTANCE.name();
      };
    }
  }

  /** The group that begins with a line. */
  public record GroupView(int number, Group group, boolean again) {}

  /**
   * One line.
   *
   * @param date of its day
   * @param lift its name, or what was typed
   * @param work the text in the field: what is stored, or what was typed and not taken
   * @param stored what is stored
   * @param details what stands in the fields beside the work
   * @param said what is said there, in words
   * @param begins the group it begins; null where it begins none
   * @param grouped whether it is done by turns with others
   * @param again whether it does another line a second time, and follows that
   * @param note what became of a change; null for nothing to say
   * @param errors what is wrong with the fields beside the work
   * @param word why its card waits for the coach's word; null when it does not
   */
  public record SlotView(long id, long lifterId, long sessionId, String date, String kind, String lift, String work, String stored,
      int version, LineView line, DetailsForm details, List<String> said, List<String> bars, @Nullable GroupView begins,
      boolean grouped, boolean again, From from, @Nullable String note, boolean refused, Map<String, String> errors,
      @Nullable String word) {
    /**
     * Where the line comes from.
     *
     * @param method whether a method wrote it
     * @param ceiling what it stays under in an easy week; null in others
     * @param wrote what the method would write where somebody changed it; else null
     */
    public record From(boolean method, boolean forecast, @Nullable String wrote, @Nullable String remark, @Nullable String ceiling) {}

    static SlotView of(Slot slot, String lift, long lifterId, LocalDate day, LineView line, List<String> bars, Groups groups,
        @Nullable Slot above, @Nullable Deload easy, @Nullable String word) {
      Groups.Numbered own = groups.numbered(slot.groupNo()).orElse(null);
      Group group = groups.group(slot.groupNo());
      boolean first = own != null && group != null && (above == null || !slot.groupNo().equals(above.groupNo()));
      return new SlotView(slot.id(), lifterId, slot.sessionId(), day.toString(), slot.kind().name(), lift, slot.work(), slot.work(),
          slot.version(), line, DetailsForm.of(slot.details()), words(slot.details()), bars,
          first ? new GroupView(own.number(), group, own.again() != null) : null, own != null, slot.linkOf() != null, from(slot, easy),
              null, false, Map.of(), word);
    }

    private static From from(Slot slot, @Nullable Deload easy) {
      return new From(slot.origin() != null, slot.forecast(), slot.edited()
          ? slot.writtenLift().orElse("") + " " + slot.writtenWork().orElse("")
          : null, slot.remark(),
          easy == null ? null : "Deload: " + easy.ceiling());
    }

    private static List<String> words(Details details) {
      List<String> words = new ArrayList<>();
      if (details.optional()) {
        words.add("left to the lifter");
      }
      add(words, "", details.bar());
      add(words, "", details.gearWords());
      add(words, "why: ", details.reason());
      add(words, "cues: ", details.cues());
      add(words, "mind: ", details.mind());
      add(words, "warm-up by hand: ", details.ramp());
      return words;
    }

    private static void add(List<String> words, String label, @Nullable String text) {
      if (text != null) {
        words.add(label + text);
      }
    }

    SlotView noting(String text) {
      return new SlotView(id, lifterId, sessionId, date, kind, lift, work, stored, version, line, details, said, bars, begins, grouped,
          again, from, text, false, errors, word);
    }

    SlotView refusing(String typedKind, String typedLift, String typed, DetailsForm typedDetails, LineView typedLine, String text,
        Map<String, String> wrong) {
      return new SlotView(id, lifterId, sessionId, date, typedKind, typedLift, typed, stored, version, typedLine,
          typedDetails.present() ? typedDetails : details, said, bars, begins, grouped, again, from, text, true, wrong, word);
    }

    /** What is wrong with a field; null when nothing is. */
    public @Nullable String error(String field) {
      return errors.get(field);
    }

    /** Whether anything beside the work is out of the ordinary, or wrong. */
    public boolean open() {
      return !errors.isEmpty();
    }
  }

  static List<NumberView> numbers(List<LiftNumbers> all, Lifter lifter, LocalDate today) {
    List<NumberView> views = new ArrayList<>();
    for (Lift lift : Catalogue.standard().powerlifts()) {
      all.stream().filter(n -> n.lift().equals(lift.key())).findFirst().ifPresent(own -> {
        Estimate estimate = own.estimate(lifter.unit(), today);
        Mass tested = own.tested();
        Mass shown = estimate != null ? estimate.max() : tested;
        if (shown != null) {
          views.add(new NumberView(lift.name(), shown.shownIn(lifter.unit()).amountIn(lifter.unit(), 1).toPlainString(),
              estimate == null ? null : estimate.sd().amountIn(lifter.unit(), 1).toPlainString(), own.basis().key()));
        }
      });
    }
    return views;
  }

  static DayView day(long lifterId, LocalDate date, LocalDate today, @Nullable TrainingSession session, long logged,
      List<SlotView> slots, List<PlaceView> places) {
    return new DayView(lifterId, date.toString(), NAME.format(date), DAY.format(date), date.equals(today),
        session == null ? null : session.id(), logged, slots, session == null ? null : session.placeId(), places);
  }
}
