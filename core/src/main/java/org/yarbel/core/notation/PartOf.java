package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.mass.Mass;

/**
 * A part of a line while a rule puts it together, such as {@code PartOf.sets(4, 8).percent(75, Basis.TRAINING)}: {@code 4x8 75% tm}.
 * Nothing is written as text and read again. Percentages have at most two decimals, RPEs are in halves.
 */
public final class PartOf {
  private final Work work;
  private final List<Option> options = new ArrayList<>();
  private @Nullable Load load;
  private @Nullable RpeTarget rpe;

  private PartOf(Work work) {
    this.work = work;
  }

  /** A part of some work, its load and effort left open. */
  public static PartOf of(Work work) {
    return new PartOf(work);
  }

  /** Sets of so many reps. */
  public static PartOf sets(int sets, int reps) {
    return of(new Work.SetsOfReps(sets, new Reps.Exactly(reps)));
  }

  /** Sets of so many reps, the last of them of as many as go. */
  public static PartOf plus(int sets, int reps) {
    return of(new Work.SetsOfReps(sets, new Reps.AtLeast(reps)));
  }

  /** Sets of reps from one number to another. */
  public static PartOf between(int sets, int from, int to) {
    return of(new Work.SetsOfReps(sets, new Reps.Between(from, to)));
  }

  /** Sets of as many reps as go. */
  public static PartOf open(int sets) {
    return of(new Work.SetsOfReps(sets, new Reps.Open()));
  }

  /** At a share of the number percentages are of. */
  public PartOf percent(double percent) {
    return percent(percent, null);
  }

  /** At a share of a number; of the lift's own where none is named. */
  public PartOf percent(double percent, @Nullable Basis basis) {
    return loaded(new Load.Percent(figure(percent), null, basis, null));
  }

  /** At a share of the max of another lift, by its key. */
  public PartOf percentOf(double percent, String lift) {
    return loaded(new Load.Percent(figure(percent), null, null, lift));
  }

  /** At a mass. */
  public PartOf mass(Mass mass) {
    return loaded(new Load.OfMass(mass));
  }

  /** So many percent lighter than the top set. */
  public PartOf lighter(double percent) {
    return loaded(new Load.Drop(figure(percent), null, false));
  }

  /** At a share of the top set. */
  public PartOf ofTop(double percent) {
    return loaded(new Load.ShareOfTop(figure(percent), null));
  }

  /** At an RPE in halves. */
  public PartOf rpe(double value) {
    rpe = new RpeTarget(Rpe.of(value), null);
    return this;
  }

  /** With something said beside it. */
  public PartOf with(Option option) {
    options.add(option);
    return this;
  }

  private PartOf loaded(Load other) {
    load = other;
    return this;
  }

  private static BigDecimal figure(double number) {
    BigDecimal rounded = BigDecimal.valueOf(number).setScale(2, RoundingMode.HALF_UP).stripTrailingZeros();
    return rounded.scale() < 0 ? rounded.setScale(0, RoundingMode.UNNECESSARY) : rounded;
  }

  /** The part as it is so far. */
  public Part part() {
    return new Part(work, load, rpe, options);
  }

  /** A line of this part alone. */
  public WorkLine line() {
    return line(this);
  }

  /** A line of parts, in the order they are done. */
  public static WorkLine line(PartOf... parts) {
    return new WorkLine(Arrays.stream(parts).map(PartOf::part).toList());
  }
}
