package org.yarbel.core.track;

import static org.yarbel.core.track.State.BIAS;
import static org.yarbel.core.track.State.FORM;
import static org.yarbel.core.track.State.GAIN;
import static org.yarbel.core.track.State.MAX;
import static org.yarbel.core.track.State.STRETCH;

import org.yarbel.core.lift.Level;

/**
 * One of the filters of a bank: what is thought of a lifter whose form and ratings vary by so much. It knows how a max moves
 * between days and what a set says of it; days are counted by who holds it.
 */
final class Filter {
  private final Level level;
  private final double formSd;
  private final double ratingSd;
  private final State state;
  private double lnWeight;

  private Filter(Level level, double formSd, double ratingSd, State state, double lnWeight) {
    this.level = level;
    this.formSd = formSd;
    this.ratingSd = ratingSd;
    this.state = state;
    this.lnWeight = lnWeight;
  }

  private static Filter of(Level level, int place, State state, double lnWeight) {
    return new Filter(level, Constants.FORM_SDS[place / Constants.RATING_SDS.length],
        Constants.RATING_SDS[place % Constants.RATING_SDS.length], state, lnWeight);
  }

  /**
   * A filter that knows of the max what is said here, of all else what is usual.
   *
   * @param place in the bank, from 0
   */
  static Filter beginning(Level level, int place, double lnMax, double sd) {
    Filter filter = of(level, place, new State(), 0);
    State state = filter.state;
    state.add(MAX, lnMax, sd * sd);
    state.add(GAIN, Constants.usualGain(level), squared(Constants.gainSd(level)));
    state.add(BIAS, 0.0, squared(Constants.BIAS_SD));
    state.add(STRETCH, 0.0, squared(Constants.STRETCH_SD));
    state.add(FORM, 0.0, squared(filter.formSd));
    return filter;
  }

  /** The filter of a place in the bank, from its numbers. */
  static Filter read(Level level, int place, double[] numbers, int from) {
    return of(level, place, State.read(numbers, from + 1), numbers[from]);
  }

  Filter copy() {
    return new Filter(level, formSd, ratingSd, state.copy(), lnWeight);
  }

  void write(double[] numbers, int from) {
    numbers[from] = lnWeight;
    state.write(numbers, from + 1);
  }

  /** How many numbers a filter is written with. */
  static int numbers() {
    return 1 + State.NUMBERS;
  }

  double lnWeight() {
    return lnWeight;
  }

  void weigh(double ln) {
    lnWeight += ln;
  }

  double formSd() {
    return formSd;
  }

  double ratingSd() {
    return ratingSd;
  }

  State state() {
    return state;
  }

  /** The mean of a row of the state. */
  double mean(double[] row) {
    return state.mean(row);
  }

  /** Lets days pass. */
  void move(Passing passing) {
    state.add(MAX, passing.grown(), GAIN);
    state.add(MAX, passing.back() - passing.lost(), passing.strayed());
    state.revert(GAIN, passing.stays(Constants.GAIN_DAYS), Constants.usualGain(level), Constants.gainSd(level));
    state.revert(BIAS, passing.stays(Constants.BIAS_DAYS), 0, Constants.BIAS_SD);
    state.revert(FORM, passing.stays(Constants.FORM_DAYS), 0, formSd);
  }

  /** A day begins on which something was off. */
  void flag() {
    form(-Constants.FLAG_DROP, Constants.FLAG_SD);
  }

  /** The form of the day is other by so much in ln, give or take a spread. */
  void form(double ln, double sd) {
    state.add(FORM, ln, squared(sd));
  }

  /** A tested number is the max of its day, or a little under it. */
  void test(double lnLoad) {
    double noise = squared(Constants.TESTED_SD);
    lnWeight += Updates.seen(state, today(0, noise), lnLoad + Constants.TESTED_ABOVE, 0);
  }

  /**
   * Learns from a set.
   *
   * @param before so many work sets came before it that day
   */
  void learn(WorkSet set, int before) {
    if (set.rates()) {
      lnWeight += rated(set, before);
    }
    if (set.floors()) {
      int counted = set.touchAndGo() ? 1 : set.reps();
      lnWeight += Updates.atLeast(state, limit(counted, before), set.lnLoad() + overAt(counted), Constants.SLIP);
    }
    if (set.misses()) {
      int missed = set.reps() + 1;
      lnWeight += Updates.atMost(state, limit(missed, before), set.lnLoad() + overAt(missed), Constants.MISS_FOR_SKILL);
    }
  }

  /** The max of the day after so many sets, seen with a noise. */
  Updates.Foretold today(int sets, double noise) {
    return new Updates.Foretold(State.TODAY_ROW, state.mean(State.TODAY_ROW) - Constants.FATIGUE * sets,
        state.variance(State.TODAY_ROW) + noise);
  }

  /** How far over the load this lifter's max must be for so many reps: the house curve, stretched. */
  private double overAt(int reps) {
    return Capacity.over(stretched(reps));
  }

  private double stretched(int reps) {
    return 1 + (reps - 1) * Math.exp(state.mean[STRETCH]);
  }

  /** The max of the day less what so many reps need of it. */
  private Updates.Foretold limit(int reps, int before) {
    double y = stretched(reps);
    double[] row = {1, 0, 0, -Capacity.steep(y) * (y - 1), 1};
    return new Updates.Foretold(row, state.mean(State.TODAY_ROW) - Constants.FATIGUE * before,
        state.variance(row) + squared(Constants.LIMIT_SD));
  }

  /** A rating says how many reps the set would have gone to, those left counted as this lifter counts them. */
  private double rated(WorkSet set, int before) {
    Updates.Foretold foretold = toFailure(set, before);
    if (set.easier()) {
      return Updates.atLeast(state, foretold, set.reps() + Constants.EASIER_RESERVE, Constants.ODD_RATING);
    }
    if (set.reserve() == 0) {
      return Updates.atMost(state, foretold, set.reps() + Constants.HALF_A_STEP, Constants.ODD_RATING);
    }
    return Updates.seen(state, foretold, set.reps() + set.reserve(), Constants.ODD_RATING);
  }

  /** Learns from how a set looked: that about so many reps were left, more where there is no upper end. */
  void looked(WorkSet set, Left left, int before) {
    if (left.least() > 0) {
      lnWeight += Updates.atLeast(state, toFailure(set, before), set.reps() + left.least(), Constants.ODD_RATING);
    }
    if (left.most() < Double.POSITIVE_INFINITY) {
      lnWeight += Updates.atMost(state, toFailure(set, before), set.reps() + left.most(), Constants.ODD_RATING);
    }
  }

  /** The reps a set would have gone to as this lifter would rate them. */
  private Updates.Foretold toFailure(WorkSet set, int before) {
    Foreseen reps = Foreseen.at(today(before, 0), set.lnLoad());
    double shrink = Math.exp(-state.mean[STRETCH]);
    double toFailure = 1 + (reps.mean() - 1) * shrink;
    double[] row = {reps.slope() * shrink, 0, 1, 1 - toFailure, reps.slope() * shrink};
    double bounced = set.touchAndGo() && set.reps() > 1 ? squared(Constants.BOUNCE_SD * (toFailure - 1)) : 0;
    double variance = state.variance(row) + ratingSd * ratingSd + Constants.ROUNDING_VARIANCE + reps.bend() * shrink * shrink + bounced;
    return new Updates.Foretold(row, toFailure + state.mean[BIAS], variance);
  }

  private static double squared(double value) {
    return value * value;
  }
}
