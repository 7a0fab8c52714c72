package org.yarbel.core.card;

import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * Looks at an entry of the log before it is taken, and asks once where it is nowhere near what was to be expected: the load
 * beside the plan, the reps beside those asked, and what the set speaks for beside the tracked max.
 *
 * <p>A day's estimate more than 8 % from the tracked one, and a single that back-offs hang on more than 5 % from it, are
 * asked about; the other limits are our own defaults.
 */
public final class EntryCheck {
  private static final double DAY = 0.08;
  private static final double SINGLE = 0.05;
  private static final int MOST_OPEN_REPS = 30;
  private static final int MORE_REPS = 5;
  private static final int MOST_RATED_REPS = 10;
  private static final double EASIEST = 6;

  private EntryCheck() {}

  /** What was typed of a set; {@code reps} 0 for a miss, {@code easier} rated under 6. */
  public record Typed(Mass load, int reps, @Nullable Rpe rpe, boolean easier, boolean flagged) {}

  /**
   * What was to be expected.
   *
   * @param asked the set as planned
   * @param bar what the bar weighs; 0 where there is none
   * @param max the tracked max; null where none is known or ratings say nothing of it yet
   * @param leads whether back-offs hang on the set
   * @param first whether no other set of the line is logged: later ones may be low because the lifter is tired
   */
  public record Expected(ResolvedSet asked, Mass bar, @Nullable Mass max, EffortChart chart, boolean leads, boolean first) {}

  /** What to ask; empty when the entry looks right. */
  public static Optional<EntryDoubt.Doubt> about(Typed typed, Expected expected) {
    Mass planned = expected.asked().load();
    Optional<EntryDoubt.Doubt> load = planned == null ? Optional.empty() : EntryDoubt.about(typed.load(), planned, expected.bar());
    return load.or(() -> reps(typed, expected.asked())).or(() -> max(typed, expected));
  }

  private static Optional<EntryDoubt.Doubt> reps(Typed typed, ResolvedSet asked) {
    Integer most = asked.repsTo() != null ? asked.repsTo() : asked.reps();
    boolean open = most == null || asked.role() == Role.OPEN || asked.role() == Role.PLUS || asked.role() == Role.TIMED;
    int limit = open ? MOST_OPEN_REPS : 2 * most + MORE_REPS;
    return typed.reps() <= limit ? Optional.empty()
        : Optional.of(new EntryDoubt.Doubt("Is that right? " + typed.reps() + " reps were typed, "
        + (open ? "as many as possible" : most.toString()) + (open || most != 1 ? " were asked." : " was asked."), null));
  }

  private static Optional<EntryDoubt.Doubt> max(Typed typed, Expected expected) {
    Mass max = expected.max();
    if (max == null || max.isZero() || typed.reps() < 1 || typed.reps() > MOST_RATED_REPS || !expected.asked().tellsOfMax()) {
      return Optional.empty();
    }
    Rpe unrated = typed.easier() ? Rpe.MIN : Rpe.MAX;
    OptionalDouble share = expected.chart().fraction(typed.reps(), (typed.rpe() == null ? unrated : typed.rpe()).value());
    if (share.isEmpty()) {
      return Optional.empty();
    }
    double off = typed.load().ratioTo(max) / share.getAsDouble() - 1;
    // unrated, or rated as easy as the scale goes, a set only says what there is at the least
    boolean atLeast = typed.rpe() == null || typed.rpe().value() <= EASIEST;
    boolean low = off < 0 && (atLeast || typed.flagged() || !expected.first());
    boolean single = expected.leads() && typed.reps() == 1 && !atLeast;
    if (low || Math.abs(off) <= (single ? SINGLE : DAY)) {
      return Optional.empty();
    }
    Mass speaks = typed.load().scaled(1 / share.getAsDouble());
    String under = Math.round(100 * Math.abs(off)) + " % " + (off < 0 ? "under" : "over");
    return Optional.of(new EntryDoubt.Doubt("Is that right? It speaks for a max of " + (typed.easier() ? "over " : "")
        + whole(speaks, typed) + " " + typed.load().unit() + ", " + under + " the " + whole(max, typed) + " expected."
        + (single ? " The back-offs follow it." : ""), null));
  }

  private static String whole(Mass mass, Typed typed) {
    return mass.amountIn(typed.load().unit(), 0).toPlainString();
  }
}
