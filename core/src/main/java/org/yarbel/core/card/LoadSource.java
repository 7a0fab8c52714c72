package org.yarbel.core.card;

import java.math.BigDecimal;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.Basis;

/**
 * Where the load of a set comes from, such as '75 % of the squat's estimated max of 182.5 kg, as of 2 March'. It is data: what is
 * said of a load, and the formulas of a workbook, are made from it, so that both say what the resolver did.
 */
public sealed interface LoadSource {
  /**
   * The number of a lift that a load is a part of.
   *
   * @param lift its key; null for the lift of the line
   * @param on the day it was tested, estimated or is aimed at; null where that is not known
   * @param ratioOf the lift whose estimate it was taken from by the ratio, by its key; null where it is the lift's own
   */
  record Number(@Nullable String lift, Basis basis, Mass value, @Nullable LocalDate on, @Nullable String ratioOf) {
    static Number of(@Nullable String lift, Basis basis, Mass value, MaxNumbers numbers) {
      MaxNumbers.Origins origins = numbers.origins();
      return new Number(lift, basis, value, origins.on(basis), basis == Basis.ESTIMATED || basis == Basis.TRAINING
          ? origins.ratioOf() : null);
    }
  }

  /**
   * What hangs on the bar at the point that is meant, so that the bar weighs more or less than that.
   *
   * @param more what helps there; null at the top, where nothing does
   * @param less what pulls there; null where the bar itself is meant
   */
  record Hung(@Nullable Mass more, @Nullable Mass less) {
    /** Nothing hangs there, or the bar itself is meant. */
    public static final Hung NOTHING = new Hung(null, null);

    /** Whether the bar weighs what is meant. */
    public boolean nothing() {
      return less == null;
    }
  }

  /**
   * A set that was worked out before.
   *
   * @param above whether it is the set just above in the same part, as of falling sets; else the heaviest of the parts before
   */
  record Set(LoggedSet.Place place, boolean above) {}

  /**
   * A share of a number.
   *
   * @param from in %, the lower end of a range
   * @param to its upper end; null for no range
   */
  record Share(Number of, BigDecimal from, @Nullable BigDecimal to, Hung hung) implements LoadSource {}

  /**
   * What so many reps at an RPE are by the effort chart.
   *
   * @param toFailure reps to failure, those in reserve counted
   * @param share of it, 1 for all
   */
  record ByChart(Number of, double toFailure, double share, Hung hung) implements LoadSource {}

  /**
   * Less than a set before; one of both is null.
   *
   * @param percent so many % less
   * @param mass so much less
   */
  record Drop(Set from, @Nullable BigDecimal percent, @Nullable Mass mass) implements LoadSource {}

  /**
   * A share of a set before.
   *
   * @param from in %, the lower end of a range
   * @param to its upper end; null for no range
   */
  record ShareOfSet(Set of, BigDecimal from, @Nullable BigDecimal to) implements LoadSource {}

  /** The lifter's own body, with something added; null for nothing. */
  record OfBody(Mass body, @Nullable Mass added) implements LoadSource {}

  /** A mass somebody wrote down. */
  record Written() implements LoadSource {}

  /** The lifter picks it. */
  record Picked() implements LoadSource {}

  /** How a load becomes one that can be lifted. */
  enum Rounding {
    /** The nearest that loads, the lower of two equally near. */
    NEAREST,
    /** The one below, where a miss costs the set. */
    DOWN,
    /** It is what it is. */
    NONE
  }
}
