package org.yarbel.web.call;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.Call;
import org.yarbel.core.call.Effect;
import org.yarbel.core.call.LineChange;
import org.yarbel.core.call.Picture;
import org.yarbel.core.call.Proposal;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Role;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.NotationException;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.plan.LineLoads;

/**
 * What the proposals of a call come to, as a coach reads it before anything is taken: the lines before and after with their loads and
 * the plates of the heaviest set.
 */
public record Shown(List<ShownProposal> proposals) {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  /** One proposal: its words, the lines it changes, and what else it does. */
  public record ShownProposal(String words, List<ShownLine> lines, List<String> others) {}

  /**
   * A line that would change.
   *
   * @param number of the edit in its proposal, by which a coach types it otherwise; under 0 where it only follows from another edit
   * @param before what it says and comes to now; empty where it is new
   */
  public record ShownLine(int number, String day, String lift, String before, String beforeLoads, String after, String afterLoads,
      String plates) {}

  /**
   * A line as a coach types it.
   *
   * @param wrong why it comes to nothing; null where it is fine
   */
  public record TypedLine(String loads, String plates, @Nullable String wrong) {}

  /** What an edit comes to that is typed otherwise than it was proposed. */
  static TypedLine typed(Picture picture, Effect effect, String text) {
    try {
      WorkLine.parse(text);
      List<LineChange> changes = LineChange.of(picture, Taking.edited(List.of(effect), Map.of(0, text)));
      boolean comes = !changes.isEmpty() && changes.stream().allMatch(change -> change.after() != null);
      return comes ? new TypedLine(loads(changes.get(0).after()), plates(changes.get(0).after()), null) : new TypedLine("", "",
          "That cannot be worked out for this lifter: a number it asks for is missing, or it is over what may be asked.");
    } catch (NotationException unread) {
      return new TypedLine("", "", unread.problems().get(0).message());
    }
  }

  static Shown of(Picture picture, Call call) {
    return new Shown(call.proposals().stream().map(proposal -> proposal(picture, proposal)).toList());
  }

  private static ShownProposal proposal(Picture picture, Proposal proposal) {
    List<ShownLine> lines = new ArrayList<>();
    List<String> others = new ArrayList<>();
    for (int i = 0; i < proposal.effects().size(); i++) {
      Effect effect = proposal.effects().get(i);
      boolean typed = effect instanceof Effect.Rewrite || effect instanceof Effect.Add;
      int number = typed ? i : -1;
      LineChange.of(picture, List.of(effect)).forEach(change -> lines.add(line(picture, effect, change, number)));
      String words = effect.accept(new Words(picture));
      if (!words.isEmpty()) {
        others.add(words);
      }
    }
    return new ShownProposal(proposal.words(), lines, others.stream().distinct().toList());
  }

  private static ShownLine line(Picture picture, Effect effect, LineChange change, int number) {
    String lift = name(picture, change.lift());
    String before = change.was();
    if (effect instanceof Effect.Rewrite edit && !edit.lift().equals(edit.toLift())) {
      before = name(picture, edit.lift()) + " " + before;
    }
    return new ShownLine(number, DAY.format(change.day()), lift, before, loads(change.before()), change.work(), loads(change.after()),
        plates(change.after()));
  }

  private static String name(Picture picture, String key) {
    return picture.context().lifts().ofKey(key).map(Lift::name).orElse(key);
  }

  /** The loads of a line as they are read, such as {@code 182.5 · 155 ×4}. */
  static String loads(@Nullable ResolvedLine line) {
    return line == null ? "" : String.join(" · ", LineLoads.of(line));
  }

  /** What one side of the heaviest set carries: {@code 25 ×2, 10, 2.5 a side}; empty where no plates do. */
  static String plates(@Nullable ResolvedLine line) {
    if (line == null) {
      return "";
    }
    ResolvedSet top = line.sets().stream().filter(set -> set.role() != Role.WARM && set.load() != null && set.perSide() != null)
        .max((one, other) -> Objects.requireNonNull(one.load()).compareTo(Objects.requireNonNull(other.load()))).orElse(null);
    if (top == null || top.perSide() == null || top.perSide().isEmpty()) {
      return "";
    }
    Map<Mass, Integer> counted = new LinkedHashMap<>();
    top.perSide().forEach(plate -> counted.merge(plate, 1, Integer::sum));
    return counted.entrySet().stream().map(entry -> entry.getKey().number() + (entry.getValue() == 1 ? "" : " ×" + entry.getValue()))
        .collect(Collectors.joining(", ")) + " a side";
  }

  /** What an edit does that is no line, in words. */
  private record Words(Picture picture) implements Effect.Visitor<String> {
    @Override
    public String rewrite(Effect.Rewrite edit) {
      return edit.cue() == null ? "" : "Said beside it: " + edit.cue();
    }

    @Override
    public String add(Effect.Add edit) {
      return "";
    }

    @Override
    public String move(Effect.Move edit) {
      return "The session of " + DAY.format(edit.from()) + " on " + DAY.format(edit.to());
    }

    @Override
    public String easyWeek(Effect.EasyWeek edit) {
      LocalDate instead = edit.insteadOf();
      return "The week of " + DAY.format(edit.monday()) + " is a deload: " + edit.kind().meaning()
          + (instead == null ? "" : " That of " + DAY.format(instead) + " is none any more.");
    }

    @Override
    public String number(Effect.Number edit) {
      String what = switch (edit.what()) {
        case TRAINING -> "training max ";
        case GOAL -> "goal ";
        default -> "planned with ";
      };
      return name(picture, edit.lift()) + ", " + what + (edit.before() == null ? "" : about(edit.before()) + " → ") + about(edit.after());
    }

    private static String about(Mass mass) {
      return mass.amountIn(mass.unit(), 1).stripTrailingZeros().toPlainString() + " " + mass.unit().symbol();
    }

    @Override
    public String ofBasis(Effect.OfBasis edit) {
      return name(picture, edit.lift()) + ", percentages of the " + edit.after().key() + " max, no more of the " + edit.before().key();
    }

    @Override
    public String setting(Effect.Setting edit) {
      return edit.words() + ": " + edit.before() + " → " + edit.after();
    }

    @Override
    public String another(Effect.Another edit) {
      return edit.to() == null ? "The method goes on as it was" : edit.to().title() + " from " + DAY.format(Macrocycle.monday(edit.from()));
    }

    @Override
    public String ask(Effect.Ask edit) {
      return "A word to the lifter: “" + edit.words() + "”";
    }
  }
}
