package org.yarbel.web.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.lift.Level;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.track.MaxTracker;
import org.yarbel.web.club.ClubRow;

/** The numbers of one lifter and lift. The estimate is the tracker's; it is stored so that pages need not re-run it. */
@Entity
public class LiftNumbers extends ClubRow {
  private long lifterId;
  private String lift = "";

  @Enumerated(EnumType.STRING)
  private Level level = Level.INTERMEDIATE;

  @Enumerated(EnumType.STRING)
  private Basis basis = Basis.ESTIMATED;

  private @Nullable Long testedNg;

  @Enumerated(EnumType.STRING)
  private @Nullable MassUnit testedUnit;

  private @Nullable LocalDate testedOn;
  private @Nullable Long goalNg;

  @Enumerated(EnumType.STRING)
  private @Nullable MassUnit goalUnit;

  private @Nullable LocalDate goalOn;
  private @Nullable Long estimateNg;
  private @Nullable Long sdNg;
  private @Nullable LocalDate estimateOn;
  @Version private int version;

  protected LiftNumbers() {}

  public LiftNumbers(long lifterId, String lift) {
    this.lifterId = lifterId;
    this.lift = lift;
  }

  public long lifterId() {
    return lifterId;
  }

  public String lift() {
    return lift;
  }

  public Level level() {
    return level;
  }

  /** What percentages without a basis of their own are of. */
  public Basis basis() {
    return basis;
  }

  public int version() {
    return version;
  }

  public @Nullable Mass tested() {
    return mass(testedNg, testedUnit);
  }

  public @Nullable LocalDate testedOn() {
    return testedOn;
  }

  public @Nullable Mass goal() {
    return mass(goalNg, goalUnit);
  }

  public @Nullable LocalDate goalOn() {
    return goalOn;
  }

  /** The day of the newest log the estimate knows. */
  public @Nullable LocalDate estimateOn() {
    return estimateOn;
  }

  public @Nullable Mass estimate(MassUnit unit) {
    return mass(estimateNg, unit);
  }

  public @Nullable Mass sd(MassUnit unit) {
    return mass(sdNg, unit);
  }

  /** The tested max for the tracker; null without one. */
  public MaxTracker.@Nullable Tested testedForTracking() {
    return testedNg == null || testedOn == null || testedUnit == null
        ? null
        : new MaxTracker.Tested(Mass.ofNanograms(testedNg, testedUnit), testedOn);
  }

  /** All of them as a plan's percentages see them, shown in a unit. */
  public MaxNumbers numbers(MassUnit unit) {
    Mass estimate = estimate(unit);
    return new MaxNumbers(shown(tested(), unit), estimate, estimate == null ? null : MaxNumbers.trainingFrom(estimate),
        shown(goal(), unit));
  }

  /** The same, of this lifter. */
  LiftNumbers of(long owner) {
    this.lifterId = owner;
    return this;
  }

  /** Writes down what the coach decides. */
  public void decide(Level newLevel, Basis newBasis) {
    this.level = newLevel;
    this.basis = newBasis;
  }

  /** Writes down a tested max with its date, or takes it out. */
  public void test(@Nullable Mass max, @Nullable LocalDate on) {
    this.testedNg = max == null ? null : max.nanograms();
    this.testedUnit = max == null ? null : max.unit();
    this.testedOn = max == null ? null : on;
  }

  /** Writes down a goal with its date, or takes it out. */
  public void aim(@Nullable Mass max, @Nullable LocalDate on) {
    this.goalNg = max == null ? null : max.nanograms();
    this.goalUnit = max == null ? null : max.unit();
    this.goalOn = max == null ? null : on;
  }

  /** Takes what the tracker says. */
  public void track(MaxTracker.@Nullable Estimate estimate, @Nullable LocalDate on) {
    this.estimateNg = estimate == null ? null : estimate.max().nanograms();
    this.sdNg = estimate == null ? null : estimate.sd().nanograms();
    this.estimateOn = estimate == null ? null : on;
  }

  private static @Nullable Mass mass(@Nullable Long nanograms, @Nullable MassUnit unit) {
    return nanograms == null || unit == null ? null : Mass.ofNanograms(nanograms, unit);
  }

  private static @Nullable Mass shown(@Nullable Mass mass, MassUnit unit) {
    return mass == null ? null : mass.shownIn(unit);
  }
}
