package org.yarbel.core.notation;

import java.math.BigDecimal;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.Refused;

/** How heavy a part is. A part without one leaves the load to its RPE, or to the lifter. */
public sealed interface Load {
  /** Calls the method of this kind. */
  <R> R accept(Visitor<R> visitor);

  /** One method a kind of load. */
  interface Visitor<R> {
    /** Of a share of a max. */
    R percent(Percent load);

    /** Of a share of the top set. */
    R shareOfTop(ShareOfTop load);

    /** Of a load that is written. */
    R mass(OfMass load);

    /** Of the lifter and what is added. */
    R bodyMass(BodyMass load);

    /** Of so much less than another set. */
    R drop(Drop load);
  }

  /** Whether the load is worked out from the heaviest set of the parts before. */
  default boolean needsTop() {
    return false;
  }

  /**
   * A share of one of the lifter's maxes: {@code 75%}, {@code 70-75% tm}, {@code 60% goal of deadlift}.
   *
   * @param from over 0 to 150
   * @param to the upper end of a range, else null
   * @param basis null: the block's
   * @param lift the key of another lift, else null
   */
  record Percent(BigDecimal from, @Nullable BigDecimal to, @Nullable Basis basis, @Nullable String lift)
      implements Load {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.percent(this);
    }

    @Override
    public String toString() {
      return range(from, to) + (basis == null ? "" : " " + basis.word()) + (lift == null ? "" : " of " + lift);
    }
  }

  /** A share of the top set: {@code 80% top}. */
  record ShareOfTop(BigDecimal from, @Nullable BigDecimal to) implements Load {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.shareOfTop(this);
    }

    @Override
    public boolean needsTop() {
      return true;
    }

    @Override
    public String toString() {
      return range(from, to) + " top";
    }
  }

  /** That load: {@code 100kg}. */
  record OfMass(Mass mass) implements Load {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.mass(this);
    }

    @Override
    public String toString() {
      return written(mass);
    }
  }

  /** Body mass, with something added or not: {@code bw}, {@code bw+20kg}. */
  record BodyMass(@Nullable Mass added) implements Load {
    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.bodyMass(this);
    }

    @Override
    public String toString() {
      return added == null ? "bw" : "bw+" + written(added);
    }
  }

  /**
   * Lighter than the top set, or with {@code each} than the set before: {@code -22%}, {@code -10kg}, {@code -5% each}.
   *
   * @param percent over 0, under 100; null when {@code mass} is given
   * @param mass null when {@code percent} is given
   */
  record Drop(@Nullable BigDecimal percent, @Nullable Mass mass, boolean each) implements Load {
    public Drop {
      if ((percent == null) == (mass == null)) {
        throw new Refused("The drop must be either a percentage or a mass");
      }
    }

    /** The load after the drop; nothing lighter than nothing. */
    public Mass from(Mass reference) {
      if (percent != null) {
        return reference.scaled(1 - percent.doubleValue() / 100);
      }
      long left = reference.nanograms() - Objects.requireNonNull(mass).nanograms();
      return Mass.ofNanograms(Math.max(left, 0), reference.unit());
    }

    @Override
    public <R> R accept(Visitor<R> visitor) {
      return visitor.drop(this);
    }

    @Override
    public boolean needsTop() {
      return true;
    }

    @Override
    public String toString() {
      String size = percent != null ? percent.toPlainString() + "%" : written(Objects.requireNonNull(mass));
      return "-" + size + (each ? " each" : "");
    }
  }

  private static String range(BigDecimal from, @Nullable BigDecimal to) {
    return from.toPlainString() + (to == null ? "" : "-" + to.toPlainString()) + "%";
  }

  /** A mass as it is written: {@code 82.5kg}. */
  static String written(Mass mass) {
    return mass.number() + mass.unit();
  }
}
