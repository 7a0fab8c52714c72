package org.yarbel.core.call;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** All the rules there are, and what they make of a lifter: in the order a coach would look at it. */
public final class CallRules {
  private static final List<CallRule> ALL = List.of(new Hurts(), new FormWent(), new Missed(), new MissedWithReason(), new MissedSingle(),
      new Stall(), new ReadinessLow(), new MissedDays(), new Deloading(), new NumbersMoved(), new TooEasyOrHard(), new GoalOff(),
      new MilestoneAhead(), new Ratings(), new Slower(), new OverPlan(), new TestDue(), new ClassDrift());

  private CallRules() {}

  /** Every rule. */
  public static List<CallRule> all() {
    return ALL;
  }

  /** The rule of a key. */
  public static Optional<CallRule> ofKey(String key) {
    return ALL.stream().filter(rule -> rule.key().equals(key)).findFirst();
  }

  /**
   * What they make of a lifter. What would make a lift heavier that hurts is left out; what has no proposal left goes.
   */
  public static List<Call> look(Picture picture) {
    List<Call> calls = new ArrayList<>();
    ALL.forEach(rule -> rule.look(picture).forEach(call -> sound(picture, call).ifPresent(calls::add)));
    calls.sort(ORDER);
    return calls;
  }

  /** Cautions first, then misses, then what is due, then the rest; the surer before the less sure. */
  public static final Comparator<Call> ORDER = Comparator.comparing(Call::urgency)
      .thenComparing(Call::confidence, Comparator.reverseOrder())
      .thenComparing(Call::matter);

  /** The call with what can be stood for, and whether it is safe. */
  private static Optional<Call> sound(Picture picture, Call call) {
    List<Proposal> left = new ArrayList<>();
    for (Proposal proposal : call.proposals()) {
      if (LineChange.of(picture, proposal.effects()).stream().noneMatch(change -> change.heavier()
          && picture.hurts(picture.context().lift(change.lift())))) {
        left.add(proposal);
      }
    }
    boolean nothing = left.stream().allMatch(proposal -> proposal.effects().isEmpty());
    boolean had = call.proposals().stream().anyMatch(proposal -> !proposal.effects().isEmpty());
    return nothing && had ? Optional.empty() : Optional.of(call.with(nothing || call.safe() && safe(picture, left), left));
  }

  /** Whether the first proposal can be taken without looking twice: at most one step or 2.5 %, on nothing that hurts. */
  private static boolean safe(Picture picture, List<Proposal> proposals) {
    if (proposals.isEmpty() || proposals.get(0).effects().isEmpty()) {
      return true;
    }
    boolean tame = proposals.get(0).effects().stream().allMatch(effect -> effect.accept(Tame.ONE));
    return tame && LineChange.of(picture, proposals.get(0).effects()).stream().allMatch(change -> change.before() == null
        || change.small(picture.step()) && !picture.hurts(picture.context().lift(change.lift())));
  }

  /** Whether an edit is of a kind that can be safe. */
  private enum Tame implements Effect.Some<Boolean> {
    ONE;

    @Override
    public Boolean other(Effect edit) {
      return true;
    }

    @Override
    public Boolean rewrite(Effect.Rewrite edit) {
      return edit.lift().equals(edit.toLift());
    }

    @Override
    public Boolean easyWeek(Effect.EasyWeek edit) {
      return false;
    }

    @Override
    public Boolean setting(Effect.Setting edit) {
      return false;
    }

    @Override
    public Boolean another(Effect.Another edit) {
      return false;
    }
  }
}
