package org.yarbel.core.sim;

import java.util.random.RandomGenerator;
import org.yarbel.core.effort.RepMaxCurve;
import org.yarbel.core.mass.Mass;

/**
 * A made-up body that answers to what it is given: hard sets that are made raise its max, what is too easy hardly does, tiredness adds up
 * and goes with days, and who is tired, or lifts with form gone, hurts more easily. All figures are invented; they stand here alone, and
 * only comparisons between two plans of one body mean anything.
 */
final class TrainedBody {
  private static final double GAIN_A_SET = 0.00055;
  private static final double BEST_RESERVE = 2.5;
  private static final double RESERVE_WIDTH = 3.5;
  private static final double TIRES = 0.0014;
  private static final double TIRES_AT_FAILURE = 2;
  private static final double REST_DAYS = 9;
  private static final double TIRED_COSTS = 0.5;
  private static final double HURTS_FROM = 0.10;
  private static final double HURTS_A_SESSION = 0.004;
  private static final double HURTS_TIRED = 0.8;
  private static final double FORM_HURTS = 0.012;
  private static final double PAIN_COSTS = 0.006;
  private static final double WORSE_A_SET = 0.05;
  private static final double FORM_GOES = 0.88;
  private static final int WORST = 8;

  private final School school;
  private final RandomGenerator random;
  private double tired;
  private double pain;
  private long day;

  TrainedBody(School school, RandomGenerator random) {
    this.school = school;
    this.random = random;
  }

  /** How tired it is; about 0.04 in usual training. */
  double tired() {
    return tired;
  }

  /** How much it hurts, 0 to 8. */
  int pain() {
    return (int) Math.round(pain);
  }

  /** Days go by. */
  void startDay(long today) {
    tired *= Math.exp(-(today - day) / REST_DAYS);
    // what is left alone heals
    pain = Math.max(0, pain - 0.12 * (today - day));
    day = today;
  }

  /** One lift of it. */
  final class InLift {
    private final SimulatedLifter lifter;
    private double gained;

    private final boolean legs;

    /** Its pains are of the knee: only what legs do loads it. */
    InLift(Traits traits, boolean legs) {
      this.lifter = new SimulatedLifter(traits, random);
      this.legs = legs;
    }

    void startDay(long today) {
      lifter.startDay(today);
    }

    Mass trueMax() {
      return lifter.trueMax().scaled(Math.exp(gained));
    }

    /** What a set comes to: the outcome, and whether its form went. */
    Done lift(Mass load, int reps, boolean open) {
      double now = gained - TIRED_COSTS * tired - (legs ? PAIN_COSTS * pain : 0);
      double share = load.ratioTo(trueMax());
      SimulatedLifter.Outcome outcome = lifter.lift(load.scaled(Math.exp(-now)), reps, open);
      double reserve = RepMaxCurve.HOUSE.repsAt(Math.min(1, load.ratioTo(trueMax().scaled(Math.exp(now - gained)))))
          .orElse(30) - outcome.reps();
      boolean form = school == School.TECHNIQUE && share > FORM_GOES && random.nextDouble() < 0.8;
      double effect = outcome.failed() ? 0 : Math.max(0, 1 - Math.abs(reserve - BEST_RESERVE) / RESERVE_WIDTH) * (share < 0.6 ? 0.4 : 1);
      gained += GAIN_A_SET * effect * (legs && pain >= 4 ? 0.3 : 1) * (form ? 0.3 : 1);
      tired += TIRES * Math.max(1, outcome.reps()) * share * share * (outcome.failed() || reserve < 1 ? TIRES_AT_FAILURE : 1);
      double hurts = form ? FORM_HURTS : 0;
      if (pain < 1 && random.nextDouble() < hurts) {
        pain = 4 + random.nextInt(2);
      } else if (legs && pain >= 3 && share > 0.6) {
        pain = Math.min(WORST, pain + WORSE_A_SET);
      }
      return new Done(outcome, form);
    }
  }

  /** What a set came to. */
  record Done(SimulatedLifter.Outcome outcome, boolean form) {}

  /** At the end of a session it may begin to hurt. */
  void endSession() {
    double chance = HURTS_A_SESSION + HURTS_TIRED * Math.max(0, tired - HURTS_FROM);
    if (pain < 1 && random.nextDouble() < chance) {
      pain = 4 + random.nextInt(2);
    }
  }
}
