package org.yarbel.core.track;

import java.time.LocalDate;
import java.util.function.ToDoubleFunction;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;

/** What the tracker says on one day, after so many of its sets. It is for answers only; the tracker goes on from a {@link Standing}. */
public final class Outlook {
  private static final double[] GAIN = {0, 1, 0, 0, 0};
  private static final double[] BIAS = {0, 0, 1, 0, 0};
  private static final double[] STRETCH = {0, 0, 0, 1, 0};

  private static final int HALVINGS = 40;
  private static final double REACH = 8;

  private final LocalDate date;
  private final Bank bank;
  private final int sets;

  Outlook(LocalDate date, Bank bank, int sets) {
    this.date = date;
    this.bank = bank;
    this.sets = sets;
  }

  /** The same day after so many work sets. */
  public Outlook after(int workSets) {
    return new Outlook(date, bank, workSets);
  }

  Bank bank() {
    return bank;
  }

  /** The day it is of. */
  public LocalDate date() {
    return date;
  }

  /** The max, as it would be on a usual day and rested: what is published. */
  public Estimate max(MassUnit unit) {
    return Estimate.of(bank.max(), unit);
  }

  /** Today's max: with the form of the day, and less what the sets so far took. */
  public Estimate today(MassUnit unit) {
    Bank.Spread rested = bank.today();
    return Estimate.of(new Bank.Spread(rested.mean() - Constants.FATIGUE * sets, rested.sd()), unit);
  }

  /** The reps to failure to expect at a load today: 1 is a max, under 1 a miss. */
  public double repsAt(Mass load) {
    return repsAt(over(load), 0);
  }

  /** How far off those may be: by what is not known of today's max, and of the lifter's curve. */
  public double repsSd(Mass load) {
    double over = over(load);
    double sd = bank.today().sd();
    double byMax = (repsAt(over + sd, 0) - repsAt(over - sd, 0)) / 2;
    double byCurve = (repsAt(over, -1) - repsAt(over, 1)) / 2;
    return Math.hypot(byMax, byCurve);
  }

  private double over(Mass load) {
    return bank.today().mean() - Constants.FATIGUE * sets - WorkSet.lnKilograms(load.nanograms());
  }

  private double repsAt(double over, int stretched) {
    Bank.Spread stretch = bank.spread(STRETCH);
    return 1 + (Capacity.repsAt(over) - 1) / Math.exp(stretch.mean() + stretched * stretch.sd());
  }

  /** How likely a single is made today, from 0 to 0.97: three in a hundred go wrong for skill. */
  public double chance(Mass load) {
    return chance(WorkSet.lnKilograms(load.nanograms()));
  }

  private double chance(double ln) {
    double strength = bank.mixed(filter -> {
      Updates.Foretold today = filter.today(sets, Constants.LIMIT_SD * Constants.LIMIT_SD);
      return Normal.below((today.mean() - ln) / Math.sqrt(today.variance()));
    });
    return (1 - Constants.MISS_FOR_SKILL) * strength;
  }

  /** The load whose single is made with a chance, up to 0.97 of it; found by halving. */
  public Mass single(double chance, MassUnit unit) {
    double low = bank.today().mean() - REACH * bank.today().sd() - Constants.FATIGUE * sets;
    double high = bank.today().mean() + REACH * bank.today().sd();
    for (int step = 0; step < HALVINGS; step++) {
      double middle = (low + high) / 2;
      if (chance(middle) >= chance) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return Mass.ofRoundedNanograms(WorkSet.nanograms(low), unit);
  }

  /**
   * The same day on the platform, where so much is made of what the gym's numbers say; how sure that is comes to what is not known of
   * the day's form, so that an attempt teaches of both at once.
   *
   * @param percent 98 for 98 %
   * @param sd in points of percent
   */
  public Outlook onThePlatform(double percent, double sd) {
    Bank there = bank.copy();
    there.each(filter -> filter.form(Math.log(percent / 100), sd / percent));
    return new Outlook(date, there, sets);
  }

  /**
   * The same day with one more single known, which is not in the log yet.
   *
   * @param left how many more it looked good for; null where nobody said, or it was missed
   */
  public Outlook knowing(Mass load, boolean made, @Nullable Left left) {
    Bank wiser = bank.copy();
    WorkSet seen = WorkSet.of(Observation.of(date, load, made ? 1 : 0, null));
    wiser.each(filter -> {
      filter.learn(seen, sets);
      if (left != null) {
        filter.looked(seen, left, sets);
      }
    });
    return new Outlook(date, wiser, sets + 1);
  }

  /** What the log taught beside the max. */
  public Learned learned() {
    Bank.Spread stretch = bank.spread(STRETCH);
    Bank.Spread bias = bank.spread(BIAS);
    Bank.Spread gain = bank.spread(GAIN);
    double factor = Math.exp(stretch.mean());
    return new Learned(new Learned.Value(factor, factor * stretch.sd()), value(bias), value(gain), among(Filter::formSd),
        among(Filter::ratingSd));
  }

  private static Learned.Value value(Bank.Spread spread) {
    return new Learned.Value(spread.mean(), spread.sd());
  }

  /** What the filters differ by, and how sure it is which of them it is. */
  private Learned.Value among(ToDoubleFunction<Filter> what) {
    double mean = bank.mixed(what);
    return new Learned.Value(mean, Math.sqrt(bank.mixed(filter -> Math.pow(what.applyAsDouble(filter) - mean, 2))));
  }
}
