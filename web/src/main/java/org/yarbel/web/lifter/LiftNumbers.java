package org.yarbel.web.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.call.Picture;
import org.yarbel.core.card.MaxNumbers;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.notation.Basis;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.Standing;
import org.yarbel.core.track.TestedMax;
import org.yarbel.core.track.Track;
import org.yarbel.core.track.VariationRatio;
import org.yarbel.web.club.ClubRow;

/** The numbers of one lifter and lift. The estimate is the tracker's; it is stored so that pages need not re-run it. */
@Entity
public class LiftNumbers extends ClubRow {
  static final int DEFAULT_TRAINING_PERCENT = (int) Math.round(100 * MaxNumbers.TRAINING_SHARE);

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
  private boolean testedInLog;
  private String testedWhere = "";
  private @Nullable Long goalNg;

  @Enumerated(EnumType.STRING)
  private @Nullable MassUnit goalUnit;

  private @Nullable LocalDate goalOn;
  private double @Nullable [] standing;
  private int setsThatDay;
  private int trackedWith;
  private @Nullable Long beforeNg;
  private @Nullable LocalDate beforeOn;
  private @Nullable Long heaviestNg;
  private int trainingPercent = DEFAULT_TRAINING_PERCENT;
  private @Nullable Long trainingNg;
  private @Nullable Double ratio;
  private @Nullable Double ratioSd;
  private int ratioExposures;
  private boolean listed;

  @Enumerated(EnumType.STRING)
  private Picture.Moves moves = Picture.Moves.FOLLOW;

  private @Nullable Long agreedNg;
  @Version private int version;

  protected LiftNumbers() {}

  public LiftNumbers(long lifterId, String lift) {
    this.lifterId = lifterId;
    this.lift = lift;
  }

  public long lifterId() {
    return lifterId;
  }

  /** The key of the lift. */
  public String lift() {
    return lift;
  }

  /** How far the lifter has come in it. */
  public Level level() {
    return level;
  }

  /** Whether a coach has put it on the lifter's page. */
  public boolean listed() {
    return listed;
  }

  /** Puts it on the lifter's page. */
  public void list() {
    this.listed = true;
  }

  /** What percentages without a basis of their own are of. */
  public Basis basis() {
    return basis;
  }

  public int version() {
    return version;
  }

  /** The tested max; null for none. */
  public @Nullable Mass tested() {
    return mass(testedNg, testedUnit);
  }

  /** The day of the test. */
  public @Nullable LocalDate testedOn() {
    return testedOn;
  }

  /** The goal; null for none. */
  public @Nullable Mass goal() {
    return mass(goalNg, goalUnit);
  }

  /** The day of the goal. */
  public @Nullable LocalDate goalOn() {
    return goalOn;
  }

  /** The day of the newest log, or test, that the estimate knows. */
  public @Nullable LocalDate estimateOn() {
    return standing().map(Standing::day).orElse(null);
  }

  /** The tracked max as of a day: without training it grows less sure, and falls after two weeks. */
  public @Nullable Estimate estimate(MassUnit unit, LocalDate on) {
    return outlook(on).map(outlook -> outlook.max(unit)).orElse(null);
  }

  /** Where the tracker stands after the newest log; empty while nothing is known. */
  public Optional<Standing> standing() {
    return standing == null ? Optional.empty() : Standing.of(level, standing);
  }

  /** What was said of the max before the tracker was changed; null where nothing was. */
  @Nullable Mass before(MassUnit unit) {
    return beforeNg == null ? null : Mass.ofNanograms(beforeNg, unit);
  }

  /** The day the tracker was changed under it; null where it never was. */
  public @Nullable LocalDate beforeOn() {
    return beforeOn;
  }

  /** How many work sets of its newest day the tracker has seen. */
  public int setsThatDay() {
    return setsThatDay;
  }

  /** What the tracker says on a day, after the sets of it; before its newest day, what it says on that. */
  public Optional<Outlook> outlook(LocalDate on) {
    return standing().map(known -> on.isAfter(known.day()) ? known.on(on) : known.on(known.day()).after(setsThatDay));
  }

  /** The training max is so many percent of the estimated one. */
  public int trainingPercent() {
    return trainingPercent;
  }

  /** What of its parent's max the log says is made in this lift; null while the default holds. */
  public Lift.@Nullable Ratio ratio() {
    return ratio == null || ratioSd == null || ratioExposures == 0 ? null
        : new Lift.Ratio(Math.min(Math.max(ratio, 20), 200), Math.min(Math.max(ratioSd, 1), 20));
  }

  public int ratioExposures() {
    return ratioExposures;
  }

  /** The lifter's own effort chart: the published one with its reps as far apart as the log says. */
  public EffortChart chart() {
    return standing().map(known -> known.on(known.day()).learned().chart()).orElse(EffortChart.HOUSE);
  }

  /** The tested max for the tracker; null without one, and where its sets stand in the log, so that it counts once. */
  public @Nullable TestedMax testedForTracking() {
    return testedNg == null || testedOn == null || testedUnit == null || testedInLog
        ? null
        : new TestedMax(Mass.ofNanograms(testedNg, testedUnit), testedOn);
  }

  /** How much of what the log says moves coming loads by itself. */
  public Picture.Moves moves() {
    return moves;
  }

  /** The estimate that loads were last agreed with; null where they follow it. */
  public @Nullable Mass agreed(MassUnit unit) {
    return agreedNg == null ? null : Mass.ofNanograms(agreedNg, unit);
  }

  /** Lets loads follow the estimate, or wait for the coach from where they are. */
  public void move(Picture.Moves how, @Nullable Mass from) {
    this.moves = how;
    this.agreedNg = how == Picture.Moves.FOLLOW || from == null ? null : Long.valueOf(from.nanograms());
  }

  /** Above this the loads of a lift that asks wait. Handbook: ask above 2 %. */
  private static final double ASKS_ABOVE = 0.02;

  /** The estimate as far as the coach lets it move the loads. */
  private @Nullable Mass taken(@Nullable Mass estimate) {
    if (estimate == null || agreedNg == null || moves == Picture.Moves.FOLLOW) {
      return estimate;
    }
    long most = moves == Picture.Moves.HOLD ? 0 : Math.round(ASKS_ABOVE * agreedNg);
    return Mass.ofNanograms(Math.min(Math.max(estimate.nanograms(), agreedNg - most), agreedNg + most), estimate.unit());
  }

  /** All of them as a plan's percentages see them on a day, shown in a unit. */
  public MaxNumbers numbers(MassUnit unit, LocalDate on) {
    Estimate now = estimate(unit, on);
    Mass estimate = taken(now == null ? null : now.max());
    MaxNumbers.Origins origins = new MaxNumbers.Origins(tested() == null ? null : testedOn, estimate == null ? null
        : estimateOn(), goal() == null ? null : goalOn, null);
    return new MaxNumbers(shown(tested(), unit), estimate, training(estimate, unit), shown(goal(), unit), origins, null);
  }

  /** What was set, never over its share of the estimate; else the rule's share of the estimate. */
  private @Nullable Mass training(@Nullable Mass estimate, MassUnit unit) {
    if (estimate == null) {
      return trainingNg == null ? null : Mass.ofNanograms(trainingNg, unit);
    }
    Mass most = estimate.scaled(MaxNumbers.MOST_TRAINING_SHARE);
    if (trainingNg == null) {
      return MaxNumbers.trainingFrom(estimate, trainingPercent / 100.0);
    }
    return trainingNg > most.nanograms() ? most : Mass.ofNanograms(trainingNg, unit);
  }

  /** The training max that was set, in nanograms; null where it follows the estimate. */
  public @Nullable Long trainingNg() {
    return trainingNg;
  }

  /** Sets the training max, or lets it follow the estimate again. */
  public void train(@Nullable Mass training) {
    this.trainingNg = training == null ? null : training.nanograms();
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

  /**
   * A tested max as it stands.
   *
   * @param inLog whether its sets stand in the log, so that it counts once
   * @param where it was, and under what conditions; empty where nobody said
   */
  public record Tested(@Nullable Mass max, @Nullable LocalDate on, boolean inLog, String where) {}

  public Tested testedAs() {
    return new Tested(tested(), testedOn, testedInLog, testedWhere);
  }

  /** Writes down a tested max, or takes it out. */
  public void testAs(Tested now) {
    Mass max = now.max();
    this.testedNg = max == null ? null : max.nanograms();
    this.testedUnit = max == null ? null : max.unit();
    this.testedOn = max == null ? null : now.on();
    this.testedInLog = now.inLog();
    this.testedWhere = now.where();
  }

  /** Writes down a max that somebody typed with its date, or takes it out. What stands and was only sent back stays as it is. */
  public void test(@Nullable Mass max, @Nullable LocalDate on) {
    if (!stands(max, on)) {
      testAs(new Tested(max, on, false, ""));
    }
  }

  /** Whether the number is the one that stands, as it is shown in its unit, of the same day. */
  private boolean stands(@Nullable Mass max, @Nullable LocalDate on) {
    Mass now = tested();
    return now != null && max != null && now.shownIn(max.unit()).number().equals(max.number()) && Objects.equals(testedOn, on);
  }

  /** Where it was tested, and under what conditions; empty where nobody said. */
  public String testedWhere() {
    return testedWhere;
  }

  /** Writes down a goal with its date, or takes it out. */
  public void aim(@Nullable Mass max, @Nullable LocalDate on) {
    this.goalNg = max == null ? null : max.nanograms();
    this.goalUnit = max == null ? null : max.unit();
    this.goalOn = max == null ? null : on;
  }

  /** Sets the rule of the training max. */
  public void trainAt(int percent) {
    this.trainingPercent = percent;
  }

  /** The heaviest ever made of it in the log; null for none. */
  public @Nullable Mass heaviest(MassUnit unit) {
    return heaviestNg == null ? null : Mass.ofNanograms(heaviestNg, unit);
  }

  /** Takes the heaviest ever made; null for none. */
  public void lifted(@Nullable Mass heaviest) {
    this.heaviestNg = heaviest == null ? null : heaviest.nanograms();
  }

  /** Takes what the tracker says. */
  public void track(Track track) {
    Standing now = track.standing();
    this.standing = now == null ? null : now.numbers();
    this.setsThatDay = track.setsToday();
    this.trackedWith = Standing.VERSION;
  }

  /** Takes what the log taught of the ratio to the parent. */
  public void learn(VariationRatio learned) {
    this.ratio = learned.percent();
    this.ratioSd = learned.sd();
    this.ratioExposures = learned.exposures();
  }

  private static @Nullable Mass mass(@Nullable Long nanograms, @Nullable MassUnit unit) {
    return nanograms == null || unit == null ? null : Mass.ofNanograms(nanograms, unit);
  }

  private static @Nullable Mass shown(@Nullable Mass mass, MassUnit unit) {
    return mass == null ? null : mass.shownIn(unit);
  }
}
